package oficina.server.recordings;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.people.PersonId;
import oficina.server.database.Cursor;
import oficina.server.keeping.Transcripts;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.people.Parties;
import oficina.server.problems.Problem;
import oficina.server.recordings.LogStore.Deed;
import oficina.server.recordings.RecordingStore.Recording;
import oficina.server.recordings.RecordingViews.RecordingOpened;
import oficina.server.recordings.RecordingViews.RecordingView;
import oficina.server.time.MovableClock;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What was recorded for a person, and what others have handed to them for a time. */
@RestController
@RequestMapping("/api/recordings")
class RecordingController {
  private static final int PAGE = 50;

  private final Hearing hearing;
  private final RecordingStore recordings;
  private final RemarkStore remarks;
  private final ShareStore shares;
  private final RecordingViews views;
  private final Transcripts transcripts;
  private final Parties parties;
  private final OfficeData office;
  private final Topics topics;
  private final MovableClock clock;

  RecordingController(
      Hearing hearing,
      RecordingStore recordings,
      RemarkStore remarks,
      ShareStore shares,
      RecordingViews views,
      Transcripts transcripts,
      Parties parties,
      OfficeData office,
      Topics topics,
      MovableClock clock) {
    this.hearing = hearing;
    this.recordings = recordings;
    this.remarks = remarks;
    this.shares = shares;
    this.views = views;
    this.transcripts = transcripts;
    this.parties = parties;
    this.office = office;
    this.topics = topics;
    this.clock = clock;
  }

  // --- the list ---------------------------------------------------------------------------------

  /**
   * A page of recordings.
   *
   * @param next what to ask for to get older ones; absent when there are none
   */
  record RecordingsPage(
      List<RecordingView> recordings, @Schema(nullable = true) @Nullable String next) {}

  /** Recordings, latest first. */
  @GetMapping
  RecordingsPage page(
      @AuthenticationPrincipal Employee me, @RequestParam(defaultValue = "") String before) {
    Cursor from =
        Cursor.read(before)
            .orElseThrow(() -> new Problem(HttpStatus.BAD_REQUEST, "NOT_UNDERSTOOD"));
    List<Recording> found = recordings.page(me.id(), clock.instant(), from, PAGE + 1);
    boolean more = found.size() > PAGE;
    List<Recording> shown = more ? found.subList(0, PAGE) : found;
    Recording last = more ? shown.get(PAGE - 1) : null;
    return new RecordingsPage(
        shown.stream().map(each -> views.view(each, me.id())).toList(),
        last == null ? null : new Cursor(last.began(), last.id()).text());
  }

  /** What was recorded of one of one's own calls, in its order. */
  @GetMapping("/of-call/{call}")
  List<RecordingView> ofCall(@AuthenticationPrincipal Employee me, @PathVariable String call) {
    return recordings.of(new CallId(call), me.id()).stream()
        .map(each -> views.view(each, me.id()))
        .toList();
  }

  /** One recording with everything that is known of it. */
  @GetMapping("/{id}")
  RecordingOpened open(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    return views.opened(hearing.may(me, id), me.id());
  }

  // --- what becomes of it -----------------------------------------------------------------------

  record RecordingNote(@NotNull @Size(max = 2_000) String text) {}

  /** What there is to know about it. */
  @PutMapping("/{id}/note")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void note(
      @AuthenticationPrincipal Employee me,
      @PathVariable long id,
      @Valid @RequestBody RecordingNote note) {
    Recording recording = hearing.own(me, id);
    recordings.note(id, note.text());
    changed(recording);
  }

  /**
   * @param at milliseconds from the beginning
   */
  record NewRemark(@Min(0) long at, @NotBlank @Size(max = 500) String text) {}

  /** A note at a moment. */
  @PostMapping("/{id}/remarks")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remark(
      @AuthenticationPrincipal Employee me,
      @PathVariable long id,
      @Valid @RequestBody NewRemark remark) {
    Recording recording = hearing.may(me, id);
    long at = Math.min(remark.at(), recording.length().toMillis());
    remarks.add(id, at, remark.text().strip(), me.id());
    changed(recording);
  }

