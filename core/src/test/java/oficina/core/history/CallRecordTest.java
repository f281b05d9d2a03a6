package oficina.core.history;

import static oficina.core.TestOffice.ADAEZE;
import static oficina.core.TestOffice.BRAM;
import static oficina.core.TestOffice.DOV;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.MARISOL;
import static oficina.core.TestOffice.TOMASZ;
import static oficina.core.TestOffice.ZOE;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.commands.CallCommand;
import oficina.core.commands.ConferenceCommand;
import oficina.core.commands.NetworkCommand;
import oficina.core.commands.SendCommand;
import oficina.core.exchange.Scene;
import oficina.core.history.Part.Direction;
import oficina.core.history.Part.Result;
import oficina.core.history.Segment.Kind;
import oficina.core.history.ToReturn.Change;
import org.junit.jupiter.api.Test;

/** What is remembered of a call by each who had a part in it, and whom they should call back. */
class CallRecordTest {
  private static final Party DOV_OUTSIDE = new Party.Outside(DOV);
  private final Scene scene = new Scene();

  @Test
  void each_has_their_own_part_and_all_have_one_course() {
    CallId call = scene.arrive(DOV, "+441914980221");
    scene.wait(5);
    scene.answer(call, TOMASZ);
    scene.wait(60);
    scene.run(new CallCommand.Hold(call, TOMASZ));
    scene.wait(15);
    scene.run(new CallCommand.Retrieve(call, TOMASZ));
    scene.run(
        new SendCommand.PutThrough(call, TOMASZ, scene.office.plan.interpret("222"), null, null));
    scene.wait(4);
    scene.answer(call, ZOE);
    scene.wait(30);
    scene.run(new NetworkCommand.NetworkClears(call, 1));

    Part tomasz = scene.entry(call, TOMASZ);
    assertThat(tomasz.rang()).hasSeconds(5);
    assertThat(tomasz.talked()).hasSeconds(60);
    assertThat(tomasz.held()).hasSeconds(15);
    assertThat(tomasz.ending()).isEqualTo(Part.Ending.WENT_ON);
    Part zoe = scene.entry(call, ZOE);
    assertThat(zoe.direction()).isEqualTo(Direction.RECEIVED);
    assertThat(zoe.other()).isEqualTo(DOV_OUTSIDE);
    assertThat(zoe.talked()).hasSeconds(30);
    assertThat(zoe.endedBy()).isEqualTo(DOV_OUTSIDE);
    assertThat(scene.course(call))
        .extracting(Segment::kind)
        .containsExactly(Kind.RINGING, Kind.TALKING, Kind.HELD, Kind.RINGING, Kind.TALKING);
  }

  @Test
  void of_a_group_one_answers_and_for_the_others_it_was_answered_elsewhere() {
    CallId call = scene.arrive(DOV, "+441914980100");
    scene.answer(call, ADAEZE);
    scene.clear(call, ADAEZE);
    Part ines = scene.entry(call, INES);
    assertThat(ines.result()).isEqualTo(Result.ANSWERED_ELSEWHERE);
    assertThat(ines.answeredBy()).isEqualTo(ADAEZE);
    assertThat(ines.result().missed()).isFalse();
    assertThat(ToReturn.of(ines)).isNull();
  }

  @Test
  void whoever_was_missed_is_on_the_list_of_the_line_they_called() {
    CallId own = scene.arrive(DOV, "+441914980221");
    scene.wait(40);
    assertThat(ToReturn.of(scene.entry(own, TOMASZ)))
        .isEqualTo(new Change("p5", DOV.e164(), /* missed= */ true));
    CallId groups = scene.arrive(DOV, "+441914980100");
    scene.wait(60);
    assertThat(ToReturn.of(scene.entry(groups, INES)))
        .isEqualTo(new Change("g1", DOV.e164(), /* missed= */ true));
    CallId withheld = scene.arrive(null, "+441914980221");
    scene.wait(40);
    assertThat(ToReturn.of(scene.entry(withheld, TOMASZ))).as("nobody to call").isNull();
  }

