package oficina.server.sound;

import java.util.List;
import oficina.core.heard.Listening.Sound;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * What one party of a call is to hear.
 *
 * @param number its connection's number within the call
 * @param person the employee who it is; null for everybody else
 * @param end where it hears and speaks; null while it rings there
 * @param there whether somebody listens there, to whom a tone or a sentence can be said even where
 *     nobody speaks
 * @param voices connections whose voices it hears
 * @param clip what is played to it; null when it hears voices or nothing
 * @param since the tick at which the clip began
 */
record Leg(
    int number,
    @Nullable PersonId person,
    @Nullable EndId end,
    boolean there,
    Sound sound,
    List<Integer> voices,
    @Nullable Clip clip,
    long since) {

  /** The same with a clip that began then. */
  Leg since(long tick) {
    return new Leg(number, person, end, there, sound, voices, clip, tick);
  }
}
