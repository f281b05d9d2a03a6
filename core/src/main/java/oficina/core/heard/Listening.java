package oficina.core.heard;

import java.util.List;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;

/**
 * What one party of a call hears. Derived from the state of the call alone, so it cannot disagree
 * with what is shown; the sound that is mixed later follows it.
 *
 * @param voices connections of those they hear, by number; empty unless the sound is {@link
 *     Sound#SPEECH}
 */
public record Listening(Sound sound, List<Integer> voices) {

  /** Kinds of sound. */
  public enum Sound {
    /**
     * Nothing: it rings here, or nowhere yet, this party has turned to another call, or everybody
     * else is silent.
     */
    SILENCE,
    /** The voices of others. */
    SPEECH,
    /** Music on hold, in a park slot, or while nobody is at the other end. */
    MUSIC,
    /** The ringing tone of the called party (ITU-T E.182). */
    RINGING,
    /** That a call is for them, and which key takes it. */
    ASKED,
    /** The tone or sentence that tells why the call cannot be completed. */
    REFUSAL
  }

  /** What the party of this connection hears in this call. */
  public static Listening of(Call call, Connection listener) {
    if (listener.state() == ConnectionState.ASKED) {
      return only(Sound.ASKED);
    }
    if (listener.state() != ConnectionState.CONNECTED || !listener.attended()) {
      return only(Sound.SILENCE);
    }
    if (call.failure() != null) {
      return only(Sound.REFUSAL);
    }
    Connection machine = call.standIn();
    if (machine != null) {
      return withMachine(call, listener, machine);
    }
    List<Connection> others =
        call.connections().stream()
            .filter(connection -> connection.leg() != listener.leg() && connection.answered())
            .toList();
    if (others.isEmpty()) {
      return only(waiting(call));
    }
    // A conference is never played music: whoever is still there would have to talk over it.
    if (others.size() == 1 && !canSpeak(others.get(0))) {
      return only(Sound.MUSIC);
    }
    List<Integer> voices =
        others.stream()
            .filter(other -> canSpeak(other) && !other.muted())
            .map(Connection::leg)
            .toList();
    return voices.isEmpty() ? only(Sound.SILENCE) : new Listening(Sound.SPEECH, voices);
  }

  /** A machine in somebody's place and whoever calls hear each other, and never music. */
  private static Listening withMachine(Call call, Connection listener, Connection machine) {
    if (listener.leg() != machine.leg()) {
      return new Listening(Sound.SPEECH, List.of(machine.leg()));
    }
    Connection caller = call.opposite(machine.leg());
    boolean heard = caller != null && canSpeak(caller) && !caller.muted();
    return heard ? new Listening(Sound.SPEECH, List.of(caller.leg())) : only(Sound.SILENCE);
  }

  /** What somebody hears who waits for anybody to answer. */
  private static Sound waiting(Call call) {
    if (call.parked() != null) {
      return Sound.MUSIC;
    }
    return call.rings() ? Sound.RINGING : Sound.SILENCE;
  }

  private static boolean canSpeak(Connection other) {
    return other.state() == ConnectionState.CONNECTED && other.attended();
  }

  private static Listening only(Sound sound) {
    return new Listening(sound, List.of());
  }
}
