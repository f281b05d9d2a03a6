package oficina.core.handset;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import oficina.core.call.Party;
import oficina.core.handset.Entry.Purpose;
import oficina.core.people.Person;
import oficina.core.people.Status;
import oficina.core.seen.Announced;
import oficina.core.seen.Standpoint;
import oficina.core.seen.Standpoint.Phase;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.tones.Cadence;
import oficina.core.tones.Tones;
import org.jspecify.annotations.Nullable;

/** Draws up what is to be seen and heard of a telephone. */
final class Drawing {
  private final Telephone phone;
  private final Hand hand;
  private final Instant now;
  private final List<Panel.Line> lines = new ArrayList<>();

  Drawing(Telephone phone, Instant now) {
    this.phone = phone;
    this.hand = phone.hand;
    this.now = now;
  }

  Panel panel() {
    display();
    List<Panel.Line> shown = lines.subList(0, Math.min(Panel.LINES, lines.size()));
    return new Panel(
        holder(), shown, phone.softPresses.keys(now), phone.lineKeys.all(now), sounds());
  }

  private Panel.Holder holder() {
    Surroundings.Messages messages = hand.around().messages();
    Person person = hand.around().exchange().office().directory().person(hand.me()).orElse(null);
    return new Panel.Holder(
        person == null ? "" : person.name(),
        person == null ? "" : person.extension(),
        hand.around().lent(),
        hand.around().lentUntil(),
        messages.fresh(),
        messages.old());
  }

  // --- the display ------------------------------------------------------------------------------

  private void display() {
    if (phone.told != null) {
      lines.add(Panel.Line.of("TOLD_" + phone.told.code(), phone.told.about()));
    }
    if (phone.entry != null) {
      entry(phone.entry);
      return;
    }
    if (phone.listing != null) {
      listing(phone.listing);
      return;
    }
    Call focus = phone.focus();
    List<Call> calls = hand.calls();
    calls.forEach(call -> lines.add(call(call, call.equals(focus) && calls.size() > 1)));
    if (calls.isEmpty()) {
      idle();
    }
  }

  private void idle() {
    Panel.Holder holder = holder();
    lines.add(
        Panel.Line.of("IDLE", Map.of("name", holder.name(), "extension", holder.extension())));
    Status status = hand.around().exchange().state().status(hand.me());
    if (status != null) {
      lines.add(Panel.Line.of("STATUS_" + status.kind(), Map.of("text", status.text())));
    }
    Party forwarded = phone.forwardedTo(now);
    if (forwarded != null) {
      lines.add(Panel.Line.of("FORWARDED", Map.of("name", hand.around().name(forwarded))));
    }
    if (holder.lent()) {
      lines.add(Panel.Line.of("LENT"));
    }
    if (holder.fresh() > 0) {
      lines.add(Panel.Line.of("MESSAGES", Map.of("count", Integer.toString(holder.fresh()))));
    }
    if (phone.lifted) {
      lines.add(Panel.Line.of("PUT_DOWN"));
    }
  }

  private Panel.Line call(Call call, boolean chosen) {
    Connection mine = call.of(hand.me());
    Standpoint stands = Standpoint.of(call, hand.me());
    Party other = stands.other();
    Map<String, String> about = new HashMap<>();
    about.put("name", other == null ? "" : hand.around().name(other));
    about.put("count", Integer.toString(call.parties()));
    Party line = mine.line();
    boolean others = line != null && line.group() != null;
    about.put("line", others ? hand.around().name(line) : "");
    about.put("given", call.place() == null ? "" : call.place().given());
    Party announced = Announced.to(hand.me(), call, hand.around().exchange().state());
    about.put("announced", announced == null ? "" : hand.around().name(announced));
    about.put("here", Boolean.toString(mine.device() == null || hand.isHere(call)));
    if (call.failure() != null) {
      about.put("why", call.failure().cause().name());
    }
    Instant since = call.failure() != null ? null : stands.since();
    boolean announces = stands.phase() == Phase.RINGING && announced != null;
    String code = announces ? "CALL_ANNOUNCES" : code(stands.phase(), call, mine);
    return new Panel.Line(code, about, since, chosen);
  }

