package oficina.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import oficina.core.TestOffice;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.call.DeviceKind;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.decision.Decision;
import oficina.core.heard.Listening;
import oficina.core.heard.Taping;
import oficina.core.history.Segment;
import oficina.core.people.PersonId;
import oficina.core.seen.Standpoint;
import oficina.core.seen.Standpoint.Phase;
import oficina.core.services.ActedFor;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import oficina.core.state.Device;
import oficina.core.state.ExchangeState;
import oficina.core.state.OutsidePhone;
import oficina.core.state.Tape;

/** What is true of an exchange after every event. */
record ExchangeRules(Scene scene) {
  /** What a stretch of the cord can mean for those who are in the call and are not rung. */
  private static final Map<Segment.Kind, Set<Phase>> MEANT =
      Map.ofEntries(
          Map.entry(Segment.Kind.DIALLING, Set.of(Phase.DIALLING, Phase.HELD)),
          Map.entry(Segment.Kind.RINGING, Set.of(Phase.CALLING, Phase.HELD, Phase.WAITING)),
          Map.entry(Segment.Kind.TALKING, Set.of(Phase.TALKING)),
          Map.entry(
              Segment.Kind.CONFERENCE,
              Set.of(Phase.TALKING, Phase.HELD, Phase.WAITING, Phase.UNATTENDED)),
          Map.entry(Segment.Kind.HELD, Set.of(Phase.HELD, Phase.WAITING)),
          Map.entry(Segment.Kind.PARKED, Set.of(Phase.WAITING, Phase.HELD)),
          Map.entry(
              Segment.Kind.UNATTENDED,
              Set.of(Phase.UNATTENDED, Phase.TALKING, Phase.HELD, Phase.WAITING)),
          Map.entry(Segment.Kind.WELCOMED, Set.of(Phase.DIALLING)),
          Map.entry(Segment.Kind.WAITING, Set.of(Phase.QUEUED)),
          Map.entry(Segment.Kind.MESSAGE, Set.of(Phase.MESSAGE)),
          Map.entry(Segment.Kind.REFUSED, Set.of(Phase.FAILED)));

  void hold() {
    for (PersonId person : TestOffice.EVERYBODY) {
      long active =
          scene.exchange.state().inHand(person).stream()
              .filter(id -> scene.state(id, person) == ConnectionState.CONNECTED)
              .count();
      assertThat(active).as("rule 1: one active connection, person %s", person).isLessThan(2);
      long heard =
          scene.exchange.state().inHand(person).stream()
              .map(id -> Listening.of(scene.state(id), scene.state(id).of(person)))
              .filter(listening -> listening.sound() != Listening.Sound.SILENCE)
              .count();
      assertThat(heard).as("rule 3: hears one call, person %s", person).isLessThan(2);
      checkAttended(person);
      checkOffers(person);
      checkActedFor(person);
    }
    assertThat(TestOffice.EVERYBODY.stream().flatMap(this::telephones))
        .as("a telephone is one person's at a time")
        .doesNotHaveDuplicates();
    int lines = 0;
    Set<String> slots = new HashSet<>();
    for (Call call : scene.exchange.state().calls()) {
      lines += call.outsideLines();
      assertThat(call.connections()).as("rule 2: nobody left in %s", call).isNotEmpty();
      call.connections().forEach(listener -> checkListening(call, listener));
      call.connections().forEach(owner -> checkTaping(call, owner));
      checkStandpoints(call);
      assertThat(call.connections().stream().map(c -> c.party().employee()).filter(p -> p != null))
          .as("rule 4: twice in %s", call)
          .doesNotHaveDuplicates();
      assertThat(call.parties()).as("conference limit: %s", call).isLessThan(5);
      assertThat(call.starter() != null && !call.conference()).as("of two: %s", call).isFalse();
      if (call.parked() != null) {
        assertThat(slots.add(call.parked().slot())).as("rule 4: slot of %s", call).isTrue();
        assertThat(scene.exchange.state().inSlot(call.parked().slot())).isSameAs(call);
      }
      assertThat(call.conversation() || call.due() != null || waitsForPhone(call))
          .as("rule 7: connected to nothing: %s", call)
          .isTrue();
    }
    List<OutsidePhone> phones = scene.exchange.state().outsidePhones();
    assertThat(scene.exchange.state().outsideLinesTaken()).isEqualTo(lines + phones.size());
    assertThat(phones).extracting(OutsidePhone::person).doesNotHaveDuplicates();
    for (OutsidePhone phone : phones) {
      boolean used =
          scene.exchange.state().inHand(phone.person()).stream()
              .anyMatch(id -> isThere(scene.state(id).of(phone.person())));
      assertThat(phone.isThere() ? used : phone.due() != null)
          .as("a line that nobody needs: %s", phone)
          .isTrue();
    }
  }

  private static boolean isThere(Connection own) {
    return DeviceId.OUTSIDE.equals(own.device());
  }

  private boolean waitsForPhone(Call call) {
    return scene.exchange.state().outsidePhones().stream().anyMatch(each -> each.isToPlace(call));
  }

