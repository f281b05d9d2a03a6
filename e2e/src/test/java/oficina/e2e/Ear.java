package oficina.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Collectors;
import oficina.core.sound.Wav;

/** Speaks into pages and listens at them: everybody is a tone of their own. */
final class Ear {
  /** Softer than this is nothing; a tone spoken at a page comes through much louder. */
  private static final double HEARD = 0.01;

  private static final long PATIENCE_NANOS = 20_000_000_000L;
  private static final long PAUSE_NANOS = 50_000_000;

  private Ear() {}

  /** Has a page's microphone hear a tone of this frequency. */
  static String microphone(int hertz) {
    return """
        navigator.mediaDevices.getUserMedia = async () => {
          const engine = new AudioContext();
          const tone = new OscillatorNode(engine, { frequency: %d });
          const soft = new GainNode(engine, { gain: 0.3 });
          const out = engine.createMediaStreamDestination();
          tone.connect(soft).connect(out);
          tone.start();
          await engine.resume();
          window.microphone = out.stream;
          return out.stream;
        };
        """
        .formatted(hertz);
  }

  /** Has a page's microphone hear this over and over. */
  static String saying(short[] samples) {
    return """
        navigator.mediaDevices.getUserMedia = async () => {
          const engine = new AudioContext();
          const file = Uint8Array.from(atob('%s'), (each) => each.charCodeAt(0));
          const voice = engine.createBufferSource();
          voice.buffer = await engine.decodeAudioData(file.buffer);
          voice.loop = true;
          const out = engine.createMediaStreamDestination();
          voice.connect(out);
          voice.start();
          await engine.resume();
          return out.stream;
        };
        """
        .formatted(Base64.getEncoder().encodeToString(Wav.write(samples)));
  }

  /** A microphone that hears nothing: most tests are about something else, and it costs least. */
  static String silence() {
    return """
        navigator.mediaDevices.getUserMedia = async () => {
          const { track } = new RTCPeerConnection().addTransceiver('audio').receiver;
          Object.defineProperty(track, 'label', { value: 'Headset' });
          return new MediaStream([track]);
        };
        """;
  }

  /** A page whose sound never comes about: most tests are about something else. */
  static String none() {
    return """
        window.RTCPeerConnection = class extends RTCPeerConnection {
          setLocalDescription() {
            return new Promise(() => {});
          }
        };
        """
        + silence();
  }

  /** Has the microphone of a page fail in this way. */
  static String failing(String error) {
    return """
        navigator.mediaDevices.getUserMedia = async () => {
          throw new DOMException('none', '%s');
        };
        """
        .formatted(error);
  }

  /** How loud each of these frequencies is at this page, over a fifth of a second. */
  private static Map<Integer, Double> levels(Desk desk, List<Integer> hertz) {
    Object levels =
        desk.page.evaluate(
            """
            async ([hertz]) => {
              const audio = [...document.querySelectorAll('audio[data-softphone]')].at(-1);
              if (!audio?.srcObject) {
                return hertz.map(() => 0); // the page is only coming
              }
              window.ears ??= new Map();
              let ear = window.ears.get(audio.srcObject);
              if (!ear) {
                const engine = new AudioContext();
                await engine.resume();
                const analyser = new AnalyserNode(engine, { fftSize: 8192 });
                engine.createMediaStreamSource(audio.srcObject).connect(analyser);
                ear = { analyser, rate: engine.sampleRate };
                window.ears.set(audio.srcObject, ear);
                await new Promise((done) => setTimeout(done, 200));
              }
              const samples = new Float32Array(8192);
              ear.analyser.getFloatTimeDomainData(samples);
              return hertz.map((f) => {
                let re = 0, im = 0;
                samples.forEach((s, i) => {
                  const w = 0.5 - 0.5 * Math.cos((2 * Math.PI * i) / samples.length);
                  re += s * w * Math.cos((2 * Math.PI * f * i) / ear.rate);
                  im += s * w * Math.sin((2 * Math.PI * f * i) / ear.rate);
                });
                return (4 * Math.hypot(re, im)) / samples.length;
              });
            }
            """,
            List.of(hertz));
    List<?> found = (List<?>) levels;
    return hertz.stream()
        .collect(
            Collectors.toMap(
                each -> each, each -> ((Number) found.get(hertz.indexOf(each))).doubleValue()));
  }

  /** Waits until there is sound at this page, but nobody's voice. */
  static void hearsMusic(Desk desk, List<Integer> all) {
    hears(desk, all);
    desk.page.waitForFunction(
        """
        () => {
          const audio = [...document.querySelectorAll('audio[data-softphone]')].at(-1);
          const samples = new Float32Array(8192);
          window.ears.get(audio.srcObject).analyser.getFloatTimeDomainData(samples);
          return samples.some((sample) => Math.abs(sample) > 0.02);
        }
        """);
    hears(desk, all);
  }

  /** Waits until exactly these of all frequencies are heard here. */
  static void hears(Desk desk, List<Integer> all, Integer... wanted) {
    TreeSet<Integer> expected = new TreeSet<>(Arrays.asList(wanted));
    long until = System.nanoTime() + PATIENCE_NANOS;
    Map<Integer, Double> levels;
    do {
      levels = levels(desk, all);
      TreeSet<Integer> heard = new TreeSet<>();
      levels.forEach(
          (hertz, level) -> {
            if (level > HEARD) {
              heard.add(hertz);
            }
          });
      if (heard.equals(expected)) {
        return;
      }
      LockSupport.parkNanos(PAUSE_NANOS);
    } while (System.nanoTime() < until);
    assertThat(levels).as("heard, of which only %s were to be", expected).isNull();
  }
}
