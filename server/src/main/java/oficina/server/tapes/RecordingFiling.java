package oficina.server.tapes;

import java.io.IOException;
import java.util.Set;
import oficina.server.keeping.Filing;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/** Brings recordings that are over into the database, and tells their owners. */
@Component
class RecordingFiling implements SmartLifecycle, Filing.Shelf<TapeLabel> {
  private static final Logger LOG = LoggerFactory.getLogger(RecordingFiling.class);

  private final TapeSpool spool;
  private final RecordingFilingStore store;
  private final Topics topics;
  private final Filing<TapeLabel> filing;

  RecordingFiling(TapeSpool spool, RecordingFilingStore store, Topics topics) {
    this.spool = spool;
    this.store = store;
    this.topics = topics;
    filing = new Filing<>("recordings-filing", spool, this);
  }

  /** The recording in this place is over. */
  void file(String place) {
    filing.file(place, /* known= */ true);
  }

  /**
   * What an earlier run of the server recorded and could not file.
   *
   * @param goOn places in which recording goes on
   */
  void fileWhatIsLeft(Set<String> goOn) throws IOException {
    spool.labels().stream()
        .map(TapeLabel::place)
        .filter(place -> !goOn.contains(place))
        .forEach(this::file);
  }

  @Override
  public void take(TapeLabel label, boolean known) throws IOException {
    long bytes = spool.length(label.place());
    if (bytes < RecordingFilingStore.A_SECOND) {
      LOG.debug("Less than a second was recorded in {}", label.place());
      return;
    }
    store.file(
        label,
        spool.marks(label.place()),
        bytes,
        (from, count) -> spool.part(label.place(), from, count));
    topics.tell(Set.of(label.owner()), Topic.RECORDINGS);
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
