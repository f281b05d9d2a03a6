package oficina.core.exchange;

import static oficina.core.TestOffice.ADAEZE;
import static oficina.core.TestOffice.BRAM;
import static oficina.core.TestOffice.DOV;
import static oficina.core.TestOffice.FREIGHT;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.TOMASZ;
import static oficina.core.TestOffice.ZOE;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.MessageEnd;
import oficina.core.call.Occasion;
import oficina.core.call.Party;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.commands.MachineCommand;
import oficina.core.commands.NetworkCommand;
import oficina.core.commands.SendCommand;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.events.MachineEvent.MailboxAnswered;
import oficina.core.events.MachineEvent.RecordingEnded;
import oficina.core.heard.Listening;
import oficina.core.history.Part.Message;
import oficina.core.history.Part.Result;
import oficina.core.history.Segment;
import oficina.core.history.Segment.Kind;
import oficina.core.notices.Notice;
import oficina.core.numbers.Dialled;
import oficina.core.office.Settings.Unanswered;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import org.junit.jupiter.api.Test;

/** Each way into a mailbox and out of it. */
class MailboxTest {
  static final Party TOMASZS = mailboxOf(TOMASZ);
  static final Party ZOES = mailboxOf(ZOE);
  private static final Party FREIGHTS = new Party.Mailbox(new Party.Members(FREIGHT));

  private final Scene scene = new Scene();

  private static Party mailboxOf(PersonId person) {
    return new Party.Mailbox(new Party.Employee(person));
  }

  private CallId dovCallsTomasz() {
    return scene.arrive(DOV, "+441914980221");
  }

  private CallId dovTalksTo(PersonId person, String number) {
    CallId dov = scene.arrive(DOV, number);
    scene.answer(dov, person);
    scene.wait(5);
    return dov;
  }

  private Reason reason(Command command) {
    Refusal refusal = scene.run(command);
    return refusal == null ? null : refusal.reason();
  }

  private int leg(CallId call) {
    return scene.state(call).mailbox().leg();
  }

  private void greetingOver(CallId call) {
    scene.run(new MachineCommand.GreetingOver(call, leg(call)));
  }

  /** The caller says enough to be kept. */
  private void speaks(CallId call) {
    greetingOver(call);
    scene.wait(2);
    scene.run(new MachineCommand.MessageSounds(call, leg(call)));
    scene.wait(7);
  }

  private MailboxAnswered answer() {
    return last(MailboxAnswered.class);
  }

  private <T> T last(Class<T> kind) {
    return scene.events.stream().filter(kind::isInstance).map(kind::cast).reduce((a, b) -> b).get();
  }

  @Test
  void nobody_answers_so_a_message_is_left() {
    CallId dov = dovCallsTomasz();
    scene.wait(20);
    assertThat(answer().mailbox()).isEqualTo(TOMASZS);
    assertThat(answer().occasion()).isEqualTo(Occasion.NO_ANSWER);
    Call call = scene.state(dov);
    assertThat(Listening.of(call, call.leg(1)).voices()).containsExactly(leg(dov));
    assertThat(Listening.of(call, call.mailbox()).voices()).containsExactly(1);
    speaks(dov);
    scene.run(new NetworkCommand.NetworkClears(dov, 1));
    assertThat(last(RecordingEnded.class).how()).isEqualTo(MessageEnd.HUNG_UP);
    assertThat(last(RecordingEnded.class).kept()).isTrue();
    assertThat(scene.state(dov)).isNull();
    assertThat(scene.entry(dov, TOMASZ).result()).isEqualTo(Result.MISSED);
    assertThat(scene.entry(dov, TOMASZ).message()).isEqualTo(Message.LEFT);
    assertThat(scene.course(dov))
        .extracting(Segment::kind)
        .containsExactly(Kind.RINGING, Kind.MESSAGE);
  }

  @Test
  void busy_declined_and_not_there_lead_to_it_with_their_occasion() {
    for (PersonId colleague : List.of(INES, ADAEZE, BRAM)) {
      scene.call(colleague, "221"); // as many as he can have in hand
    }
    dovCallsTomasz();
    assertThat(answer().occasion()).isEqualTo(Occasion.BUSY);
    assertThat(answer().missedBy()).containsExactly(TOMASZ);
    assertThat(scene.entry(answer().call(), TOMASZ).result()).isEqualTo(Result.MISSED_BUSY);
    Scene another = new Scene();
    another.goes(TOMASZ);
    CallId away = another.arrive(DOV, "+441914980221");
    assertThat(another.entry(away, TOMASZ).result()).isEqualTo(Result.MISSED_NOT_SIGNED_IN);
    assertThat(another.state(away).mailbox().party()).isEqualTo(TOMASZS);
    CallId declined = another.arrive(DOV, "+441914980222");
    another.run(new CallCommand.Decline(declined, ZOE));
    assertThat(another.state(declined).mailbox().party()).isEqualTo(ZOES);
  }

