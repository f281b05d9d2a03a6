package oficina.core.handset;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.call.Party;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.decision.Refusal;
import oficina.core.exchange.Offers.Service;
import oficina.core.handset.Entry.Purpose;
import oficina.core.people.GroupId;
import oficina.core.state.Call;
import oficina.core.state.ConnectionState;
import org.jspecify.annotations.Nullable;

/**
 * One desk telephone: what its keys do now, and what it shows and sounds. Keys lead to effects,
 * which whoever connects the telephone carries out; what becomes of them is noticed by {@link
 * #follow}. It shows what the exchange says, so that it and the screen cannot differ.
 *
 * <p>Not safe for use by several threads.
 */
public final class Telephone {
  private static final Duration TOLD = Duration.ofSeconds(6);

  final Hand hand;
  final LineKeys lineKeys;
  final Services services;
  final SoftPresses softPresses = new SoftPresses(this);
  final Clockwork clockwork = new Clockwork(this);

  Panel.Path path = Panel.Path.NONE;
  boolean lifted;
  @Nullable Entry entry;
  @Nullable Listing listing;
  @Nullable Told told;

  /** Since when it is off the hook with no call; null while it is not. */
  @Nullable Instant idleSince;

  Panel.Path handsFree = Panel.Path.SPEAKER;
  private @Nullable CallId focus;
  private @Nullable CallId spokenHere;

  /** What the exchange answered, or what has happened here. */
  record Told(String code, Map<String, String> about, Instant until) {}

  /** Earlier calls to choose one from. */
  record Listing(Effect.Kind kind, List<Surroundings.Earlier> calls, int chosen) {}

  /**
   * @param device by which the exchange knows it
   */
  public Telephone(DeviceId device, Surroundings around) {
    hand = new Hand(around, device);
    lineKeys = new LineKeys(hand);
    services = new Services(hand);
  }

  /** What is to be seen and heard of it now. */
  public Panel panel(Instant now) {
    return new Drawing(this, now).panel();
  }

  /** When {@link #timeIsUp} is wanted; null when nothing is pending. */
  public @Nullable Instant nextDue(Instant now) {
    return clockwork.nextDue(now);
  }

  /** Has happen what is due. */
  public List<Effect> timeIsUp(Instant now) {
    if (told != null && !told.until().isAfter(now)) {
      told = null;
    }
    if (clockwork.dials(now)) {
      return call(entry.typed(), null);
    }
    return List.of();
  }

  /**
   * The exchange refused what was asked. A key pressed twice in a hurry has done what it should.
   */
  public void refused(Command asked, Refusal refusal, Instant now) {
    if (isSoAlready(asked, refusal.reason())) {
      return;
    }
    tell(refusal.code(), refusal.words(hand.around().exchange().office()::nameOf), now);
    if (path != Panel.Path.NONE && hand.activeHere() == null) {
      path = lifted ? Panel.Path.HANDSET : Panel.Path.NONE;
      idleSince = lifted ? now : null;
    }
  }

  private static boolean isSoAlready(Command asked, Refusal.Reason why) {
    return asked instanceof CallCommand.Hold && why == Refusal.Reason.NOT_ACTIVE
        || asked instanceof CallCommand.Retrieve && why == Refusal.Reason.NOT_HELD
        || asked instanceof CallCommand.Answer && why == Refusal.Reason.ANSWERED_HERE
        || asked instanceof CallCommand.Clear && why == Refusal.Reason.NO_SUCH_CALL;
  }

  /** Shows something for a while. */
  public void tell(String code, Map<String, String> about, Instant now) {
    told = new Told(code, about, now.plus(TOLD));
  }

  /** What was looked up. */
  public List<Effect> found(Effect.Kind kind, List<Surroundings.Earlier> calls, Instant now) {
    if (calls.isEmpty()) {
      tell("NOTHING_" + kind, Map.of(), now);
    } else if (kind == Effect.Kind.REDIAL) {
      String last = calls.get(0).dial();
      return last == null ? List.of() : call(last, null);
    } else {
      entry = null;
      listing = new Listing(kind, calls, 0);
    }
    return List.of();
  }

  // --- what the exchange does -------------------------------------------------------------------

