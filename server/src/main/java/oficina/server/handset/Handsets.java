package oficina.server.handset;

import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import oficina.core.call.DeviceId;
import oficina.core.call.DeviceKind;
import oficina.core.commands.Command;
import oficina.core.commands.OfficeCommand;
import oficina.core.decision.Decision;
import oficina.core.decision.Refusal;
import oficina.core.handset.Effect;
import oficina.core.handset.Key;
import oficina.core.handset.Wish;
import oficina.core.people.PersonId;
import oficina.core.state.Device;
import oficina.core.state.ExchangeState;
import oficina.server.contacts.Contacts;
import oficina.server.exchange.ExchangeListener;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.exchange.Told;
import oficina.server.exchange.Turn;
import oficina.server.office.OfficeData;
import oficina.server.people.Parties;
import oficina.server.softphone.Softphones;
import oficina.server.sound.SoundEngine;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * The desk telephones that are plugged in, by the owner of each. Everything happens on the
 * exchange's thread: keys come in, commands go to the exchange, and what follows from events is
 * shown.
 */
@Component
public class Handsets implements ExchangeListener {
  /** How long one may be away with no call, as during a restart of it, before it counts as gone. */
  private static final Duration GRACE = Duration.ofSeconds(5);

  private static final Duration AFTER_A_RESTART = Duration.ofSeconds(10);

  /** What a telephone wants that is not asked of the exchange. */
  interface Wishes {
    void wants(Plugged from, Wish wish);
  }

  private final ExchangeLoop loop;
  private final OfficeData office;
  private final Softphones softphones;
  private final Sounding sounding;
  private final Lookups lookups;
  private final Loans loans;
  private final Topics topics;
  private final Plugged.Around around;
  private final Map<PersonId, Plugged> plugged = new LinkedHashMap<>();
  private final Set<Plugged> changed = new HashSet<>();
  private Wishes wishes = (from, wish) -> {};

  Handsets(
      ExchangeLoop loop,
      OfficeData office,
      Softphones softphones,
      SoundEngine engine,
      Lookups lookups,
      Loans loans,
      LampKeys keys,
      Choices choices,
      Parties parties,
      Contacts contacts,
      Topics topics) {
    this.loop = loop;
    this.office = office;
    this.softphones = softphones;
    sounding = new Sounding(engine);
    this.lookups = lookups;
    this.loans = loans;
    this.topics = topics;
    around = new Plugged.Around(loop.exchange(), parties, contacts, keys, choices);
    loop.listen(this);
    office.onChange((before, after) -> loop.post(this::officeChanged));
    topics.follow(
        (people, topic) -> {
          if (topic == Topic.VOICEMAIL) {
            loop.post(() -> messagesChanged(people));
          }
        });
  }

  /** Has somebody carry out what is not asked of the exchange. */
  void onWish(Wishes listener) {
    wishes = listener;
  }

  // --- the port ---------------------------------------------------------------------------------

  /**
   * A telephone is plugged in. Only from the exchange's thread.
   *
   * @param inPlaceOf whether it takes the place of another one with this identity
   * @return false when there is another one
   */
  public boolean plug(PersonId owner, Handset handset, boolean inPlaceOf) {
    Plugged before = plugged.get(owner);
    if (before != null && !inPlaceOf) {
      return false;
    }
    if (before != null) {
      sounding.end(before);
      before.handset.replaced();
    }
    begin(owner, handset);
    return true;
  }

  private void begin(PersonId owner, Handset handset) {
    Plugged there = new Plugged(owner, handset, loans.of(owner), around);
    plugged.put(owner, there);
    takeFromOthers(there);
    loop.run(
        new OfficeCommand.DeviceComes(there.holder, there.device(), DeviceKind.TELEPHONE, true));
    loop.run(new OfficeCommand.Tick()); // somebody may have waited for them
    count(there);
    show(there);
  }

