package oficina.server.followup;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import oficina.server.followup.OfficeListStore.Listed;
import oficina.server.ledger.OfficeLog;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The office's list of what can come of a call. */
@RestController
class OutcomeController {
  private static final int MOST = 12;

  private final OfficeListStore outcomes;
  private final OfficeLog log;

  OutcomeController(OfficeListStore outcomes, OfficeLog log) {
    this.outcomes = outcomes;
    this.log = log;
  }

  /** What the office says can come of a call. */
  @GetMapping("/api/outcomes")
  List<String> outcomes() {
    return outcomes.all(Listed.OUTCOMES);
  }

  record OutcomeList(
      @NotEmpty @Size(max = MOST) List<@Pattern(regexp = "[^\\n]{1,30}") String> outcomes) {}

  /** Say what can come of a call; what was said of calls before stays. For administrators. */
  @PutMapping("/api/office/outcomes")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void keep(@Valid @RequestBody OutcomeList body) {
    log.changing(
        "outcomes",
        () -> String.join(", ", outcomes.all(Listed.OUTCOMES)),
        () -> outcomes.keep(Listed.OUTCOMES, body.outcomes()));
  }
}
