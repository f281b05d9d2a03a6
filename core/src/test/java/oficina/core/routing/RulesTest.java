package oficina.core.routing;

import static oficina.core.TestOffice.ADAEZE;
import static oficina.core.TestOffice.BRAM;
import static oficina.core.TestOffice.CELIA;
import static oficina.core.TestOffice.DOV;
import static oficina.core.TestOffice.FREIGHT;
import static oficina.core.TestOffice.FRONT_DESK;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.MARISOL;
import static oficina.core.TestOffice.TOMASZ;
import static oficina.core.TestOffice.ZOE;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import oficina.core.blocking.Block;
import oficina.core.blocking.BlockList;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.commands.NetworkCommand;
import oficina.core.commands.OfficeCommand;
import oficina.core.commands.SendCommand;
import oficina.core.decision.Refusal;
import oficina.core.events.MachineEvent;
import oficina.core.exchange.Scene;
import oficina.core.heard.Listening;
import oficina.core.history.Part;
import oficina.core.numbers.Dialled;
import oficina.core.numbers.PhoneNumber;
import oficina.core.office.Directions;
import oficina.core.office.Office;
import oficina.core.people.PersonId;
import oficina.core.people.Status;
import oficina.core.rules.CallRules;
import oficina.core.rules.Callers;
import oficina.core.rules.Destination;
import oficina.core.rules.Opening;
import oficina.core.rules.Rule;
import oficina.core.rules.Situation;
import oficina.core.rules.Timetable;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What people and lines decide about their calls, felt by calls to Tomasz. */
class RulesTest {
  private static final Party ME = new Party.Employee(TOMASZ);
  private static final Party TO_BRAM = new Party.Employee(BRAM);
  private static final Party FREIGHT_LINE = new Party.Members(FREIGHT);

  private final Scene scene = new Scene();
  private final Map<Party, CallRules> decided = new HashMap<>();
  private long rules;

  private static Callers of(Callers.Kind kind) {
    return kind == Callers.Kind.CHOSEN
        ? new Callers(kind, Set.of(CELIA), Set.of(DOV), Set.of("tern haulage"))
        : new Callers(kind, Set.of(), Set.of(), Set.of());
  }

  private Rule rule(Situation when, Callers callers, Destination to) {
    return new Rule(++rules, when, callers, null, null, to);
  }

  private void decide(Party owner, Rule... all) {
    decide(owner, new CallRules(List.of(all), List.of(), null));
  }

  private void decide(Party owner, CallRules all) {
    decided.put(owner, all);
    decide(BlockList.EMPTY, Opening.always(scene.office.office.identity().zone()));
  }

  private void decide(BlockList blocks, Opening opening) {
    Office usual = scene.office.office;
    scene.exchange.office(
        usual.with(
            new Directions(
                decided,
                blocks,
                opening,
                (number, viewer) -> number.equals(MARISOL) ? Set.of("tern haulage") : Set.of(),
                Map.of(),
                false)));
  }

  /** Puts Tomasz into the situation, as far as that is done before somebody calls. */
  private void be(Situation situation) {
    switch (situation) {
      case DO_NOT_DISTURB -> say(TOMASZ, Status.Kind.DO_NOT_DISTURB);
      case OFF_DUTY -> say(TOMASZ, Status.Kind.OFF_DUTY);
      case NOT_THERE -> scene.goes(TOMASZ);
      case BUSY -> {
        scene.answer(scene.call(ZOE, "221"), TOMASZ);
        scene.answer(scene.call(INES, "221"), TOMASZ);
        scene.answer(scene.call(ADAEZE, "221"), TOMASZ); // no more than three
      }
      default -> {}
    }
  }

  private void say(PersonId person, Status.Kind kind) {
    assertThat(scene.run(new OfficeCommand.SetStatus(person, kind, "", null))).isNull();
  }

  private CallId callFrom(String caller) {
    return switch (caller) {
      case "inside" -> scene.call(CELIA, "221");
      case "chosen" -> scene.arrive(DOV, "+441914980221");
      case "company" -> scene.arrive(MARISOL, "+441914980221");
      case "withheld" -> scene.arrive(null, "+441914980221");
      default -> scene.arrive(new PhoneNumber("+442079460123"), "+441914980221");
    };
  }

  private static final Map<Callers.Kind, Set<String>> INCLUDED =
      Map.of(
          Callers.Kind.ANYBODY,
          Set.of("inside", "chosen", "company", "withheld", "outside"),
          Callers.Kind.INSIDE,
          Set.of("inside"),
          Callers.Kind.OUTSIDE,
          Set.of("chosen", "company", "withheld", "outside"),
          Callers.Kind.WITHHELD,
          Set.of("withheld"),
          Callers.Kind.CHOSEN,
          Set.of("inside", "chosen", "company"));

