package oficina.server.voicemail;

import java.util.List;
import java.util.Optional;
import oficina.core.people.PersonId;
import oficina.server.keeping.Dictation;
import oficina.server.keeping.KeptSound;
import oficina.server.keeping.SoundStore;
import oficina.server.keeping.TranscriptState;
import oficina.server.office.OfficeData;
import oficina.server.speech.Transcriber.Word;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.jspecify.annotations.Nullable;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Messages that wait for being written down. Their owners wait for that: they come first. */
@Component
@Order(1)
class Dictated implements Dictation {
  private final TranscriptStore messages;
  private final SoundStore sounds;
  private final OfficeData office;
  private final Topics topics;

  Dictated(TranscriptStore messages, SoundStore sounds, OfficeData office, Topics topics) {
    this.messages = messages;
    this.sounds = sounds;
    this.office = office;
    this.topics = topics;
  }

  @Override
  public Optional<Long> next() {
    return messages.toTranscribe();
  }

  @Override
  public List<Piece> pieces(long id) {
    SoundStore.Sound sound = messages.sound(id);
    return List.of(new Piece(sound.id(), 0, 0, sound.seconds()));
  }

  @Override
  public short[] samples(Piece piece) {
    return KeptSound.samples(sounds.seconds(piece.sound(), piece.second(), piece.seconds()));
  }

  @Override
  public Optional<PersonId> reader(long id) {
    return Optional.ofNullable(Trays.owner(messages.tray(id)).employee());
  }

  @Override
  public void written(long id, @Nullable List<List<Word>> words) {
    String mailbox =
        words == null
            ? messages.transcribed(id, TranscriptState.FAILED, List.of())
            : messages.transcribed(id, TranscriptState.DONE, words.get(0));
    topics.tell(office.now().people(Trays.owner(mailbox)), Topic.VOICEMAIL);
  }
}
