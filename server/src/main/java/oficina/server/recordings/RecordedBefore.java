package oficina.server.recordings;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.history.CallRecords;
import oficina.core.history.Part;
import oficina.core.history.Segment;
import oficina.core.people.PersonId;
import oficina.core.sound.Pcm;
import oficina.server.history.HistoryWritingStore;
import oficina.server.keeping.KeptSound;
import oficina.server.tapes.RecordingFilingStore;
import oficina.server.tapes.TapeLabel;
import oficina.server.tapes.TapeWriter;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.springframework.stereotype.Component;

/** Files calls that were recorded before this office began: those of the demo. */
@Component
public class RecordedBefore {
  private static final Duration RANG = Duration.ofSeconds(6);

  private final RecordingFilingStore recordings;
  private final HistoryWritingStore history;
  private final Topics topics;

  RecordedBefore(RecordingFilingStore recordings, HistoryWritingStore history, Topics topics) {
    this.recordings = recordings;
    this.history = history;
    this.topics = topics;
  }

  /**
   * Files a call that somebody from outside placed.
   *
   * @param ours what its owner said, as samples of {@link Pcm}
   * @param theirs what the caller said, as many samples
   */
  public void file(PersonId owner, Party caller, Instant began, short[] ours, short[] theirs) {
    CallId call = new CallId(UUID.randomUUID().toString());
    Duration talked = Duration.ofMillis(ours.length * 1_000L / Pcm.RATE);
    Party me = new Party.Employee(owner);
    Instant answered = began.plus(RANG);
    Instant ended = answered.plus(talked);
    Part part =
        new Part(
            call,
            owner,
            Part.Direction.RECEIVED,
            caller,
            me,
            began,
            ended,
            RANG,
            talked,
            Duration.ZERO,
            Part.Result.ANSWERED,
            null,
            caller,
            /* callOver= */ true,
            Cause.NORMAL,
            null,
            /* recorded= */ true,
            /* ruling= */ null);
    List<Segment> course =
        List.of(
            new Segment(Segment.Kind.RINGING, List.of(me), began, answered),
            new Segment(Segment.Kind.TALKING, List.of(caller, me), answered, ended));
    history.write(List.of(new CallRecords.Entries(call, course, List.of(part))));
    file(new TapeLabel(call.value(), call, 2, owner, caller, me, answered), ours, theirs);
    topics.tell(Set.of(owner), Topic.RECORDINGS);
  }

  private void file(TapeLabel label, short[] ours, short[] theirs) {
    short[] both = new short[TapeWriter.CHANNELS * ours.length];
    for (int i = 0; i < ours.length; i++) {
      both[2 * i] = ours[i];
      both[2 * i + 1] = theirs[i];
    }
    byte[] kept = KeptSound.keep(both, both.length);
    try {
      recordings.file(
          label,
          List.of(),
          kept.length,
          (from, count) -> Arrays.copyOfRange(kept, (int) from, (int) from + count));
    } catch (IOException e) {
      throw new UncheckedIOException(e); // nothing of it is in a file
    }
  }
}