  /** Every situation, whose calls the rule is for, and who calls: 175 cases. */
  static Stream<Arguments> cases() {
    List<Arguments> cases = new ArrayList<>();
    for (Situation situation : Situation.values()) {
      for (Callers.Kind kind : Callers.Kind.values()) {
        for (String caller : List.of("inside", "chosen", "company", "withheld", "outside")) {
          cases.add(Arguments.of(situation, kind, caller));
        }
      }
    }
    return cases.stream();
  }

  @ParameterizedTest
  @MethodSource("cases")
  void a_rule_sends_the_calls_it_is_for_to_somebody_else(
      Situation situation, Callers.Kind kind, String caller) {
    Rule rule = rule(situation, of(kind), Destination.to(TO_BRAM));
    be(situation);
    decide(ME, rule);
    CallId call = callFrom(caller);
    if (situation == Situation.DECLINED) {
      scene.run(new CallCommand.Decline(call, TOMASZ));
    } else if (situation == Situation.NO_ANSWER) {
      scene.wait(21);
    }
    boolean sent = INCLUDED.get(kind).contains(caller);
    assertThat(scene.exchange.state().inHand(BRAM).contains(call))
        .as("rings at Bram")
        .isEqualTo(sent);
    if (sent) {
      assertThat(scene.state(call).of(BRAM).forwardedFrom()).isEqualTo(ME);
      assertThat(scene.entry(call, TOMASZ).ruling())
          .isEqualTo(new Part.Ruling(situation, rule.id(), null, TO_BRAM));
    } else if (situation != Situation.ALWAYS) {
      boolean message = scene.state(call).mailbox() != null;
      assertThat(message).as("outsiders can leave a message").isEqualTo(!caller.equals("inside"));
    }
  }

  @Test
  void chosen_callers_break_through_and_others_do_not() {
    decide(ME, rule(Situation.DO_NOT_DISTURB, of(Callers.Kind.CHOSEN), Destination.RING));
    say(TOMASZ, Status.Kind.DO_NOT_DISTURB);
    assertThat(scene.state(callFrom("chosen")).of(TOMASZ)).isNotNull();
    CallId kept = callFrom("outside");
    assertThat(scene.state(kept).of(TOMASZ)).isNull();
    assertThat(scene.entry(kept, TOMASZ).result()).isEqualTo(Part.Result.MISSED_DO_NOT_DISTURB);
    CallId colleague = scene.call(ZOE, "221");
    assertThat(scene.state(colleague).failure().cause()).isEqualTo(Cause.DO_NOT_DISTURB);
  }

  @Test
  void a_rule_for_when_one_is_on_a_call_counts_also_where_another_could_ring() {
    scene.answer(scene.call(ZOE, "221"), TOMASZ);
    CallId rings = callFrom("outside");
    assertThat(scene.state(rings).of(TOMASZ)).as("softly").isNotNull();
    scene.run(new NetworkCommand.NetworkClears(rings, 1));
    decide(ME, rule(Situation.BUSY, of(Callers.Kind.OUTSIDE), Destination.to(TO_BRAM)));
    assertThat(scene.state(callFrom("outside")).of(BRAM)).isNotNull();
    assertThat(scene.state(callFrom("inside")).of(TOMASZ)).as("no rule for them").isNotNull();
    decide(ME, rule(Situation.BUSY, Callers.ANYBODY, Destination.RING));
    assertThat(scene.state(callFrom("withheld")).of(TOMASZ)).isNotNull();
  }

  @Test
  void a_status_undoes_itself() {
    scene.run(
        new OfficeCommand.SetStatus(
            TOMASZ, Status.Kind.DO_NOT_DISTURB, "Stock-taking", scene.now().plusSeconds(600)));
    assertThat(scene.exchange.state().status(TOMASZ).text()).isEqualTo("Stock-taking");
    scene.wait(599);
    assertThat(scene.state(callFrom("outside")).of(TOMASZ)).isNull();
    scene.wait(2);
    assertThat(scene.exchange.state().status(TOMASZ)).isNull();
    assertThat(scene.state(callFrom("chosen")).of(TOMASZ)).isNotNull();
    assertThat(scene.run(new OfficeCommand.SetStatus(TOMASZ, Status.Kind.AWAY, "", scene.now())))
        .as("until now")
        .isNotNull();
    Command far =
        new OfficeCommand.SetStatus(
            TOMASZ, Status.Kind.AWAY, "", scene.now().plus(Duration.ofDays(400_000_000L)));
    assertThat(scene.run(far).reason()).isEqualTo(Refusal.Reason.TIME_TOO_FAR);
  }