  /** Whatever a failure has left behind: a telephone is one person's at a time. */
  private void takeFromOthers(Plugged there) {
    for (PersonId person : loop.state().reachable()) {
      boolean has =
          loop.state().devices(person).stream().anyMatch(d -> d.id().equals(there.device()));
      if (has && !person.equals(there.holder)) {
        loop.run(new OfficeCommand.DeviceGoes(person, there.device()));
      }
    }
  }

  /** It is no longer there. Only from the exchange's thread. */
  public void unplug(PersonId owner, Handset handset) {
    Plugged gone = plugged.get(owner);
    if (gone == null || gone.handset != handset) {
      return;
    }
    plugged.remove(owner);
    sounding.end(gone);
    if (onCall(gone)) {
      goes(gone);
    } else {
      loop.later(GRACE, () -> goes(gone));
    }
  }

  private void goes(Plugged gone) {
    if (!plugged.containsKey(gone.owner)) {
      loop.run(new OfficeCommand.DeviceGoes(loans.holder(gone.owner), gone.device()));
    }
  }

  private boolean onCall(Plugged there) {
    ExchangeState state = loop.state();
    return state.inHand(there.holder).stream()
        .map(call -> state.call(call).of(there.holder).device())
        .anyMatch(there.device()::equals);
  }

  /** A key of it is pressed. Only from the exchange's thread. */
  public void pressed(PersonId owner, Handset handset, Key key) {
    Plugged there = plugged.get(owner);
    if (there != null && there.handset == handset) {
      there.telephone.follow(loop.now());
      carryOut(there, there.telephone.pressed(key, loop.now()));
    }
  }

  /**
   * Connects its sound.
   *
   * @param sdp what it offers
   * @return the answer
   */
  public String hears(PersonId owner, Handset handset, String sdp) {
    Softphones.Handset sound = softphones.handset(owner, sdp);
    loop.post(
        () -> {
          Plugged there = plugged.get(owner);
          if (there == null || there.handset != handset) {
            sound.close().run();
            return;
          }
          sounding.begin(there, sound);
        });
    return sound.sdp();
  }

  // --- whose it is ------------------------------------------------------------------------------

  /** The one of this person, if it is plugged in. Only from the exchange's thread. */
  @Nullable Plugged of(PersonId owner) {
    return plugged.get(owner);
  }

  /** All that are plugged in. Only from the exchange's thread. */
  Collection<Plugged> all() {
    return List.copyOf(plugged.values());
  }

  /** The holder of a telephone is another one from now on, as the exchange knows already. */
  void changesHands(Plugged there) {
    Plugged now = new Plugged(there.owner, there.handset, loans.of(there.owner), around);
    plugged.put(there.owner, now);
    sounding.goesOn(there, now);
    count(now);
    show(now);
  }

  // --- what keys lead to ------------------------------------------------------------------------

  /** Nothing, when it has become somebody else's since it was asked for. */
  private void carryOut(Plugged there, List<Effect> effects) {
    if (plugged.get(there.owner) != there) {
      return;
    }
    effects.forEach(effect -> effect.accept(new CarryingOut(there)));
    show(there);
  }

  /** Does what a key wants. The answers say nothing. */
  private final class CarryingOut implements Effect.Cases<@Nullable Void> {
    private final Plugged there;

    CarryingOut(Plugged there) {
      this.there = there;
    }

    @Override
    public @Nullable Void of(Effect.Do effect) {
      Command command = effect.command();
      loop.submit(command).thenAccept(decision -> loop.post(() -> answered(command, decision)));
      return null;
    }

    private void answered(Command command, Decision decision) {
      if (decision instanceof Refusal refusal) {
        there.telephone.refused(command, refusal, loop.now());
      }
      show(there);
    }

