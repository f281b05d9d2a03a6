package oficina.server.handset;

import oficina.server.softphone.Softphones;
import oficina.server.sound.SoundEngine;

/** What is heard and spoken at telephones. Only from the exchange's thread. */
final class Sounding {
  private final SoundEngine engine;

  Sounding(SoundEngine engine) {
    this.engine = engine;
  }

  /** From now on it is this connection. */
  void begin(Plugged at, Softphones.Handset sound) {
    end(at);
    at.sound = sound;
    engine.attach(at.end(), sound.end());
  }

  void end(Plugged at) {
    if (at.sound != null) {
      engine.detach(at.end(), at.sound.end());
      at.sound.close().run();
      at.sound = null;
    }
  }

  /** The same connection goes on for another holder of the telephone. */
  void goesOn(Plugged before, Plugged after) {
    Softphones.Handset sound = before.sound;
    if (sound != null) {
      engine.detach(before.end(), sound.end());
      after.sound = sound;
      engine.attach(after.end(), sound.end());
    }
  }
}
