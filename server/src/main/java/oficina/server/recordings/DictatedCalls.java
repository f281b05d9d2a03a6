package oficina.server.recordings;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import oficina.core.people.PersonId;
import oficina.server.keeping.Dictation;
import oficina.server.keeping.KeptSound;
import oficina.server.keeping.SoundStore;
import oficina.server.keeping.TranscriptState;
import oficina.server.speech.Transcriber.Word;
import oficina.server.tapes.TapeWriter;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.jspecify.annotations.Nullable;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Recordings whose transcript somebody has asked for: both sides, a minute at a time. */
@Component
@Order(2)
class DictatedCalls implements Dictation {
  private static final int SECONDS = 60;

  private final RecordingStore recordings;
  private final SoundStore sounds;
  private final Topics topics;

  DictatedCalls(RecordingStore recordings, SoundStore sounds, Topics topics) {
    this.recordings = recordings;
    this.sounds = sounds;
    this.topics = topics;
  }

  @Override
  public Optional<Long> next() {
    return recordings.toTranscribe();
  }

  @Override
  public List<Piece> pieces(long id) {
    SoundStore.Sound sound = recordings.sound(id);
    List<Piece> pieces = new ArrayList<>();
    for (int second = 0; second < sound.seconds(); second += SECONDS) {
      for (int channel = 0; channel < sound.channels(); channel++) {
        pieces.add(new Piece(sound.id(), channel, second, SECONDS));
      }
    }
    return pieces;
  }

  @Override
  public short[] samples(Piece piece) {
    byte[] kept = sounds.seconds(piece.sound(), piece.second(), piece.seconds());
    return KeptSound.channel(KeptSound.samples(kept), TapeWriter.CHANNELS, piece.channel());
  }

  @Override
  public Optional<PersonId> reader(long id) {
    return recordings.owner(id);
  }

  @Override
  public void written(long id, @Nullable List<List<Word>> words) {
    Optional<PersonId> owner =
        words == null
            ? recordings.transcribed(id, TranscriptState.FAILED, List.of())
            : recordings.transcribed(id, TranscriptState.DONE, words);
    owner.ifPresent(person -> topics.tell(Set.of(person), Topic.RECORDINGS));
  }
}