  @Test
  void ends_by_silence_by_the_limit_and_by_the_key() {
    CallId silent = dovCallsTomasz();
    scene.wait(20);
    speaks(silent);
    scene.run(new MachineCommand.CallerSilent(silent, leg(silent)));
    assertThat(last(RecordingEnded.class).how()).isEqualTo(MessageEnd.SILENCE);
    CallId long_ = dovCallsTomasz();
    scene.wait(20);
    speaks(long_);
    scene.wait(180);
    assertThat(last(RecordingEnded.class).how()).isEqualTo(MessageEnd.LIMIT);
    CallId key = dovCallsTomasz();
    scene.wait(20);
    scene.run(new NetworkCommand.NetworkKeys(key, 1, "#"));
    assertThat(scene.state(key).mailbox().records()).as("the greeting is cut short").isTrue();
    scene.run(new MachineCommand.MessageSounds(key, leg(key)));
    scene.run(new NetworkCommand.NetworkKeys(key, 1, "5#"));
    assertThat(last(RecordingEnded.class).how()).isEqualTo(MessageEnd.KEY);
    assertThat(scene.exchange.state().calls()).isEmpty();
  }

  @Test
  void nothing_said_is_no_message_and_whoever_leaves_in_the_greeting_is_simply_missed() {
    CallId nothing = dovCallsTomasz();
    scene.wait(20);
    greetingOver(nothing);
    scene.run(new MachineCommand.CallerSilent(nothing, leg(nothing)));
    assertThat(last(RecordingEnded.class).kept()).isFalse();
    assertThat(scene.entry(nothing, TOMASZ).message()).isEqualTo(Message.NOT_LEFT);
    CallId gone = dovCallsTomasz();
    scene.wait(23);
    scene.run(new NetworkCommand.NetworkClears(gone, 1));
    assertThat(scene.entry(gone, TOMASZ).message()).isNull();
    assertThat(scene.entry(gone, TOMASZ).result()).isEqualTo(Result.MISSED);
  }

  @Test
  void without_anybody_who_plays_and_records_the_timers_end_it() {
    CallId dov = dovCallsTomasz();
    scene.wait(20 + 60);
    assertThat(scene.state(dov).mailbox().records()).isTrue();
    scene.wait(180);
    assertThat(scene.state(dov)).isNull();
    assertThat(scene.entry(dov, TOMASZ).message()).isEqualTo(Message.NOT_LEFT);
  }

  @Test
  void its_owner_speaks_with_the_caller_at_once_and_nobody_else_may() {
    CallId dov = dovCallsTomasz();
    scene.wait(20);
    speaks(dov);
    assertThat(reason(new SendCommand.TakeFromMailbox(dov, ZOE, Scene.WINDOW)))
        .isEqualTo(Reason.NO_SUCH_CALL);
    assertThat(reason(new SendCommand.TakeFromMailbox(dov, TOMASZ, Scene.WINDOW))).isNull();
    assertThat(last(RecordingEnded.class).how()).isEqualTo(MessageEnd.TAKEN);
    Call call = scene.state(dov);
    assertThat(call.conversation()).isTrue();
    assertThat(Listening.of(call, call.leg(1)).voices()).containsExactly(call.of(TOMASZ).leg());
    scene.clear(dov, TOMASZ);
    assertThat(scene.entry(dov, TOMASZ).result()).isEqualTo(Result.ANSWERED);
    assertThat(scene.entry(dov, TOMASZ).message()).isEqualTo(Message.LEFT);
  }

  @Test
  void a_colleague_who_reaches_nobody_chooses_to_leave_a_message() {
    CallId call = scene.call(ADAEZE, "221");
    scene.wait(20);
    assertThat(scene.state(call).failure().cause()).isEqualTo(Cause.NO_ANSWER);
    assertThat(reason(new SendCommand.ToMailbox(call, ADAEZE))).isNull();
    assertThat(scene.state(call).mailbox().party()).isEqualTo(TOMASZS);
    speaks(call);
    assertThat(reason(new CallCommand.SendDigits(call, ADAEZE, "#"))).isNull();
    assertThat(scene.entry(call, ADAEZE).result()).isEqualTo(Result.NO_ANSWER);
    assertThat(scene.entry(call, ADAEZE).message()).isEqualTo(Message.LEFT);
    assertThat(scene.entry(call, TOMASZ).message()).isEqualTo(Message.LEFT);
    CallId nowhere = scene.call(ADAEZE, "214");
    scene.wait(20);
    assertThat(reason(new SendCommand.ToMailbox(nowhere, ADAEZE))).isEqualTo(Reason.NO_MAILBOX);
  }