  @Test
  void a_number_at_which_nobody_presses_a_key_swallows_no_call() {
    Party mobile = new Party.Outside(MARISOL);
    CallRules.Ring alone = new CallRules.Ring(List.of(mobile), Duration.ofSeconds(10));
    decide(ME, new CallRules(List.of(), List.of(alone), null));
    CallId call = callFrom("outside");
    scene.run(new NetworkCommand.NetworkAnswers(call, 2));
    assertThat(Listening.of(scene.state(call), scene.state(call).leg(1)).sound())
        .isEqualTo(Listening.Sound.RINGING);
    scene.wait(14);
    assertThat(scene.state(call).leg(2).state()).isEqualTo(ConnectionState.ASKED);
    scene.wait(2);
    assertThat(scene.state(call).mailbox().party().mailboxOf()).isEqualTo(ME);
    scene.run(new NetworkCommand.NetworkClears(call, 1));

    decide(ME, rule(Situation.ALWAYS, Callers.ANYBODY, Destination.to(mobile)));
    CallId forwarded = callFrom("outside");
    scene.run(new NetworkCommand.NetworkAnswers(forwarded, 2));
    assertThat(scene.state(forwarded).conversation()).as("it was sent there").isTrue();
  }

  @Test
  void it_rings_at_one_place_after_the_other_and_at_an_outside_number_beside() {
    Duration time = Duration.ofSeconds(10);
    Party mobile = new Party.Outside(MARISOL);
    CallRules.Ring first = new CallRules.Ring(List.of(ME), time);
    CallRules.Ring then = new CallRules.Ring(List.of(ME, TO_BRAM, mobile), time);
    decide(ME, new CallRules(List.of(), List.of(first, then), null));
    CallId call = callFrom("outside");
    assertThat(scene.state(call).of(BRAM)).isNull();
    scene.wait(10);
    assertThat(scene.state(call).of(TOMASZ)).isNotNull();
    assertThat(scene.state(call).of(BRAM).line()).as("on Tomasz' line").isEqualTo(ME);
    int leg = scene.state(call).connections().size();
    scene.run(new NetworkCommand.NetworkRings(call, scene.state(call).nextLeg() - 1));
    assertThat(leg).isEqualTo(4);
    int outside = scene.state(call).nextLeg() - 1;
    scene.run(new NetworkCommand.NetworkAnswers(call, outside));
    assertThat(scene.state(call, BRAM))
        .as("a mailbox would have")
        .isEqualTo(ConnectionState.ALERTING);
    Connection asked = scene.state(call).leg(outside);
    assertThat(Listening.of(scene.state(call), asked).sound()).isEqualTo(Listening.Sound.ASKED);
    scene.run(new NetworkCommand.NetworkKeys(call, outside, "5"));
    assertThat(scene.state(call).leg(outside).answered()).isFalse();
    scene.run(new NetworkCommand.NetworkKeys(call, outside, "1"));
    assertThat(scene.state(call).connections()).as("nobody else rings").hasSize(2);
    scene.run(new NetworkCommand.NetworkClears(call, 1));
    CallId declined = callFrom("outside");
    scene.run(new CallCommand.Decline(declined, TOMASZ));
    assertThat(scene.state(declined).mailbox()).as("no further place").isNotNull();
  }

  @Test
  void a_line_is_closed_outside_its_hours_and_one_who_rests_is_not_rung() {
    Timetable week =
        new Timetable(
            List.of(
                new Timetable.Span(
                    Set.of(DayOfWeek.MONDAY), LocalTime.of(8, 0), LocalTime.of(17, 0))),
            Timetable.OnHolidays.NOT,
            null,
            null);
    decide(FREIGHT_LINE, new CallRules(List.of(), List.of(), week));
    CallId open = scene.arrive(DOV, "+441914980220");
    assertThat(scene.state(open).of(TOMASZ)).as("Monday, nine o'clock").isNotNull();
    scene.run(new NetworkCommand.NetworkClears(open, 1));
    scene.wait(9 * 3600);
    CallId closed = scene.arrive(DOV, "+441914980220");
    assertThat(scene.state(closed).mailbox()).isNotNull();
    assertThat(scene.events)
        .anySatisfy(
            event ->
                assertThat(event)
                    .isInstanceOfSatisfying(
                        MachineEvent.MailboxAnswered.class,
                        e -> assertThat(e.occasion().name()).isEqualTo("CLOSED")));
    assertThat(scene.entry(closed, TOMASZ).result()).isEqualTo(Part.Result.MISSED_CLOSED);
  }

