package oficina.server.mailboxes;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.people.PersonId;
import oficina.server.keeping.KeptSound;
import oficina.server.keeping.Transcripts;
import oficina.server.office.OfficeData;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import oficina.server.voicemail.Label;
import oficina.server.voicemail.MessageFilingStore;
import oficina.server.voicemail.MessageMarkStore;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Files messages that were left before this office began: those of the demo. */
@Component
public class LeftBefore {
  private final MessageFilingStore messages;
  private final MessageMarkStore marks;
  private final Transcripts transcripts;
  private final OfficeData office;
  private final Topics topics;

  LeftBefore(
      MessageFilingStore messages,
      MessageMarkStore marks,
      Transcripts transcripts,
      OfficeData office,
      Topics topics) {
    this.messages = messages;
    this.marks = marks;
    this.transcripts = transcripts;
    this.office = office;
    this.topics = topics;
  }

  /**
   * Files a message.
   *
   * @param samples as in {@link oficina.core.sound.Pcm}
   * @param heardBy who has heard it; null when it is new
   */
  public void file(
      Party owner, Party caller, Instant began, short[] samples, @Nullable PersonId heardBy) {
    Label label =
        new Label(new CallId("before-" + UUID.randomUUID()), 1, owner, caller, began, null);
    long id = messages.add(label, KeptSound.keep(samples, samples.length));
    if (heardBy != null) {
      marks.heard(id, List.of(label.mailbox()), heardBy, began.plusSeconds(1_800));
    }
    topics.tell(office.now().people(owner), Topic.VOICEMAIL);
    transcripts.look();
  }
}