  @Test
  void whoever_turns_to_another_call_ends_their_message() {
    CallId call = scene.call(ADAEZE, "221");
    scene.wait(20);
    scene.run(new SendCommand.ToMailbox(call, ADAEZE));
    speaks(call);
    scene.call(ADAEZE, "213");
    assertThat(scene.state(call)).isNull();
    assertThat(last(RecordingEnded.class).kept()).isTrue();
  }

  @Test
  void straight_to_ones_own_mailbox_while_it_rings() {
    CallId dov = dovCallsTomasz();
    assertThat(reason(new SendCommand.ToMailbox(dov, TOMASZ))).isNull();
    assertThat(scene.state(dov).mailbox().party()).isEqualTo(TOMASZS);
    CallId freight = scene.arrive(DOV, "+441914980220");
    assertThat(reason(new SendCommand.ToMailbox(freight, TOMASZ)))
        .as("it goes on ringing at the others")
        .isEqualTo(Reason.NO_MAILBOX);
    scene.wait(30);
    assertThat(scene.state(freight).mailbox().party()).isEqualTo(FREIGHTS);
    assertThat(reason(new SendCommand.TakeFromMailbox(freight, ZOE, Scene.WINDOW)))
        .as("any of them")
        .isNull();
    assertThat(reason(new SendCommand.TakeFromMailbox(freight, TOMASZ, Scene.WINDOW)))
        .isEqualTo(Reason.ANSWERED_BY_OTHER);
  }

  @Test
  void put_through_to_a_mailbox_without_ringing() {
    CallId dov = dovTalksTo(BRAM, "+441914980213");
    Command none = new SendCommand.PutThrough(dov, BRAM, new Dialled.Mailbox("212"), null, null);
    assertThat(reason(none)).isEqualTo(Reason.NO_MAILBOX);
    Command put = new SendCommand.PutThrough(dov, BRAM, new Dialled.Mailbox("221"), null, null);
    assertThat(reason(put)).isNull();
    assertThat(scene.state(dov).mailbox().party()).isEqualTo(TOMASZS);
    assertThat(scene.notices).as("whoever did it knows").isEmpty();
    Command back = new SendCommand.PullBack(dov, BRAM, Scene.WINDOW);
    assertThat(reason(back)).as("it is there").isEqualTo(Reason.NO_SUCH_CALL);
    Command announce =
        new SendCommand.Announce(
            dovTalksTo(ADAEZE, "+441914980212"),
            ADAEZE,
            scene.nextId(),
            Scene.WINDOW,
            new Dialled.Mailbox("221"),
            null);
    assertThat(reason(announce)).isEqualTo(Reason.NOT_TO_A_MAILBOX);
  }

  @Test
  void put_through_and_not_taken_goes_where_was_chosen() {
    for (Unanswered wanted : List.of(Unanswered.MAILBOX, Unanswered.BACK)) {
      CallId dov = dovTalksTo(BRAM, "+441914980213");
      Dialled zoe = scene.office.plan.interpret("222");
      assertThat(reason(new SendCommand.PutThrough(dov, BRAM, zoe, null, wanted))).isNull();
      scene.wait(20);
      boolean message = scene.state(dov).mailbox() != null;
      assertThat(message).isEqualTo(wanted == Unanswered.MAILBOX);
      assertThat(
              scene.notices.stream()
                  .map(Notice::what)
                  .toList()
                  .contains(Notice.What.SENT_TO_MAILBOX))
          .isTrue();
      scene.run(new NetworkCommand.NetworkClears(dov, 1));
    }
  }

  @Test
  void an_announced_caller_is_left_with_the_mailbox_of_whoever_they_wanted() {
    for (boolean answers : List.of(true, false)) {
      CallId dov = dovTalksTo(BRAM, "+441914980213");
      CallId zoe = scene.nextId();
      scene.run(
          new SendCommand.Announce(
              dov, BRAM, zoe, Scene.WINDOW, scene.office.plan.interpret("222"), null));
      if (answers) {
        scene.answer(zoe, ZOE);
      }
      assertThat(reason(new SendCommand.ToMailbox(zoe, BRAM))).isNull();
      assertThat(scene.state(zoe)).isNull();
      assertThat(scene.state(dov).mailbox().party()).isEqualTo(ZOES);
      assertThat(scene.exchange.state().inHand(BRAM)).isEmpty();
      scene.run(new NetworkCommand.NetworkClears(dov, 1));
    }
  }

  @Test
  void parked_for_somebody_and_never_taken() {
    CallId dov = dovTalksTo(INES, "+441914980201");
    scene.run(new SendCommand.Park(dov, INES, "61", ZOE, ""));
    scene.wait(3 * (180 + 20 + 30));
    assertThat(scene.state(dov).mailbox().party()).isEqualTo(ZOES);
    assertThat(scene.exchange.state().inSlot("61")).isNull();
    assertThat(scene.notices).extracting(Notice::what).contains(Notice.What.SENT_TO_MAILBOX);
  }
}
