package oficina.server.sound;

import java.util.ArrayList;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.heard.Listening.Sound;
import oficina.core.people.PersonId;
import oficina.core.sound.Pcm;
import oficina.server.softphone.CodecEnd;

/** An engine with nothing around it, to be measured. */
public final class EngineLoad {
  private static final int FRAMES = 300;

  private EngineLoad() {}

  /**
   * How many legs this machine could carry in real time, by how long it takes for many.
   *
   * @param legs how many to measure with, in calls of two
   */
  public static double legs(int legs, boolean opus) {
    SoundEngine engine = new SoundEngine((call, whom, speaking) -> {});
    List<CodecEnd> ends = new ArrayList<>();
    for (int i = 0; i < legs; i += 2) {
      List<Leg> both = new ArrayList<>();
      for (int side = 0; side < 2; side++) {
        EndId id = new EndId.Device(new PersonId(i + side), new DeviceId("load"));
        CodecEnd end = new CodecEnd(opus);
        ends.add(end);
        engine.attach(id, end);
        both.add(new Leg(side + 1, null, id, true, Sound.SPEECH, List.of(2 - side), null, 0));
      }
      engine.become(new CallId("load" + i), both);
    }
    Crew crew = new Crew();
    try {
      long begun = 0;
      for (int frame = -FRAMES / 3; frame < FRAMES; frame++) {
        if (frame == 0) {
          begun = System.nanoTime();
        }
        engine.frame(crew);
      }
      double nanosPerFrame = (System.nanoTime() - begun) / (double) FRAMES;
      return legs * Pcm.FRAME_MS * 1e6 / nanosPerFrame;
    } finally {
      crew.dismiss();
      ends.forEach(CodecEnd::close);
    }
  }
}
