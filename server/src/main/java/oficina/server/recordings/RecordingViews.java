package oficina.server.recordings;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import oficina.core.call.Party;
import oficina.core.office.Settings;
import oficina.core.people.PersonId;
import oficina.server.keeping.TranscriptState;
import oficina.server.office.OfficeData;
import oficina.server.people.Parties;
import oficina.server.people.PartyView;
import oficina.server.recordings.LogStore.Deed;
import oficina.server.recordings.RecordingStore.Recording;
import oficina.server.speech.Transcriber.Word;
import oficina.server.tapes.Mark;
import oficina.server.time.MovableClock;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Recordings as the pages show them. */
@Component
class RecordingViews {
  private final RecordingStore recordings;
  private final RemarkStore remarks;
  private final ShareStore shares;
  private final LogStore log;
  private final OfficeData office;
  private final Parties parties;
  private final MovableClock clock;

  RecordingViews(
      RecordingStore recordings,
      RemarkStore remarks,
      ShareStore shares,
      LogStore log,
      OfficeData office,
      Parties parties,
      MovableClock clock) {
    this.recordings = recordings;
    this.remarks = remarks;
    this.shares = shares;
    this.log = log;
    this.office = office;
    this.parties = parties;
    this.clock = clock;
  }

  /**
   * A recording in a list.
   *
   * @param line the group on whose number the call came in
   * @param length milliseconds
   * @param from the colleague who has handed it on; absent when it is one's own
   * @param until how long one may hear it; absent when it is one's own
   */
  record RecordingView(
      long id,
      PartyView other,
      @Schema(nullable = true) @Nullable String line,
      Instant began,
      long length,
      String note,
      @Schema(nullable = true) @Nullable String from,
      @Schema(nullable = true) @Nullable Instant until) {}

  /**
   * A note at a moment.
   *
   * @param at milliseconds from the beginning
   */
  record RemarkView(long id, long at, String text, String by, boolean mine) {}

  record ShareView(long person, String name, Instant until) {}

  /**
   * Something that was done with a recording.
   *
   * @param by absent for the office itself
   */
  record RecordingDeed(
      long id, Instant at, @Schema(nullable = true) @Nullable String by, Deed deed, String about) {}

  /** A word of a conversation. */
  record SaidView(boolean mine, String text, int from, int to, boolean doubtful) {}

  /**
   * A recording, opened.
   *
   * @param ours loudest sample of equal parts, 0 to 100, of whoever it was recorded for
   * @param theirs the same of the others
   * @param owner for whom it was recorded
   * @param said what was said, in its order
   * @param keptUntil when it is forgotten
   * @param mayRemove whether the reader may remove it
   * @param mayKeep whether the reader may keep it for longer
   * @param mayHandOn whether the reader may hand it on, and save it
   * @param log what was done with it; only for whom it was recorded
   */
  record RecordingOpened(
      RecordingView recording,
      String owner,
      List<Integer> ours,
      List<Integer> theirs,
      List<Mark> marks,
      List<RemarkView> remarks,
      TranscriptState transcript,
      List<SaidView> said,
      Instant keptUntil,
      boolean mayRemove,
      boolean mayKeep,
      boolean mayHandOn,
      List<ShareView> shares,
      List<RecordingDeed> log) {}

  /** An entry of the log of all recordings. */
  record RecordingLogEntry(String owner, PartyView other, Instant began, RecordingDeed deed) {}

  RecordingView view(Recording recording, PersonId reader) {
    return new RecordingView(
        recording.id(),
        parties.view(recording.other(), reader),
        parties.groupLine(recording.line()),
        recording.began(),
        recording.length().toMillis(),
        recording.note(),
        recording.sharedUntil() == null ? null : name(recording.owner()),
        recording.sharedUntil());
  }

  private String name(PersonId person) {
    return parties.name(new Party.Employee(person));
  }

  RecordingOpened opened(Recording recording, PersonId reader) {
    RecordingStore.Inside inside = recordings.inside(recording.id());
    Settings.Recording policy = office.settings().recording();
    boolean own = recording.sharedUntil() == null;
    Instant usual = recording.began().plus(policy.kept());
    Instant longer = recording.keepUntil();
    return new RecordingOpened(
        view(recording, reader),
        name(recording.owner()),
        numbers(inside.ours()),
        numbers(inside.theirs()),
        inside.marks(),
        remarks.of(recording.id()).stream()
            .map(
                each ->
                    new RemarkView(
                        each.id(),
                        each.at(),
                        each.text(),
                        name(each.by()),
                        each.by().equals(reader)))
            .toList(),
        recording.transcript(),
        said(inside.words()),
        longer != null && longer.isAfter(usual) ? longer : usual,
        own && policy.mayDelete(),
        own && policy.mayKeep(),
        own,
        own ? shares(recording.id()) : List.of(),
        own ? log.of(recording.id()).stream().map(this::view).toList() : List.of());
  }

  private static List<Integer> numbers(byte[] outline) {
    List<Integer> numbers = new ArrayList<>(outline.length);
    for (byte each : outline) {
      numbers.add((int) each);
    }
    return numbers;
  }

  private static List<SaidView> said(List<List<Word>> channels) {
    List<SaidView> all = new ArrayList<>();
    for (int channel = 0; channel < channels.size(); channel++) {
      for (Word word : channels.get(channel)) {
        all.add(new SaidView(channel == 0, word.text(), word.from(), word.to(), word.doubtful()));
      }
    }
    all.sort(Comparator.comparing(SaidView::from));
    return all;
  }

  private List<ShareView> shares(long recording) {
    return shares.of(recording, clock.instant()).stream()
        .map(each -> new ShareView(each.person().value(), name(each.person()), each.until()))
        .toList();
  }

  private RecordingDeed view(LogStore.Entry entry) {
    return new RecordingDeed(
        entry.id(),
        entry.at(),
        entry.by() == null ? null : name(entry.by()),
        entry.deed(),
        entry.about());
  }

  RecordingLogEntry logged(LogStore.Entry entry, PersonId reader) {
    return new RecordingLogEntry(
        name(entry.of().owner()),
        parties.view(entry.of().other(), reader),
        entry.of().began(),
        view(entry));
  }
}
