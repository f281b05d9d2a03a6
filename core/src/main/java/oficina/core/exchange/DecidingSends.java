package oficina.core.exchange;

import oficina.core.commands.SendCommand;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.draft.Draft;
import oficina.core.state.Call;
import org.jspecify.annotations.Nullable;

/** Who decides on sending calls on, parking them, messages and wishes to be called back. */
final class DecidingSends implements SendCommand.Cases<@Nullable Refusal> {
  private final Services with;
  private final Draft draft;
  private final Mine mine;

  DecidingSends(Services with) {
    this.with = with;
    draft = with.then().draft();
    mine = new Mine(with.then().draft());
  }

  @Override
  public @Nullable Refusal of(SendCommand.PutThrough c) {
    return mine.decide(c, (call, mine) -> with.sending().putThrough(call, mine, c));
  }

  /** Whoever pulls a call back is no longer in it. */
  @Override
  public @Nullable Refusal of(SendCommand.PullBack c) {
    Call call = draft.call(c.call());
    return call == null ? Refusal.of(Reason.NO_SUCH_CALL) : with.sending().pullBack(call, c);
  }

  @Override
  public @Nullable Refusal of(SendCommand.Deflect c) {
    return mine.decide(c, (call, mine) -> with.sending().deflect(call, mine, c));
  }

  @Override
  public @Nullable Refusal of(SendCommand.Announce c) {
    return mine.decide(c, (call, mine) -> with.sending().announce(call, mine, c));
  }

  @Override
  public @Nullable Refusal of(SendCommand.HandOver c) {
    return mine.decide(c, c.other(), with.sending()::handOver);
  }

  @Override
  public @Nullable Refusal of(SendCommand.Reconnect c) {
    return mine.decide(c, with.sending()::reconnect);
  }

  @Override
  public @Nullable Refusal of(SendCommand.Park c) {
    return mine.decide(c, (call, mine) -> with.parking().park(call, mine, c));
  }

  @Override
  public @Nullable Refusal of(SendCommand.TakeParked c) {
    return with.parking().take(c);
  }

  @Override
  public @Nullable Refusal of(SendCommand.RequestCallBack c) {
    return mine.decide(c, (call, mine) -> with.callBacks().request(call, mine, c.request()));
  }

  @Override
  public @Nullable Refusal of(SendCommand.CancelCallBack c) {
    return with.callBacks().cancel(c);
  }

  @Override
  public @Nullable Refusal of(SendCommand.ToMailbox c) {
    return mine.decide(c, with.mailboxes()::takeMessage);
  }

  @Override
  public @Nullable Refusal of(SendCommand.TakeFromMailbox c) {
    return with.mailboxes().take(c);
  }

  @Override
  public @Nullable Refusal of(SendCommand.TakeWaiting c) {
    return with.leading().take(c);
  }

  @Override
  public @Nullable Refusal of(SendCommand.MoveWaiting c) {
    return with.leading().move(c);
  }
}
