package oficina.server.followup;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.stream.Stream;
import oficina.core.call.CallId;
import oficina.core.notes.NoteText;
import oficina.server.calls.OwnCalls;
import oficina.server.followup.NoteStore.Note;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
import oficina.server.time.MovableClock;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What people write about their calls, while they last and afterwards. */
@RestController
@RequestMapping("/api")
class NoteController {
  private static final int LONGEST_TITLE = 200;
  private static final int LONGEST_TEXT = 10_000;
  private static final int LOCKS = 64;

  private final NoteStore notes;
  private final OwnCalls calls;
  private final OfficeListStore outcomes;
  private final Topics topics;
  private final MovableClock clock;
  private final Object[] locks = Stream.generate(Object::new).limit(LOCKS).toArray();

  NoteController(
      NoteStore notes,
      OwnCalls calls,
      OfficeListStore outcomes,
      Topics topics,
      MovableClock clock) {
    this.notes = notes;
    this.calls = calls;
    this.outcomes = outcomes;
    this.topics = topics;
    this.clock = clock;
  }

  /** What one has written about a call of one's own. */
  record CallNote(
      @NotNull @Size(max = LONGEST_TITLE) String title,
      @NotNull @Size(max = LONGEST_TEXT) String text) {}

  /** One's own note about a call; blank when there is none. */
  @GetMapping("/calls/{call}/note")
  CallNote read(@AuthenticationPrincipal Employee me, @PathVariable String call) {
    return notes
        .of(me.id(), new CallId(call))
        .map(note -> new CallNote(note.title(), note.text()))
        .orElse(new CallNote("", ""));
  }

  /**
   * A note that is to be kept.
   *
   * @param from as the note was when this one was begun; absent for a blank one
   */
  record WrittenNote(
      @NotNull @Size(max = LONGEST_TITLE) String title,
      @NotNull @Size(max = LONGEST_TEXT) String text,
      @Schema(nullable = true) @Nullable @Valid CallNote from) {}

  /**
   * Write a note about one's own call. What another window of one's own has written meanwhile is
   * kept with it: the answer is the note as it is now.
   */
  @PutMapping("/calls/{call}/note")
  CallNote write(
      @AuthenticationPrincipal Employee me,
      @PathVariable String call,
      @Valid @RequestBody WrittenNote note) {
    NoteText from = note.from() == null ? NoteText.BLANK : textOf(note.from());
    NoteText kept;
    synchronized (lockOf(me)) {
      Note before = before(me, call);
      NoteText stands = new NoteText(before.title(), before.text());
      kept = new NoteText(note.title(), note.text()).onto(stands, from);
      if (kept.title().length() > LONGEST_TITLE || kept.text().length() > LONGEST_TEXT) {
        throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "NOTE_TOO_LONG");
      }
      write(before, kept, before.outcome());
    }
    topics.tell(me.id(), Topic.NOTES);
    return new CallNote(kept.title(), kept.text());
  }

  /** Windows of one person write one after the other; nobody waits for anybody else's. */
  private Object lockOf(Employee me) {
    return locks[(int) (me.id().value() % locks.length)];
  }

  private static NoteText textOf(CallNote note) {
    return new NoteText(note.title(), note.text());
  }

  private void write(Note before, NoteText kept, String outcome) {
    notes.write(
        new Note(
            before.call(),
            before.person(),
            before.other(),
            kept.title().isBlank() ? "" : kept.title(),
            kept.text().isBlank() ? "" : kept.text(),
            outcome,
            clock.instant()));
  }

  record CallOutcome(@NotNull @Size(max = 80) String outcome) {}

  /** Say what came of one's own call: one of the office's list, or nothing. */
  @PutMapping("/calls/{call}/outcome")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void outcome(
      @AuthenticationPrincipal Employee me,
      @PathVariable String call,
      @Valid @RequestBody CallOutcome chosen) {
    if (!chosen.outcome().isEmpty()
        && !outcomes.all(OfficeListStore.Listed.OUTCOMES).contains(chosen.outcome())) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "NO_SUCH_OUTCOME");
    }
    synchronized (lockOf(me)) {
      Note before = before(me, call);
      write(before, new NoteText(before.title(), before.text()), chosen.outcome());
    }
    topics.tell(me.id(), Topic.HISTORY);
  }

  private Note before(Employee me, String call) {
    CallId id = new CallId(call);
    String other = calls.other(me.id(), id);
    return notes.of(me.id(), id).orElse(new Note(id, me.id(), other, "", "", "", clock.instant()));
  }
}
