package oficina.server.standins;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import oficina.server.softphone.Softphones;
import oficina.server.sound.EndId;
import oficina.server.sound.SoundEnd;
import oficina.server.sound.SoundEngine;
import oficina.server.standins.Subscriber.Habit;
import oficina.server.trunk.TrunkCall;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/**
 * The voices at the far ends of outside lines: subscribers speak for themselves, unless a person
 * plays them, who speaks and hears for them at a page. On the exchange's thread, but for the pages,
 * which come and go at any time.
 */
@Component
@ConditionalOnProperty("oficina.stand-ins")
class SubscriberVoices {
  private final SoundEngine engine;
  private final Scripts scripts;
  private final Softphones softphones;
  private final Map<TrunkCall, FarEnd> ends = new ConcurrentHashMap<>();
  private final Map<PhoneNumber, Softphones.Handset> handsets = new ConcurrentHashMap<>();
  private final Map<PhoneNumber, Boolean> played = new ConcurrentHashMap<>();

  SubscriberVoices(SoundEngine engine, Scripts scripts, Softphones softphones) {
    this.engine = engine;
    this.scripts = scripts;
    this.softphones = softphones;
  }

  /** The far end of one line: the subscriber's own voice, or whoever plays them. */
  private final class FarEnd implements SoundEnd {
    private final @Nullable PhoneNumber number;
    private final ScriptedVoice own;
    private final String name;
    private final boolean machine;

    FarEnd(@Nullable PhoneNumber number, String name, boolean machine, ScriptedVoice own) {
      this.number = number;
      this.name = name;
      this.machine = machine;
      this.own = own;
    }

    private @Nullable SoundEnd speaker() {
      if (number == null || !played.containsKey(number)) {
        return own;
      }
      Softphones.Handset handset = handsets.get(number);
      return handset == null ? null : handset.end();
    }

    @Override
    public boolean speak(short[] frame) {
      SoundEnd speaker = speaker();
      return speaker != null && speaker.speak(frame);
    }

    @Override
    public void hear(short[] frame) {
      SoundEnd speaker = speaker();
      if (speaker != null) {
        speaker.hear(frame);
      }
    }
  }

  /**
   * A call of this subscriber begins; one nobody knows says nothing.
   *
   * @param said when they have left their message with a machine
   */
  void begins(OutsideCall call, @Nullable Subscriber subscriber, Runnable said) {
    String name = subscriber == null ? "" : subscriber.name();
    Scripts.Role role = call.incoming ? Scripts.Role.CALLED : Scripts.Role.CALLER;
    boolean machine = subscriber != null && subscriber.habit() == Habit.MENU;
    if (machine) {
      role = Scripts.Role.MENU;
    }
    // At one's own telephone one waits for somebody, and takes no ringing for the tone of a
    // machine.
    boolean waits = subscriber != null && subscriber.habit() == Habit.TAKES;
    ScriptedVoice voice = scripts.voice(role, name, waits ? null : said);
    attach(call.call, new FarEnd(call.subscriber, name, machine, voice));
  }

  /** A call to the emergency services. */
  void emergency(TrunkCall call) {
    attach(
        call,
        new FarEnd(
            null,
            "",
            /* machine= */ false,
            scripts.voice(Scripts.Role.EMERGENCY, "Emergency", null)));
  }

  private void attach(TrunkCall call, FarEnd end) {
    ends.put(call, end);
    engine.attach(new EndId.Line(call), end);
  }

  /** A machine answers to keys. */
  void pressed(TrunkCall call, String digits) {
    FarEnd end = ends.get(call);
    if (end != null && end.machine && !digits.isEmpty()) {
      end.own.say(scripts.pressed(end.name, digits.charAt(digits.length() - 1)));
    }
  }

  void ends(TrunkCall call) {
    FarEnd end = ends.remove(call);
    if (end != null) {
      engine.detach(new EndId.Line(call), end);
    }
  }

  /** Somebody plays this subscriber from now on, or nobody does. */
  void played(PhoneNumber number, boolean by) {
    if (by) {
      played.put(number, true);
    } else {
      played.remove(number);
      Softphones.Handset handset = handsets.remove(number);
      if (handset != null) {
        handset.close().run();
      }
    }
  }

  /**
   * A page of whoever plays this subscriber speaks and hears for them; the one before no longer.
   *
   * @param by whoever plays them
   */
  String connect(PersonId by, PhoneNumber number, String sdp) {
    Softphones.Handset handset = softphones.handset(by, sdp);
    Softphones.Handset before = handsets.put(number, handset);
    if (before != null) {
      before.close().run();
    }
    return handset.sdp();
  }
}