  /** Remove a note at a moment that one has written. */
  @DeleteMapping("/{id}/remarks/{remark}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removeRemark(
      @AuthenticationPrincipal Employee me, @PathVariable long id, @PathVariable long remark) {
    Recording recording = hearing.may(me, id);
    if (!remarks.remove(id, remark, me.id())) {
      throw Hearing.none();
    }
    changed(recording);
  }

  /** Have it written down. */
  @PostMapping("/{id}/transcript")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void transcribe(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    Recording recording = hearing.own(me, id);
    recordings.wantTranscript(id);
    transcripts.look();
    changed(recording);
  }

  /** Remove it, where the office allows that. */
  @PostMapping("/{id}/remove")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    Recording recording = hearing.own(me, id);
    if (!office.settings().recording().mayDelete()) {
      throw new Problem(HttpStatus.CONFLICT, "RECORDING_STAYS");
    }
    if (recordings.remove(id, me.id(), clock.instant())) {
      hearing.log(recording, me, Deed.REMOVED, "");
      changed(recording);
    }
  }

  /** Bring back what one has just removed. */
  @PostMapping("/{id}/restore")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void restore(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    if (!recordings.restore(id, me.id())) {
      throw Hearing.none();
    }
    Recording recording = hearing.own(me, id);
    hearing.log(recording, me, Deed.RESTORED, "");
    changed(recording);
  }

  /**
   * @param until absent for as long as the office says
   */
  record Keeping(@Schema(nullable = true) @Nullable Instant until) {}

  /** Keep it for longer than the office does, where that is allowed. */
  @PostMapping("/{id}/keep")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void keep(
      @AuthenticationPrincipal Employee me,
      @PathVariable long id,
      @Valid @RequestBody Keeping keeping) {
    Recording recording = hearing.own(me, id);
    if (!office.settings().recording().mayKeep()) {
      throw new Problem(HttpStatus.CONFLICT, "RECORDING_NOT_KEPT_LONGER");
    }
    checkTime(keeping.until());
    recordings.keepUntil(id, keeping.until());
    hearing.log(
        recording, me, Deed.KEPT, keeping.until() == null ? "" : keeping.until().toString());
    changed(recording);
  }

  /**
   * @param person the colleague who may hear it
   */
  record Handing(long person, @NotNull Instant until) {}

  /** Let a colleague hear it for a time. */
  @PostMapping("/{id}/hand")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void hand(
      @AuthenticationPrincipal Employee me,
      @PathVariable long id,
      @Valid @RequestBody Handing handing) {
    Recording recording = hearing.own(me, id);
    PersonId to = new PersonId(handing.person());
    if (to.equals(me.id()) || office.directory().person(to).isEmpty()) {
      throw new Problem(HttpStatus.CONFLICT, "NO_SUCH_PERSON");
    }
    checkTime(handing.until());
    shares.hand(id, to, handing.until());
    hearing.log(recording, me, Deed.HANDED_ON, name(to));
    topics.tell(Set.of(me.id(), to), Topic.RECORDINGS);
  }

  private void checkTime(@Nullable Instant until) {
    Instant now = clock.instant();
    if (until != null && (!until.isAfter(now) || until.isAfter(now.plus(Hearing.LONGEST)))) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "NOT_A_TIME_TO_COME");
    }
  }

  /** Let a colleague hear it no longer. */
  @DeleteMapping("/{id}/hand/{person}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void takeBack(
      @AuthenticationPrincipal Employee me, @PathVariable long id, @PathVariable long person) {
    Recording recording = hearing.own(me, id);
    PersonId from = new PersonId(person);
    shares.takeBack(id, from);
    hearing.log(recording, me, Deed.TAKEN_BACK, name(from));
    topics.tell(Set.of(me.id(), from), Topic.RECORDINGS);
  }

  private String name(PersonId person) {
    return parties.name(new Party.Employee(person));
  }

  private void changed(Recording recording) {
    topics.tell(Set.of(recording.owner()), Topic.RECORDINGS);
  }
}