  private static String code(Phase phase, Call call, Connection mine) {
    return switch (phase) {
      case RINGING -> call.ringsBackAt(mine) ? "CALL_RINGS_BACK" : "CALL_RINGS";
      case HELD -> mine.reminded() ? "CALL_HELD_LONG" : "CALL_HELD";
      case TALKING -> call.conference() ? "CALL_CONFERENCE" : "CALL_TALKING";
      default -> "CALL_" + phase;
    };
  }

  private void entry(Entry entry) {
    Call call = hand.call(entry.call());
    if (call != null) {
      lines.add(call(call, false));
    }
    Map<String, String> about = new HashMap<>();
    about.put("key", Integer.toString(entry.key() + 1));
    about.put("extension", entry.extension());
    lines.add(Panel.Line.of("ENTRY_" + entry.purpose(), about));
    if (entry.purpose() == Purpose.WHICH_KEY) {
      return;
    }
    boolean secret = entry.purpose() == Purpose.PIN;
    String typed = secret ? "•".repeat(entry.typed().length()) : entry.typed();
    boolean asTyped = entry.chosen() < 0 && !typed.isEmpty();
    lines.add(new Panel.Line("TYPED", Map.of("text", typed), null, asTyped));
    window(phone.found().stream().map(Drawing::line).toList(), entry.chosen());
  }

  private static Panel.Line line(Surroundings.Found found) {
    return Panel.Line.of("FOUND", Map.of("name", found.name(), "number", found.shown()));
  }

  private void listing(Telephone.Listing listing) {
    lines.add(Panel.Line.of("LIST_" + listing.kind()));
    window(
        listing.calls().stream()
            .map(
                each ->
                    Panel.Line.of(
                        "EARLIER_" + each.what(),
                        Map.of("name", each.name(), "at", each.at().toString())))
            .toList(),
        listing.chosen());
  }

  /** As many as there is room for, the chosen one among them. */
  private void window(List<Panel.Line> all, int chosen) {
    int room = Math.max(1, Panel.LINES - lines.size());
    int first = Math.max(0, Math.min(chosen - room + 1, all.size() - room));
    for (int i = first; i < Math.min(all.size(), first + room); i++) {
      Panel.Line line = all.get(i);
      lines.add(new Panel.Line(line.code(), line.about(), line.since(), i == chosen));
    }
  }

  // --- what is heard ----------------------------------------------------------------------------

  private Panel.Sounds sounds() {
    Call active = hand.activeHere();
    boolean talking = active != null && phone.path != Panel.Path.NONE;
    boolean muted = active != null && active.of(hand.me()).muted();
    return new Panel.Sounds(
        phone.path, phone.lifted, talking, muted, ring(), talking ? null : tone());
  }

  private Panel.Ring ring() {
    Call ringing = hand.loud();
    Instant rings = phone.clockwork.rings();
    if (rings == null || rings.isAfter(now)) {
      return Panel.Ring.NOT;
    }
    if (hand.active() != null || phone.path != Panel.Path.NONE) {
      return Panel.Ring.BESIDE;
    }
    boolean outside =
        ringing.caller().outsideNumber() != null || ringing.caller().employee() == null;
    return outside ? Panel.Ring.OUTSIDE : Panel.Ring.INSIDE;
  }

  private @Nullable Cadence tone() {
    if (phone.idleSince == null
        || phone.path == Panel.Path.NONE
        || phone.clockwork.remindedEnough(now)) {
      return null;
    }
    Tones tones = Tones.in(hand.around().exchange().office().identity().region().code());
    boolean dials = now.isBefore(phone.idleSince.plus(Clockwork.DIALLING_TONE));
    return dials ? tones.dialling() : Tones.OFF_HOOK;
  }
}
