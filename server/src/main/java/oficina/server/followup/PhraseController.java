package oficina.server.followup;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import oficina.server.followup.OfficeListStore.Listed;
import oficina.server.ledger.OfficeLog;
import oficina.server.passwords.Employee;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What people write again and again: each person's own phrases, and those of the office. */
@RestController
class PhraseController {
  private static final int MOST = 9;

  private final PhraseStore phrases;
  private final OfficeListStore office;
  private final OfficeLog log;

  PhraseController(PhraseStore phrases, OfficeListStore office, OfficeLog log) {
    this.phrases = phrases;
    this.office = office;
    this.log = log;
  }

  record StockPhrases(
      @NotNull @Size(max = MOST)
          List<@NotNull @Pattern(regexp = "(?=.*\\S)[^\\n]{1,400}") String> phrases) {

    List<String> stripped() {
      return phrases.stream().map(String::strip).toList();
    }
  }

  /**
   * Phrases to put into what one writes, in the order of their keys.
   *
   * @param phrases one's own
   * @param office those of the office, behind them
   */
  record PhrasesView(List<String> phrases, List<String> office) {}

  /** One's own, and those of the office. */
  @GetMapping("/api/phrases")
  PhrasesView phrases(@AuthenticationPrincipal Employee me) {
    return new PhrasesView(phrases.of(me.id()), office.all(Listed.PHRASES));
  }

  /** Have these as one's own. */
  @PutMapping("/api/phrases")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void keep(@AuthenticationPrincipal Employee me, @Valid @RequestBody StockPhrases body) {
    phrases.keep(me.id(), body.stripped());
  }

  /** Give everybody these. For administrators. */
  @PutMapping("/api/office/phrases")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void keepOffice(@Valid @RequestBody StockPhrases body) {
    log.changing(
        "phrases",
        () -> String.join(" / ", office.all(Listed.PHRASES)),
        () -> office.keep(Listed.PHRASES, body.stripped()));
  }
}
