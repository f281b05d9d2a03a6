package oficina.core.exchange;

import oficina.core.commands.SendCommand;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.draft.Draft;
import oficina.core.machines.Mailboxes;
import oficina.core.services.CallBacks;
import oficina.core.services.Parking;
import oficina.core.services.Sending;
import oficina.core.state.Call;
import org.jspecify.annotations.Nullable;

/** Who decides on sending calls on, parking them, messages and wishes to be called back. */
final class DecidingSends implements SendCommand.Cases<@Nullable Refusal> {
  private final Draft draft;
  private final Mine mine;
  private final Sending sending;
  private final Parking parking;
  private final Mailboxes mailboxes;
  private final CallBacks callBacks;

  DecidingSends(Services with) {
    draft = with.then().draft();
    mine = new Mine(with.then().draft());
    sending = with.sending();
    parking = with.parking();
    mailboxes = with.mailboxes();
    callBacks = with.callBacks();
  }

  @Override
  public @Nullable Refusal of(SendCommand.PutThrough c) {
    return mine.decide(c, (call, mine) -> sending.putThrough(call, mine, c));
  }

  /** Whoever pulls a call back is no longer in it. */
  @Override
  public @Nullable Refusal of(SendCommand.PullBack c) {
    Call call = draft.call(c.call());
    return call == null ? Refusal.of(Reason.NO_SUCH_CALL) : sending.pullBack(call, c);
  }

  @Override
  public @Nullable Refusal of(SendCommand.Deflect c) {
    return mine.decide(c, (call, mine) -> sending.deflect(call, mine, c));
  }

  @Override
  public @Nullable Refusal of(SendCommand.Announce c) {
    return mine.decide(c, (call, mine) -> sending.announce(call, mine, c));
  }

  @Override
  public @Nullable Refusal of(SendCommand.HandOver c) {
    return mine.decide(c, (call, mine) -> sending.handOver(call, mine, c.other()));
  }

  @Override
  public @Nullable Refusal of(SendCommand.Reconnect c) {
    return mine.decide(c, sending::reconnect);
  }

  @Override
  public @Nullable Refusal of(SendCommand.Park c) {
    return mine.decide(c, (call, mine) -> parking.park(call, mine, c));
  }

  @Override
  public @Nullable Refusal of(SendCommand.TakeParked c) {
    return parking.take(c);
  }

  @Override
  public @Nullable Refusal of(SendCommand.RequestCallBack c) {
    return mine.decide(c, (call, mine) -> callBacks.request(call, mine, c.request()));
  }

  @Override
  public @Nullable Refusal of(SendCommand.CancelCallBack c) {
    return callBacks.cancel(c);
  }

  @Override
  public @Nullable Refusal of(SendCommand.ToMailbox c) {
    return mine.decide(c, mailboxes::takeMessage);
  }

  @Override
  public @Nullable Refusal of(SendCommand.TakeFromMailbox c) {
    return mailboxes.take(c);
  }
}
