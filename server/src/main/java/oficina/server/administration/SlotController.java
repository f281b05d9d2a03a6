package oficina.server.administration;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.Map;
import oficina.core.office.ParkSlot;
import oficina.core.state.Call;
import oficina.server.calls.Commands;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.office.OfficeData;
import oficina.server.office.OfficeStore;
import oficina.server.problems.Problem;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The park slots of the office, and what they are called. */
@RestController
@RequestMapping("/api/office/slots")
class SlotController {
  private final OfficeData office;
  private final OfficeStore store;
  private final ExchangeLoop loop;

  SlotController(OfficeData office, OfficeStore store, ExchangeLoop loop) {
    this.loop = loop;
    this.office = office;
    this.store = store;
  }

  /**
   * @param number what is dialled for it
   * @param label empty for none
   */
  record NewSlot(
      @NotNull @Pattern(regexp = "[0-9]{2,6}") String number,
      @NotNull @Size(max = 40) String label) {}

  /** Add a slot behind the others. */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  void add(@Valid @RequestBody NewSlot body) {
    office.change(
        () -> {
          String number = new Given(office.now()).extension(body.number(), null);
          store.addParkSlot(new ParkSlot(number, body.label().strip()));
        });
  }

  /** Take a slot away in which nobody waits. */
  @DeleteMapping("/{slot}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable String slot) {
    boolean taken =
        Commands.await(
            loop.ask(
                () ->
                    loop.state().calls().stream()
                        .map(Call::parked)
                        .anyMatch(parked -> parked != null && parked.slot().equals(slot))));
    if (taken) {
      throw new Problem(HttpStatus.CONFLICT, "SLOT_TAKEN", Map.of("slot", slot));
    }
    office.change(() -> store.removeParkSlot(slot));
  }

  record Labelled(@NotNull @Size(max = 40) String label) {}

  /** Give a slot another label; an empty one for none. */
  @PutMapping("/{slot}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void label(@PathVariable String slot, @Valid @RequestBody Labelled body) {
    if (office.settings().parking().slots().stream().noneMatch(at -> at.number().equals(slot))) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_SLOT", Map.of("slot", slot));
    }
    office.change(() -> store.label(new ParkSlot(slot, body.label().strip())));
  }
}