  @Test
  void a_call_that_goes_round_in_a_circle_ends_at_the_front_desk() {
    decide(ME, rule(Situation.ALWAYS, Callers.ANYBODY, Destination.to(TO_BRAM)));
    decide(TO_BRAM, rule(Situation.ALWAYS, Callers.ANYBODY, Destination.to(ME)));
    CallId call = callFrom("outside");
    assertThat(scene.state(call).of(INES).line()).isEqualTo(new Party.Members(FRONT_DESK));
    Office now = scene.exchange.office();
    assertThat(new RuleCheck(now).faults(ME).get(0).kind()).isEqualTo(RuleCheck.Kind.CIRCLE);
  }

  @Test
  void what_is_sent_on_by_a_colleague_comes_back_to_them_when_nobody_answers() {
    decide(ME, rule(Situation.NO_ANSWER, Callers.ANYBODY, Destination.to(TO_BRAM)));
    CallId call = scene.arrive(DOV, "+441914980214");
    scene.answer(call, CELIA);
    scene.run(
        new SendCommand.PutThrough(
            call, CELIA, scene.office.plan.interpret("221"), null, /* unanswered= */ null));
    scene.wait(21);
    assertThat(scene.state(call).of(CELIA)).as("back").isNotNull();
    assertThat(scene.state(call).of(BRAM)).isNull();
  }

  @Test
  void one_calls_out_on_a_line_of_ones_own_and_on_no_other() {
    Dialled dov = scene.office.plan.interpret(DOV.e164());
    CallId call = scene.nextId();
    scene.run(new CallCommand.MakeCall(call, TOMASZ, Scene.WINDOW, dov, null, FREIGHT, null));
    assertThat(scene.state(call).callerId().number()).isEqualTo(new PhoneNumber("+441914980220"));
    scene.clear(call, TOMASZ);
    Command others =
        new CallCommand.MakeCall(scene.nextId(), TOMASZ, Scene.WINDOW, dov, null, FRONT_DESK, null);
    assertThat(scene.run(others).reason()).isEqualTo(Refusal.Reason.NOT_YOUR_LINE);
    CallId help = scene.nextId();
    Dialled emergency = scene.office.plan.interpret("999");
    scene.run(new CallCommand.MakeCall(help, TOMASZ, Scene.WINDOW, emergency, null, FREIGHT, null));
    assertThat(scene.state(help).callerId().number())
        .as("whoever calls for help has to be found")
        .isEqualTo(new PhoneNumber("+441914980221"));
  }

  @Test
  void whoever_is_blocked_is_kept_out_and_the_nearest_block_counts() {
    List<Block> blocks =
        List.of(
            new Block(1, null, Block.Kind.BEGINNING, "+44151", Block.Answer.REFUSED, ""),
            new Block(2, TOMASZ, Block.Kind.NUMBER, MARISOL.e164(), Block.Answer.RINGS_ON, ""),
            new Block(3, TOMASZ, Block.Kind.WITHHELD, "", Block.Answer.BUSY, ""),
            new Block(4, TOMASZ, Block.Kind.BEGINNING, "+44207", Block.Answer.NOT_IN_USE, ""));
    decide(new BlockList(blocks), Opening.always(scene.office.office.identity().zone()));
    CallId refused = callFrom("chosen");
    assertThat(scene.state(refused).failure().cause()).isEqualTo(Cause.BLOCKED);
    assertThat(scene.entry(refused, TOMASZ).result()).isEqualTo(Part.Result.BLOCKED);
    assertThat(scene.entry(refused, TOMASZ).ruling().block()).isEqualTo(1);
    CallId ringsOn = callFrom("company");
    assertThat(scene.state(ringsOn).failure().cause()).isEqualTo(Cause.RINGS_ON);
    scene.wait(181);
    assertThat(scene.state(ringsOn)).as("not for ever").isNull();
    assertThat(scene.state(callFrom("withheld")).failure().cause()).isEqualTo(Cause.BUSY);
    assertThat(scene.state(callFrom("outside")).failure().cause())
        .isEqualTo(Cause.NUMBER_NOT_IN_USE);
    scene.wait(60);
    CallId toOthers = scene.arrive(MARISOL, "+441914980222");
    assertThat(scene.state(toOthers).of(ZOE)).as("blocked by Tomasz alone").isNotNull();
    scene.run(new NetworkCommand.NetworkClears(toOthers, 1));
    CallId help = scene.call(CELIA, "999");
    scene.clear(help, CELIA);
    assertThat(scene.state(callFrom("chosen")).of(TOMASZ))
        .as("whoever was called for help may call back")
        .isNotNull();
  }
}
