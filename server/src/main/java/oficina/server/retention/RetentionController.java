package oficina.server.retention;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.time.Duration;
import java.util.Map;
import oficina.core.office.Settings.Keeping;
import oficina.core.office.Settings.Kept;
import oficina.server.office.OfficeData;
import oficina.server.office.OfficeStore;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** How long the office keeps things. */
@RestController
@RequestMapping("/api/office/keeping")
class RetentionController {
  private static final int MOST_DAYS = 36_500;

  private final Retention retention;
  private final OfficeData office;
  private final OfficeStore store;

  RetentionController(Retention retention, OfficeData office, OfficeStore store) {
    this.retention = retention;
    this.office = office;
    this.store = store;
  }

  /**
   * Days for which each is kept; absent for without end.
   *
   * @param history entries of calls
   * @param messages in mailboxes
   * @param notes about calls, and what is done of what was to be done
   * @param log who changed what, and who heard what
   */
  record KeepingBody(
      @Schema(nullable = true) @Nullable @Min(Keeping.FEWEST_DAYS) @Max(MOST_DAYS) Integer history,
      @Schema(nullable = true) @Nullable @Min(Keeping.FEWEST_DAYS) @Max(MOST_DAYS) Integer messages,
      @Schema(nullable = true) @Nullable @Min(Keeping.FEWEST_DAYS) @Max(MOST_DAYS) Integer notes,
      @Schema(nullable = true) @Nullable @Min(Keeping.FEWEST_DAYS) @Max(MOST_DAYS) Integer log) {

    static KeepingBody of(Keeping keeping) {
      return new KeepingBody(
          days(keeping.history()),
          days(keeping.messages()),
          days(keeping.notes()),
          days(keeping.log()));
    }

    private static @Nullable Integer days(@Nullable Duration kept) {
      return kept == null ? null : (int) kept.toDays();
    }

    Keeping keeping() {
      return new Keeping(kept(history), kept(messages), kept(notes), kept(log));
    }

    private static @Nullable Duration kept(@Nullable Integer days) {
      return days == null ? null : Duration.ofDays(days);
    }
  }

  /**
   * How long things are kept.
   *
   * @param recordings days for which recordings are kept, which is said elsewhere
   */
  record KeepingView(KeepingBody keeping, long recordings) {}

  /** How long things are kept now. */
  @GetMapping
  KeepingView now() {
    return new KeepingView(
        KeepingBody.of(office.settings().keeping()), office.settings().recording().kept().toDays());
  }

  /** How many of each would go the next night if things were kept as long as this. */
  @PostMapping("/try")
  Map<Kept, Long> tried(@Valid @RequestBody KeepingBody body) {
    return retention.wouldGo(body.keeping());
  }

  /** Keep things as long as this from now on; what is older goes the next night. */
  @PutMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void change(@Valid @RequestBody KeepingBody body) {
    office.change(() -> store.set(body.keeping()));
  }
}