    @Override
    public @Nullable Void of(Effect.Look effect) {
      lookups.later(
          () -> {
            var calls = lookups.calls(there.holder, effect.kind());
            loop.post(
                () -> carryOut(there, there.telephone.found(effect.kind(), calls, loop.now())));
          });
      return null;
    }

    @Override
    public @Nullable Void of(Wish wish) {
      wishes.wants(there, wish);
      return null;
    }
  }

  /** What this person has chosen for their devices is another one now. */
  void choiceChanged(PersonId person) {
    loop.post(() -> showSoon(each -> each.holder.equals(person)));
  }

  /** Tells a telephone something, if it is still the same person's. */
  void tell(Plugged there, String code, Map<String, String> about) {
    loop.post(
        () -> {
          Plugged now = plugged.get(there.owner);
          if (now != null && now.handset == there.handset) {
            now.telephone.tell(code, about, loop.now());
            show(now);
          }
        });
  }

  // --- what is shown ----------------------------------------------------------------------------

  private void show(Plugged there) {
    if (plugged.get(there.owner) != there) {
      return;
    }
    Instant now = loop.now();
    there.show(now);
    Instant due = there.telephone.nextDue(now);
    if (due != null && !due.equals(there.wakes)) {
      there.wakes = due;
      loop.later(Duration.between(now, due), () -> wake(there, due));
    }
  }

  private void wake(Plugged there, Instant due) {
    if (due.equals(there.wakes) && plugged.get(there.owner) == there) {
      there.wakes = null;
      carryOut(there, there.telephone.timeIsUp(loop.now()));
    }
  }

  private void count(Plugged there) {
    lookups.later(
        () -> {
          var messages = lookups.messages(there.holder);
          loop.post(
              () -> {
                there.has(messages);
                show(there);
              });
        });
  }

  private void messagesChanged(Collection<PersonId> people) {
    all().stream().filter(each -> people.contains(each.holder)).forEach(this::count);
  }

  /** Once for everything that one command has led to. */
  private void showSoon(Predicate<Plugged> which) {
    boolean first = changed.isEmpty();
    plugged.values().stream().filter(which).forEach(changed::add);
    if (first && !changed.isEmpty()) {
      loop.post(
          () -> {
            List<Plugged> all = List.copyOf(changed);
            changed.clear();
            all.forEach(this::show);
          });
    }
  }

  @Override
  public Turn turn() {
    return Turn.DEVICES;
  }

  @Override
  public void happened(Told told) {
    if (told.event().deviceOf() != null) {
      topics.tell(told.event().deviceOf(), Topic.DEVICES);
    }
    Concerned concerned = Concerned.by(told);
    showSoon(each -> each.concernedBy(concerned));
  }

  @Override
  public void ruleEnded() {
    showSoon(each -> true);
  }

  /** Whoever is no longer of the office has no telephone, and none that is lent to them. */
  private void officeChanged() {
    for (Plugged each : all()) {
      if (office.directory().person(each.owner).isEmpty()) {
        plugged.remove(each.owner);
        sounding.end(each);
        each.handset.replaced();
      } else if (office.directory().person(each.holder).isEmpty()) {
        loans.giveBack(each.owner);
        loop.run(
            new OfficeCommand.DeviceComes(each.owner, each.device(), DeviceKind.TELEPHONE, true));
        changesHands(each);
      }
    }
    showSoon(each -> true);
  }

  /** Telephones that were there when the server stopped are given time to connect again. */
  @Override
  public void takenUp(ExchangeState state) {
    for (PersonId person : state.reachable()) {
      for (Device device : state.devices(person)) {
        if (device.id().telephoneOwner() != null) {
          loop.later(AFTER_A_RESTART, () -> goneSince(person, device.id()));
        }
      }
    }
  }

  private void goneSince(PersonId person, DeviceId device) {
    if (plugged.values().stream().noneMatch(each -> each.device().equals(device))) {
      loop.run(new OfficeCommand.DeviceGoes(person, device));
    }
  }
}
