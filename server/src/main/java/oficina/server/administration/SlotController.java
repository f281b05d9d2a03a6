package oficina.server.administration;

import io.swagger.v3.oas.annotations.media.Schema;
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
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
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
  private final SlotStore store;
  private final ExchangeLoop loop;

  SlotController(OfficeData office, SlotStore store, ExchangeLoop loop) {
    this.loop = loop;
    this.office = office;
    this.store = store;
  }

  /**
   * @param number what is dialled for it
   * @param label empty for none
   * @param before the slot that is filled after it; absent to be filled last
   */
  record NewSlot(
      @NotNull @Pattern(regexp = "[0-9]{2,6}") String number,
      @NotNull @Size(max = 40) String label,
      @Schema(nullable = true) @Size(max = 6) @Nullable String before) {}

  /** Add a slot. */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  void add(@Valid @RequestBody NewSlot body) {
    office.change(
        () -> {
          String number = new Given(office.now()).extension(body.number(), null);
          store.add(new ParkSlot(number, body.label().strip()), body.before());
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
    office.change(() -> store.remove(slot));
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