  /** The calls of its holder, or what its keys stand for, have changed. */
  public void follow(Instant now) {
    Call active = hand.activeHere();
    if (active != null) {
      if (path == Panel.Path.NONE) {
        path = handsFree; // answered or placed on the screen
      }
      idleSince = null;
      if (!active.id().equals(spokenHere) && entry != null && entry.purpose() == Purpose.CALL) {
        entry = null;
      }
      if (!active.id().equals(spokenHere)) {
        focus = active.id();
        listing = null;
      }
    } else if (spokenHere != null) {
      over(now);
    }
    spokenHere = active == null ? null : active.id();
    if (hand.call(focus) == null) {
      focus = null;
    }
    if (entry != null && entry.call() != null && hand.call(entry.call()) == null) {
      entry = null; // whoever it was for has gone
    }
  }

  /** It is spoken no longer at this telephone. */
  private void over(Instant now) {
    Call elsewhere = hand.call(spokenHere);
    boolean moved = elsewhere != null && !hand.isHere(elsewhere);
    if (moved) {
      tell("GOES_ON_ELSEWHERE", Map.of(), now);
    }
    boolean held = elsewhere != null && !moved;
    if (lifted) {
      path = Panel.Path.HANDSET;
      idleSince = held ? null : now;
    } else if (!held && (entry == null || entry.purpose() != Purpose.CALL)) {
      path = Panel.Path.NONE;
    }
  }

  // --- keys -------------------------------------------------------------------------------------

  /** A key is pressed, or the handset lifted or put down. */
  public List<Effect> pressed(Key key, Instant now) {
    told = null;
    return switch (key.kind()) {
      case OFF_HOOK -> offHook(now);
      case ON_HOOK -> onHook(now);
      case SPEAKER -> handsFree(Panel.Path.SPEAKER, now);
      case HEADSET -> handsFree(Panel.Path.HEADSET, now);
      case DIGIT -> digit(key.digit(), now);
      case SOFT -> softPresses.press(key.number(), now);
      case LINE -> new LampPresses(this).press(key.number(), now);
      case MUTE -> toggle(Service.MUTE, Service.UNMUTE);
      case HOLD -> toggle(Service.HOLD, Service.RETRIEVE);
      case END -> end(now);
      case REDIAL -> List.of(new Effect.Look(Effect.Kind.REDIAL));
      case HISTORY -> List.of(new Effect.Look(Effect.Kind.HISTORY));
      case MISSED -> List.of(new Effect.Look(Effect.Kind.MISSED));
      case DIRECTORY -> directory(now);
      case MESSAGES -> messages(now);
      case UP -> step(-1, now);
      case DOWN -> step(1, now);
    };
  }

  private List<Effect> offHook(Instant now) {
    lifted = true;
    boolean speaking = path != Panel.Path.NONE;
    path = Panel.Path.HANDSET;
    return speaking && hand.activeHere() != null ? List.of() : opened(now);
  }

  /** Off the hook, or at the speaker or headset, with no call here: answers, dials or waits. */
  List<Effect> opened(Instant now) {
    Call ringing = hand.ringing();
    if (ringing != null) {
      return ask(services.command(ringing, Service.ANSWER));
    }
    if (hand.activeHere() != null) {
      return List.of();
    }
    if (entry != null && entry.purpose() == Purpose.CALL && !entry.typed().isEmpty()) {
      return call(meant(), null);
    }
    if (entry == null) {
      listing = null;
      entry = Entry.of(Purpose.CALL, null, now);
      idleSince = now;
    }
    return List.of();
  }

  private List<Effect> onHook(Instant now) {
    lifted = false;
    if (path != Panel.Path.HANDSET) {
      return List.of();
    }
    return quiet(now);
  }

  /** Quiet again, but for the handset while that is off the hook. */
  private List<Effect> quiet(Instant now) {
    path = lifted ? Panel.Path.HANDSET : Panel.Path.NONE;
    idleSince = lifted ? now : null;
    entry = null;
    Call active = hand.activeHere();
    return active == null ? List.of() : ask(services.hangUp(active));
  }

  private List<Effect> handsFree(Panel.Path wanted, Instant now) {
    handsFree = wanted;
    if (path != wanted) {
      boolean speaking = path != Panel.Path.NONE;
      path = wanted;
      return speaking ? List.of() : opened(now);
    }
    if (lifted) {
      path = Panel.Path.HANDSET;
      return List.of();
    }
    return quiet(now);
  }

