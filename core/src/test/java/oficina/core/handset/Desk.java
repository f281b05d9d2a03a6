package oficina.core.handset;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.call.DeviceKind;
import oficina.core.call.Party;
import oficina.core.commands.OfficeCommand;
import oficina.core.decision.Refusal;
import oficina.core.exchange.Exchange;
import oficina.core.exchange.Scene;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import org.jspecify.annotations.Nullable;

/** A telephone on somebody's desk in a test, whose keys are pressed and whose display is read. */
final class Desk implements Surroundings {
  static final DeviceId DEVICE = new DeviceId("phone");

  final Scene scene;
  final Telephone phone = new Telephone(DEVICE, this);
  final List<Effect> asked = new ArrayList<>();
  final List<Earlier> earlier = new ArrayList<>();
  private final PersonId holder;
  private final List<@Nullable String> keys =
      new ArrayList<>(Arrays.asList("", "200", "212", "213", "61", "62", null));
  @Nullable Duration ringsAfter = Duration.ZERO;
  private CallId placed;

  Desk(Scene scene, PersonId holder) {
    this.scene = scene;
    this.holder = holder;
    plugged();
  }

  void plugged() {
    scene.run(new OfficeCommand.DeviceComes(holder, DEVICE, DeviceKind.TELEPHONE, true));
  }

  void unplugged() {
    scene.run(new OfficeCommand.DeviceGoes(holder, DEVICE));
  }

  // --- what is done at it -----------------------------------------------------------------------

  Desk press(Key.Kind kind) {
    return press(Key.of(kind));
  }

  Desk line(int key) {
    return press(new Key(Key.Kind.LINE, key));
  }

  Desk type(String digits) {
    digits.chars().forEach(digit -> press(Key.digit((char) digit)));
    return this;
  }

  /** Presses the key beneath the display with this word; it must be there. */
  Desk soft(SoftKey key) {
    List<SoftKey> soft = panel().soft();
    assertThat(soft).contains(key);
    return press(new Key(Key.Kind.SOFT, soft.indexOf(key)));
  }

  Desk press(Key key) {
    phone.follow(scene.now());
    carryOut(phone.pressed(key, scene.now()));
    return this;
  }

  /** Presses a key twice before anything has come of it. */
  Desk twice(Key key) {
    phone.follow(scene.now());
    List<Effect> first = phone.pressed(key, scene.now());
    List<Effect> second = phone.pressed(key, scene.now());
    carryOut(first);
    carryOut(second);
    return this;
  }

  Desk wait(int seconds) {
    for (int second = 0; second < seconds; second++) {
      scene.wait(1);
      phone.follow(scene.now());
      carryOut(phone.timeIsUp(scene.now()));
    }
    return this;
  }

  private void carryOut(List<Effect> effects) {
    for (Effect effect : effects) {
      asked.add(effect);
      if (effect instanceof Effect.Do wanted) {
        Refusal refusal = scene.run(wanted.command());
        if (refusal != null) {
          phone.refused(wanted.command(), refusal, scene.now());
        }
      } else if (effect instanceof Effect.Look look) {
        carryOut(phone.found(look.kind(), earlier, scene.now()));
      }
    }
    phone.follow(scene.now());
  }

  // --- what is seen of it -----------------------------------------------------------------------

  Panel panel() {
    phone.follow(scene.now());
    return phone.panel(scene.now());
  }

  /** The display, each line as its code and the name or text it speaks of. */
  List<String> shows() {
    return panel().display().stream()
        .map(
            line ->
                (line.code()
                        + " "
                        + line.about().getOrDefault("name", line.about().getOrDefault("text", "")))
                    .strip())
        .toList();
  }

  Panel.Light light(int key) {
    return panel().keys().get(key).light();
  }

  Panel.Sounds sounds() {
    return panel().sounds();
  }

  /** The call that was placed last. */
  CallId placed() {
    return placed;
  }

  Call state(CallId call) {
    return scene.state(call);
  }

  // --- where it is connected --------------------------------------------------------------------

  @Override
  public PersonId holder() {
    return holder;
  }

  @Override
  public boolean lent() {
    return false;
  }

  @Override
  public @Nullable Instant lentUntil() {
    return null;
  }

  @Override
  public @Nullable Duration ringsAfter() {
    return ringsAfter;
  }

  @Override
  public Exchange exchange() {
    return scene.exchange;
  }

  @Override
  public CallId newCall() {
    placed = scene.nextId();
    return placed;
  }

  @Override
  public String name(Party party) {
    if (party.employee() != null) {
      return scene.office.office.nameOf(party.employee());
    }
    if (party.outsideNumber() != null) {
      return party.outsideNumber().e164();
    }
    return party.slot() == null ? party.toString() : party.slot();
  }

  @Override
  public List<Found> find(String typed) {
    return scene.office.office.finder().find(typed, 4).stream()
        .map(person -> new Found(person.name(), person.extension(), person.extension()))
        .toList();
  }

  @Override
  public List<@Nullable String> keys() {
    return keys;
  }

  @Override
  public Messages messages() {
    return new Messages(2, 1);
  }
}
