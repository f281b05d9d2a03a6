package oficina.server.administration;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Map;
import oficina.core.office.ParkSlot;
import oficina.server.office.OfficeData;
import oficina.server.office.OfficeStore;
import oficina.server.problems.Problem;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What the park slots of the office are called. */
@RestController
@RequestMapping("/api/office/slots")
class SlotController {
  private final OfficeData office;
  private final OfficeStore store;

  SlotController(OfficeData office, OfficeStore store) {
    this.office = office;
    this.store = store;
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
