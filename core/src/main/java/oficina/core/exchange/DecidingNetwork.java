package oficina.core.exchange;

import java.util.function.BiConsumer;
import java.util.function.Consumer;
import oficina.core.call.Cause;
import oficina.core.commands.NetworkCommand;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.draft.Answering;
import oficina.core.draft.Clearing;
import oficina.core.draft.Draft;
import oficina.core.events.ReachEvent;
import oficina.core.events.TalkEvent;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import oficina.core.state.OutsidePhone;
import org.jspecify.annotations.Nullable;

/** Who decides on what the public network reports. */
final class DecidingNetwork implements NetworkCommand.Cases<@Nullable Refusal> {
  private final Services with;
  private final Draft draft;
  private final Clearing clearing;
  private final Answering answering;

  DecidingNetwork(Services with) {
    this.with = with;
    draft = with.then().draft();
    clearing = with.then().clearing();
    answering = with.then().answering();
  }

  /** A line leads to a party of a call, or to a telephone that is one of somebody's devices. */
  private @Nullable Refusal byNetwork(
      NetworkCommand.ByNetwork command,
      BiConsumer<Call, Connection> what,
      Consumer<OutsidePhone> atPhone) {
    OutsidePhone phone = draft.state.outsidePhoneOn(command.call());
    if (phone != null) {
      atPhone.accept(phone);
      return null;
    }
    Call call = draft.call(command.call());
    Connection connection = call == null ? null : call.leg(command.leg());
    if (connection == null || !connection.party().usesOutsideLine()) {
      return Refusal.of(Reason.NO_SUCH_CALL);
    }
    what.accept(call, connection);
    return null;
  }

  @Override
  public @Nullable Refusal of(NetworkCommand.Arrive c) {
    return with.placing().arrive(c);
  }

  @Override
  public @Nullable Refusal of(NetworkCommand.NetworkRings c) {
    return byNetwork(c, this::networkRings, with.phones()::rings);
  }

  @Override
  public @Nullable Refusal of(NetworkCommand.NetworkAnswers c) {
    return byNetwork(c, this::networkAnswers, with.phones()::answers);
  }

  @Override
  public @Nullable Refusal of(NetworkCommand.NetworkFails c) {
    return byNetwork(
        c,
        (call, leg) -> clearing.gone(call, leg, c.cause()),
        phone -> with.phones().gone(phone, c.cause()));
  }

  @Override
  public @Nullable Refusal of(NetworkCommand.NetworkClears c) {
    return byNetwork(
        c,
        (call, leg) -> clearing.gone(call, leg, Cause.NORMAL),
        phone -> with.phones().gone(phone, Cause.NORMAL));
  }

  /**
   * Whoever speaks with a person lets them hear the tones; a mailbox or a tape understands them.
   */
  @Override
  public @Nullable Refusal of(NetworkCommand.NetworkKeys c) {
    return byNetwork(
        c,
        (call, leg) -> {
          draft.passOn(call, c.digits());
          if (leg.state() == ConnectionState.ASKED) {
            with.byKey().keys(call, leg, c.digits());
          } else if (call.mailbox() != null) {
            with.mailboxes().keys(call, call.mailbox(), c.digits());
          } else {
            with.tapes().keys(call, leg, c.digits());
          }
        },
        phone -> with.phones().keys(phone, c.digits()));
  }

  private void networkRings(Call call, Connection leg) {
    if (leg.state() == ConnectionState.INITIATED) {
      draft.emit(
          new ReachEvent.Delivered(
              call.id(), draft.now, leg.leg(), leg.party(), leg.line(), leg.due()));
    }
  }

  private void networkAnswers(Call call, Connection leg) {
    if (leg.answered() || with.byKey().asks(call, leg)) {
      return;
    }
    answering.establish(call, leg, null);
    if (!call.afterAnswer().isEmpty()) {
      draft.emit(new TalkEvent.DigitsSent(call.id(), draft.now, leg.leg(), call.afterAnswer()));
    }
  }
}
