package oficina.server.voicemail;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import oficina.core.call.Party;
import oficina.core.people.PersonId;
import oficina.server.keeping.TranscriptState;
import oficina.server.speech.Transcriber;
import org.jspecify.annotations.Nullable;

/**
 * A message.
 *
 * @param heard who heard it first; null when nobody has
 * @param dealt who has dealt with it; null when nobody has
 * @param passedBy who passed it on to this mailbox; null when it was left here
 */
public record Message(
    long id,
    String mailbox,
    Party caller,
    Instant began,
    Duration length,
    byte[] outline,
    @Nullable Deed heard,
    @Nullable Deed dealt,
    String note,
    @Nullable PersonId passedBy,
    String passedNote,
    Transcript transcript) {

  /** Whether somebody still has to listen to it. */
  public boolean fresh() {
    return heard == null && dealt == null;
  }

  /** Somebody who did something with a message, and when. */
  public record Deed(PersonId by, Instant at) {}

  /**
   * What was said, as the machine understood it.
   *
   * @param corrected as somebody has typed it instead; null when nobody has
   */
  public record Transcript(
      TranscriptState state, List<Transcriber.Word> words, @Nullable String corrected) {}
}
