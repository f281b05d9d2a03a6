package oficina.server.sound;

import java.io.IOException;
import java.util.EnumMap;
import java.util.Map;
import java.util.Properties;
import oficina.core.call.Cause;
import oficina.core.sound.Pcm;
import oficina.core.sound.Tones;
import oficina.server.office.OfficeData;
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
  private final Clip asked;
  private final Map<Cause, Clip> refusals = new EnumMap<>(Cause.class);

  Announcements(OfficeData office, Speaker speaker) throws IOException {
    this.speaker = speaker;
    sentences =
        PropertiesLoaderUtils.loadProperties(
            new ClassPathResource("speech/announcements.en.properties"));
    tones = Tones.in(office.region().code());
    ringing = new Clip(tones.ringing().round(), /* again= */ true);
    asked = spoken(Tones.SPEAK_NOW.round(), sentences.getProperty("ASKED"));
  }

  /** It rings at the other end. */
  Clip ringing() {
    return ringing;
  }

  /** That a call is for whoever answers at an outside number, and which key takes it. */
  Clip asked() {
    return asked;
  }

  /** Why a call cannot be completed. On the exchange's thread. */
  Clip refusal(Cause cause) {
    return refusals.computeIfAbsent(cause, this::make);
  }

  private Clip make(Cause cause) {
    return switch (cause) {
      case BUSY -> new Clip(tones.busy().round(), /* again= */ true);
      case RINGS_ON -> ringing;
      case LINES_BUSY, NETWORK_FAILURE -> new Clip(tones.congestion().round(), /* again= */ true);
      default ->
          spoken(
              tones.information().round(),
              sentences.getProperty(cause.name(), sentences.getProperty("OTHER")));
    };
  }

  /** The tone at once; the sentence after it as soon as it is spoken. */
  private Clip spoken(short[] tone, String sentence) {
    Clip clip = new Clip(tone, /* again= */ true);
    speaker
        .say(Speaker.Voice.ALDER, sentence)
        .thenAccept(
            speech -> {
              if (speech.length > 0) {
                short[] whole = new short[tone.length + speech.length + PAUSE];
                System.arraycopy(tone, 0, whole, 0, tone.length);
                System.arraycopy(speech, 0, whole, tone.length, speech.length);
                clip.become(whole);
              }
            });
    return clip;
  }
}
