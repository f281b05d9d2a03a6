package oficina.server.sound;

import java.io.IOException;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import java.util.Properties;
import oficina.core.call.Cause;
import oficina.core.sound.Pcm;
import oficina.core.tones.Cadence;
import oficina.core.tones.Tones;
import oficina.server.office.OfficeData;
import oficina.server.speech.Sentence;
import oficina.server.speech.Speaker;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.support.PropertiesLoaderUtils;
import org.springframework.stereotype.Component;

/**
 * What callers hear before somebody answers, and when nobody can: the tones of the office's
 * country, and a sentence where a tone alone would not say what is wrong.
 */
@Component
class Announcements {
  private static final int PAUSE = Pcm.RATE;

  private final Tones tones;
  private final Speaker speaker;
  private final Properties sentences;
  private final Clip ringing;
  private final Told asked;
  private final Map<Cause, Clip> tonesAlone = new EnumMap<>(Cause.class);
  private final Map<Cause, Told> told = new EnumMap<>(Cause.class);

  Announcements(OfficeData office, Speaker speaker) throws IOException {
    this.speaker = speaker;
    sentences =
        PropertiesLoaderUtils.loadProperties(
            new ClassPathResource("speech/announcements.en.properties"));
    tones = Tones.in(office.region().code());
    ringing = new Clip(tones.ringing().round(), /* again= */ true);
    asked = new Told(Tones.SPEAK_NOW.round(), "ASKED");
  }

  /** It rings at the other end. */
  Clip ringing() {
    return ringing;
  }

  /** That a call is for whoever answers at an outside number, and which key takes it. */
  Clip asked() {
    return asked.clip();
  }

  /** Why a call cannot be completed. On the exchange's thread. */
  Clip refusal(Cause cause) {
    return switch (cause) {
      case BUSY -> alone(cause, tones.busy());
      case RINGS_ON -> ringing;
      case LINES_BUSY, NETWORK_FAILURE -> alone(cause, tones.congestion());
      default -> told.computeIfAbsent(cause, this::because).clip();
    };
  }

  private Clip alone(Cause cause, Cadence tone) {
    return tonesAlone.computeIfAbsent(cause, c -> new Clip(tone.round(), /* again= */ true));
  }

  private Told because(Cause cause) {
    String name = sentences.containsKey(cause.name()) ? cause.name() : "OTHER";
    return new Told(tones.information().round(), name);
  }

  /** A tone at once; a sentence after it as soon as it is spoken. */
  private final class Told {
    private final short[] tone;
    private final Clip clip;
    private final Sentence sentence;
    private volatile boolean whole;

    Told(short[] tone, String name) {
      this.tone = tone;
      clip = new Clip(tone, /* again= */ true);
      sentence = new Sentence(speaker, sentences.getProperty(name));
      clip();
    }

    Clip clip() {
      if (!whole) {
        sentence.spoken().thenAccept(this::take);
      }
      return clip;
    }

    private void take(short[] speech) {
      if (speech.length > 0) {
        short[] both = Arrays.copyOf(tone, tone.length + speech.length + PAUSE);
        System.arraycopy(speech, 0, both, tone.length, speech.length);
        clip.become(both);
        whole = true;
      }
    }
  }
}
