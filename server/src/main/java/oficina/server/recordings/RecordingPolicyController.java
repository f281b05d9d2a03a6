package oficina.server.recordings;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.time.Duration;
import java.util.List;
import oficina.core.office.Settings;
import oficina.core.office.Settings.Announced;
import oficina.core.office.Settings.Policy;
import oficina.server.office.OfficeData;
import oficina.server.office.OfficeStore;
import oficina.server.passwords.Employee;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/**
 * What the office says of recordings. Everybody may read it; it is changed, and the log of all
 * recordings read, below /api/office: by administrators alone.
 */
@RestController
@RequestMapping("/api")
class RecordingPolicyController {
  private static final int PAGE = 100;
  private static final int LONGEST_DAYS = 3_650;

  private final OfficeData office;
  private final OfficeStore store;
  private final LogStore log;
  private final RecordingViews views;
  private final Forgetting forgetting;

  RecordingPolicyController(
      OfficeData office,
      OfficeStore store,
      LogStore log,
      RecordingViews views,
      Forgetting forgetting) {
    this.office = office;
    this.store = store;
    this.log = log;
    this.views = views;
    this.forgetting = forgetting;
  }

  /**
   * What the office says.
   *
   * @param announced how those are told who are recorded
   * @param emergencies whether calls to the emergency services are recorded too
   * @param days how long a recording is kept
   * @param mayRemove whether people may remove recordings of theirs before
   * @param mayKeep whether people may keep recordings of theirs for longer
   */
  record RecordingPolicy(
      @NotNull Policy policy,
      @NotNull Announced announced,
      boolean emergencies,
      @Min(1) @Max(LONGEST_DAYS) int days,
      boolean mayRemove,
      boolean mayKeep) {}

  /** What holds for everybody. */
  @GetMapping("/recording-policy")
  RecordingPolicy policy() {
    Settings.Recording now = office.settings().recording();
    return new RecordingPolicy(
        now.policy(),
        now.announced(),
        now.emergencies(),
        (int) now.kept().toDays(),
        now.mayDelete(),
        now.mayKeep());
  }

  /** How many recordings would go at once if they were kept for so many days. */
  @GetMapping("/office/recording-policy/tried")
  WouldGo tried(@RequestParam @Min(1) @Max(LONGEST_DAYS) int days) {
    return new WouldGo(forgetting.wouldGo(Duration.ofDays(days)));
  }

  record WouldGo(long recordings) {}

  /** Change what holds for everybody, at once. */
  @PutMapping("/office/recording-policy")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void change(@Valid @RequestBody RecordingPolicy wanted) {
    Settings.Recording recording =
        new Settings.Recording(
            wanted.policy(),
            wanted.announced(),
            wanted.emergencies(),
            Duration.ofDays(wanted.days()),
            wanted.mayRemove(),
            wanted.mayKeep());
    office.change(() -> store.set(recording));
    forgetting.now();
  }

  /**
   * A page of the log.
   *
   * @param next what to ask for to get older entries; absent when there are none
   */
  record RecordingLog(
      List<RecordingViews.RecordingLogEntry> entries,
      @Schema(nullable = true) @Nullable Long next) {}

  /** Who did what with recordings, latest first. */
  @GetMapping("/office/recording-log")
  RecordingLog log(
      @AuthenticationPrincipal Employee me, @RequestParam(required = false) @Nullable Long before) {
    List<LogStore.Entry> found = log.all(before == null ? Long.MAX_VALUE : before, PAGE + 1);
    boolean more = found.size() > PAGE;
    List<LogStore.Entry> shown = more ? found.subList(0, PAGE) : found;
    return new RecordingLog(
        shown.stream().map(each -> views.logged(each, me.id())).toList(),
        more ? shown.get(PAGE - 1).id() : null);
  }
}
