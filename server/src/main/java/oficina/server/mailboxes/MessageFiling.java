package oficina.server.mailboxes;

import java.io.IOException;
import java.util.Set;
import oficina.core.sound.Pcm;
import oficina.server.keeping.Filing;
import oficina.server.keeping.KeptSound;
import oficina.server.keeping.Transcripts;
import oficina.server.office.OfficeData;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import oficina.server.voicemail.Label;
import oficina.server.voicemail.MessageFilingStore;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/** Brings messages that are over into the database, and tells their owners. */
@Component
class MessageFiling implements SmartLifecycle, Filing.Shelf<Label> {
  private static final Logger LOG = LoggerFactory.getLogger(MessageFiling.class);

  private static final int LEAST_FRAMES = 1_000 / Pcm.FRAME_MS;

  private final MessageSpool spool;
  private final MessageFilingStore messages;
  private final Transcripts transcripts;
  private final OfficeData office;
  private final Topics topics;
  private final Filing<Label> filing;

  MessageFiling(
      MessageSpool spool,
      MessageFilingStore messages,
      Transcripts transcripts,
      OfficeData office,
      Topics topics) {
    this.spool = spool;
    this.messages = messages;
    this.transcripts = transcripts;
    this.office = office;
    this.topics = topics;
    filing = new Filing<>("messages", spool, this);
  }

  /** The message recorded in this place is over and is kept. */
  void file(String place) {
    filing.file(place, /* known= */ true);
  }

  /**
   * What an earlier run of the server recorded and could not file.
   *
   * @param goOn places in which recording goes on
   */
  void fileWhatIsLeft(Set<String> goOn) {
    try {
      spool.labels().stream()
          .map(Label::place)
          .filter(place -> !goOn.contains(place))
          .forEach(place -> filing.file(place, /* known= */ false));
    } catch (IOException e) {
      LOG.error("What was recorded before cannot be found", e);
    }
  }

  @Override
  public void take(Label label, boolean known) throws IOException {
    byte[] sound = KeptSound.withoutTheEnd(spool.sound(label.place()));
    if (known || isMessage(sound)) {
      messages.add(label, sound);
      topics.tell(office.now().people(label.owner()), Topic.VOICEMAIL);
      transcripts.look();
    }
  }

  private static boolean isMessage(byte[] sound) {
    return KeptSound.Speech.in(KeptSound.samples(sound)).frames() >= LEAST_FRAMES;
  }

  @Override
  public void start() {
    filing.start();
  }

  @Override
  public void stop() {
    filing.stop();
  }

  @Override
  public boolean isRunning() {
    return filing.isRunning();
  }
}
