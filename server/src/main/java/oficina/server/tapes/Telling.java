package oficina.server.tapes;

import java.io.IOException;
import java.util.Properties;
import oficina.core.call.CallId;
import oficina.core.office.Settings.Announced;
import oficina.core.tones.Tones;
import oficina.server.office.OfficeData;
import oficina.server.sound.SoundEngine;
import oficina.server.speech.Sentence;
import oficina.server.speech.Speaker;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.support.PropertiesLoaderUtils;
import org.springframework.stereotype.Component;

/** Tells everybody in a call that it is recorded, as the office wants it told. */
@Component
class Telling {
  private final OfficeData office;
  private final SoundEngine engine;
  private final Sentence sentence;

  Telling(OfficeData office, SoundEngine engine, Speaker speaker) throws IOException {
    this.office = office;
    this.engine = engine;
    Properties sentences =
        PropertiesLoaderUtils.loadProperties(
            new ClassPathResource("speech/announcements.en.properties"));
    sentence = new Sentence(speaker, sentences.getProperty("RECORDED"));
  }

  /** The sentence as soon as it is spoken; a tone where the machine cannot speak. */
  void tell(CallId call) {
    if (byTones()) {
      engine.playToAll(call, Tones.RECORDED.round());
    } else {
      sentence
          .spoken()
          .exceptionally(e -> new short[0])
          .thenAccept(
              speech ->
                  engine.playToAll(call, speech.length > 0 ? speech : Tones.RECORDED.round()));
    }
  }

  /** Whether a tone now and then goes on telling it. */
  boolean byTones() {
    return office.settings().recording().announced() == Announced.TONES;
  }
}