  private List<Effect> digit(char digit, Instant now) {
    Call active = hand.activeHere();
    if (entry == null && active != null && hand.offers(active, Service.DIGITS)) {
      return ask(services.digits(active, digit));
    }
    if (entry != null && entry.purpose() == Purpose.WHICH_KEY) {
      return List.of();
    }
    if (entry != null && digit == '#' && entry.purpose() == Purpose.CALL) {
      return meant().isEmpty() ? List.of() : call(meant(), null);
    }
    listing = null;
    idleSince = null;
    entry = (entry == null ? Entry.of(Purpose.CALL, null, now) : entry).typed(digit, now);
    return List.of();
  }

  private List<Effect> toggle(Service on, Service off) {
    for (Service service : List.of(on, off)) {
      for (Call call : meantCalls()) {
        if (hand.offers(call, service)) {
          return ask(services.command(call, service));
        }
      }
    }
    return List.of();
  }

  /** The call that is chosen, the one that is spoken on, and all others. */
  private List<Call> meantCalls() {
    List<Call> calls = new ArrayList<>();
    if (focus() != null) {
      calls.add(focus());
    }
    calls.addAll(hand.calls());
    return calls;
  }

  List<Effect> end(Instant now) {
    if (entry != null || listing != null) {
      boolean waiting = entry != null && entry.purpose() == Purpose.CALL;
      entry = null;
      listing = null;
      return waiting && hand.activeHere() == null ? quiet(now) : List.of();
    }
    Call call = focus();
    if (call == null) {
      return quiet(now);
    }
    boolean held = call.of(hand.me()).state() == ConnectionState.HOLD;
    if (call.of(hand.me()).rings()) {
      return ask(services.command(call, Service.DECLINE));
    }
    boolean back = hand.offers(call, Service.RECONNECT);
    if (held && !call.id().equals(focus)) {
      return List.of(); // a held caller is ended only when one has chosen them
    }
    return ask(services.command(call, back ? Service.RECONNECT : Service.CLEAR));
  }

  private List<Effect> directory(Instant now) {
    listing = null;
    idleSince = null;
    if (entry == null) {
      entry = Entry.of(Purpose.CALL, null, now);
    }
    entry = entry.chosen(0, now);
    return List.of();
  }

  private List<Effect> messages(Instant now) {
    String extension = hand.around().exchange().office().settings().voicemail().extension();
    if (extension == null) {
      tell("NO_VOICEMAIL", Map.of(), now);
      return List.of();
    }
    return call(extension, null);
  }

  private List<Effect> step(int by, Instant now) {
    if (listing != null) {
      int count = listing.calls().size();
      int to = Math.floorMod(listing.chosen() + by, count);
      listing = new Listing(listing.kind(), listing.calls(), to);
    } else if (entry != null) {
      int last = found().size() - 1;
      entry = entry.chosen(Math.max(-1, Math.min(last, entry.chosen() + by)), now);
    } else {
      List<Call> calls = hand.calls();
      Call now1 = focus();
      if (now1 != null) {
        int at = calls.indexOf(now1);
        focus = calls.get(Math.floorMod(at + by, calls.size())).id();
      }
    }
    return List.of();
  }

  // --- what the keys mean -----------------------------------------------------------------------

  /** Whom the keys typed so far could mean. */
  List<Surroundings.Found> found() {
    return entry == null || !entry.purpose().finds() || entry.typed().isEmpty()
        ? List.of()
        : hand.around().find(entry.typed());
  }

  /** What has been dialled: the person who was chosen, or the number as it was typed. */
  String meant() {
    List<Surroundings.Found> found = found();
    int chosen = entry.chosen();
    return chosen >= 0 && chosen < found.size() ? found.get(chosen).number() : entry.typed();
  }

  /** The call that the keys mean: the one chosen, or what rings, is spoken on or held, in turn. */
  @Nullable Call focus() {
    Call chosen = hand.call(focus);
    Call ringing = hand.ringing();
    if (ringing != null && (chosen == null || !chosen.of(hand.me()).rings())) {
      return ringing;
    }
    List<Call> calls = hand.calls();
    return chosen != null || calls.isEmpty() ? chosen : calls.get(0);
  }

  /** Where every call of the holder goes; null when it rings here. */
  @Nullable Party forwardedTo(Instant now) {
    return hand.around().exchange().office().directions().forwardOf(hand.me(), now);
  }

  List<Effect> call(String number, @Nullable GroupId line) {
    entry = null;
    listing = null;
    idleSince = null;
    if (path == Panel.Path.NONE) {
      path = handsFree;
    }
    return ask(services.place(number, line));
  }

  static List<Effect> ask(Command command) {
    return List.of(new Effect.Do(command));
  }
}