  /** Nobody is waited for at a device that is there. */
  private void checkAttended(PersonId person) {
    ExchangeState state = scene.exchange.state();
    for (CallId id : state.inHand(person)) {
      Connection own = state.call(id).of(person);
      boolean there =
          state.devices(person).stream().anyMatch(each -> each.id().equals(own.device()))
              || (isThere(own) && state.outsidePhone(person) != null);
      assertThat(there && own.answered() && !own.attended())
          .as("waited for where they are: %s in %s", own, state.call(id))
          .isFalse();
    }
  }

  /** Rule 8: whatever is offered without a further choice is accepted at that moment. */
  private void checkOffers(PersonId person) {
    ExchangeState state = scene.exchange.state();
    for (CallId id :
        Stream.concat(state.inHand(person).stream(), state.sentOn(person).stream()).toList()) {
      Offers offers = scene.exchange.offers(state.call(id), person);
      assertThat(offers.services()).as("offered once: %s", state.call(id)).doesNotHaveDuplicates();
      for (Offers.Service service : offers.services()) {
        Command command =
            new Asked(service, id, offers.with(), person, Scene.WINDOW)
                .command(new CallId("a wish"));
        if (command != null) {
          assertThat(scene.exchange.decide(command, scene.now()))
              .as("rule 8: %s of %s", command, state.call(id))
              .isInstanceOf(Decision.Accepted.class);
        }
      }
    }
  }

  private Stream<DeviceId> telephones(PersonId person) {
    return scene.exchange.state().devices(person).stream()
        .filter(device -> device.kind() == DeviceKind.TELEPHONE)
        .map(Device::id);
  }

  /** Rule 8, for what delegates are offered; and nobody sees a call twice, or one of their own. */
  private void checkActedFor(PersonId person) {
    List<ActedFor> seen = scene.exchange.actedFor(person);
    assertThat(seen).extracting(ActedFor::call).doesNotHaveDuplicates();
    for (ActedFor each : seen) {
      assertThat(scene.state(each.call()).of(person)).isNull();
      Command command = new CallCommand.TakeOver(each.call(), person, Scene.WINDOW);
      assertThat(scene.exchange.decide(command, scene.now()) instanceof Decision.Accepted)
          .as("rule 8: %s", each)
          .isEqualTo(each.service() != null);
    }
  }

  /**
   * Rule 3: whoever is muted or has put the call on hold is heard by nobody, and music is alone.
   */
  private static void checkListening(Call call, Connection listener) {
    Listening listening = Listening.of(call, listener);
    assertThat(listening.voices().isEmpty())
        .as("rule 3: %s in %s", listening, call)
        .isEqualTo(listening.sound() != Listening.Sound.SPEECH);
    for (Connection other : call.connections()) {
      boolean silent =
          other.muted() || other.state() != ConnectionState.CONNECTED || !other.attended();
      assertThat(listening.voices().contains(other.leg()) && (silent || other == listener))
          .as("rule 3: %s is heard in %s", other, call)
          .isFalse();
    }
  }

  /** The cord says of a call what those who are in it see, and counts from no other moment. */
  private void checkStandpoints(Call call) {
    Segment cord = scene.records.of(call.id()).lastOfCourse(1).get(0);
    for (PersonId person : call.employees()) {
      Standpoint stands = Standpoint.of(call, person);
      assertThat(stands.since())
          .as("since when: %s of %s", stands, call)
          .isBetween(call.began(), scene.now());
      assertThat(stands.other()).as("with whom: %s of %s", stands, call).isNotNull();
      if (call.of(person) != null && stands.phase() != Phase.RINGING) {
        assertThat(MEANT.get(cord.kind()))
            .as("%s of %s, which stands like %s", stands, call, cord)
            .contains(stands.phase());
      }
    }
  }

  /** Never while held, never one who refused, every second of the rest. */
  private static void checkTaping(Call call, Connection owner) {
    Taping taping = Taping.of(call, owner);
    boolean wanted = TestOffice.ZOE.equals(owner.party().employee()) || owner.tape().on();
    List<Connection> others =
        call.connections().stream().filter(each -> each.answered() && each != owner).toList();
    boolean talk =
        owner.state() == ConnectionState.CONNECTED
            && owner.attended()
            && others.stream()
                .anyMatch(each -> each.state() == ConnectionState.CONNECTED && each.attended());
    boolean recordable =
        call.mailbox() == null
            && call.failure() == null
            && call.connections().stream()
                .noneMatch(
                    each ->
                        each.tape().refused()
                            || each.party().takesKeys()
                            || each.party().alwaysGoesOut());
    boolean forAnother = call.conference() && others.stream().anyMatch(each -> each.tape().on());
    boolean stopped = owner.tape().state() == Tape.State.STOPPED;
    assertThat(taping != null)
        .as("recorded for %s in %s", owner, call)
        .isEqualTo(wanted && talk && recordable && !forAnother && !stopped);
    if (taping != null) {
      for (Connection each : call.connections()) {
        boolean heard = taping.ours().contains(each.leg()) || taping.theirs().contains(each.leg());
        boolean silent = each.muted() || each.state() != ConnectionState.CONNECTED;
        assertThat(heard && silent).as("%s is recorded in %s", each, call).isFalse();
      }
    }
  }
}