  @Test
  void an_outside_number_leaves_every_list_and_a_colleague_only_ones_own() {
    CallId outside = scene.arrive(DOV, "+441914980221");
    scene.answer(outside, TOMASZ);
    scene.clear(outside, TOMASZ);
    assertThat(ToReturn.of(scene.entry(outside, TOMASZ)))
        .isEqualTo(new Change(null, DOV.e164(), /* missed= */ false));
    CallId inside = scene.call(BRAM, "221");
    scene.answer(inside, TOMASZ);
    scene.clear(inside, TOMASZ);
    assertThat(ToReturn.of(scene.entry(inside, TOMASZ)))
        .isEqualTo(new Change("p5", "p3", /* missed= */ false));
    assertThat(ToReturn.partyOf("p3")).isEqualTo(new Party.Employee(BRAM));
    assertThat(ToReturn.partyOf(DOV.e164())).isEqualTo(DOV_OUTSIDE);
  }

  /** Dov, Tomasz and Zoe in one conference, which Tomasz has started. */
  private CallId conference() {
    CallId dov = scene.arrive(DOV, "+441914980221");
    scene.answer(dov, TOMASZ);
    CallId zoe = scene.call(TOMASZ, "222");
    scene.answer(zoe, ZOE);
    scene.wait(5);
    scene.run(new ConferenceCommand.Join(zoe, TOMASZ, dov));
    scene.wait(5);
    return zoe;
  }

  @Test
  void whoever_leaves_a_conference_first_ends_their_own_part_alone() {
    CallId call = conference();
    scene.clear(call, TOMASZ);
    scene.wait(5);
    scene.clear(call, ZOE);
    assertThat(scene.entry(call, TOMASZ).endedBy()).isEqualTo(new Party.Employee(TOMASZ));
    assertThat(scene.entry(call, ZOE).endedBy()).isEqualTo(new Party.Employee(ZOE));
    CallId outsiderFirst = conference();
    int dov = scene.state(outsiderFirst).nextLeg() - 1;
    scene.run(new NetworkCommand.NetworkClears(outsiderFirst, dov));
    scene.clear(outsiderFirst, ZOE);
    assertThat(scene.entry(outsiderFirst, TOMASZ).endedBy()).isEqualTo(new Party.Employee(ZOE));
  }

  @Test
  void a_conference_ended_for_all_was_ended_by_its_starter() {
    CallId call = conference();
    assertThat(scene.run(new ConferenceCommand.EndForAll(call, TOMASZ))).isNull();
    assertThat(scene.entry(call, ZOE).endedBy()).isEqualTo(new Party.Employee(TOMASZ));
    assertThat(scene.entry(call, ZOE).ending()).isEqualTo(Part.Ending.OTHER_HUNG_UP);
    assertThat(scene.entry(call, TOMASZ).endedBy()).isEqualTo(new Party.Employee(TOMASZ));
  }

  @Test
  void when_the_network_fails_nobody_has_hung_up() {
    CallId call = scene.arrive(DOV, "+441914980221");
    scene.answer(call, TOMASZ);
    scene.wait(5);
    scene.run(new NetworkCommand.NetworkFails(call, 1, Cause.NETWORK_FAILURE));
    assertThat(scene.entry(call, TOMASZ).endedBy()).isNull();
    assertThat(scene.entry(call, TOMASZ).ending()).isEqualTo(Part.Ending.CUT_OFF);
  }

  @Test
  void all_members_of_a_group_have_missed_a_call_for_which_there_was_no_line() {
    scene.arrive(DOV, "+441914980221");
    scene.arrive(DOV, "+441914980222");
    CallId third = scene.arrive(MARISOL, "+441914980100");
    assertThat(scene.exchange.state().outsideLinesTaken()).as("it takes no line").isEqualTo(2);
    scene.wait(30);
    assertThat(scene.entries(third))
        .extracting(Part::person, Part::result)
        .containsExactly(
            tuple(INES, Result.MISSED_LINES_BUSY), tuple(ADAEZE, Result.MISSED_LINES_BUSY));
  }

  @Test
  void a_word_announced_counts_for_the_call_it_was_announced_for() {
    CallId dov = scene.arrive(DOV, "+441914980221");
    scene.answer(dov, TOMASZ);
    CallId consult = scene.nextId();
    scene.run(
        new SendCommand.Announce(
            dov, TOMASZ, consult, Scene.WINDOW, scene.office.plan.interpret("222"), null));
    scene.answer(consult, ZOE);
    scene.run(new SendCommand.HandOver(dov, TOMASZ, consult));
    scene.run(new NetworkCommand.NetworkClears(dov, 1));
    assertThat(scene.entry(dov, ZOE).other()).isEqualTo(DOV_OUTSIDE);
    assertThat(scene.entries(consult)).extracting(Part::person).containsExactly(TOMASZ);
  }
}
