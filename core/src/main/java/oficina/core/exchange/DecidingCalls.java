package oficina.core.exchange;

import oficina.core.commands.CallCommand;
import oficina.core.decision.Refusal;
import org.jspecify.annotations.Nullable;

/** Who decides on what is asked for a call of one's own. */
final class DecidingCalls implements CallCommand.Cases<@Nullable Refusal> {
  private final Services with;
  private final Mine mine;

  DecidingCalls(Services with) {
    this.with = with;
    mine = new Mine(with.then().draft());
  }

  @Override
  public @Nullable Refusal of(CallCommand.MakeCall c) {
    return with.placing().make(c);
  }

  @Override
  public @Nullable Refusal of(CallCommand.Answer c) {
    return mine.decide(c, (call, mine) -> with.handling().answer(call, mine, c));
  }

  @Override
  public @Nullable Refusal of(CallCommand.Decline c) {
    return mine.decide(c, with.handling()::decline);
  }

  @Override
  public @Nullable Refusal of(CallCommand.Silence c) {
    return mine.decide(c, with.handling()::silence);
  }

  @Override
  public @Nullable Refusal of(CallCommand.Clear c) {
    return mine.decide(c, with.handling()::clear);
  }

  @Override
  public @Nullable Refusal of(CallCommand.Hold c) {
    return mine.decide(c, with.talking()::hold);
  }

  @Override
  public @Nullable Refusal of(CallCommand.Retrieve c) {
    return mine.decide(c, with.talking()::retrieve);
  }

  @Override
  public @Nullable Refusal of(CallCommand.Mute c) {
    return mine.decide(c, (call, mine) -> with.talking().mute(call, mine, c.on()));
  }

  @Override
  public @Nullable Refusal of(CallCommand.MoveHere c) {
    return mine.decide(c, (call, mine) -> with.handling().moveHere(call, mine, c.device()));
  }

  @Override
  public @Nullable Refusal of(CallCommand.PickUp c) {
    return with.pickUps().pickUp(c);
  }

  @Override
  public @Nullable Refusal of(CallCommand.TakeOver c) {
    return with.delegating().takeOver(c);
  }

  @Override
  public @Nullable Refusal of(CallCommand.SendDigits c) {
    return mine.decide(c, (call, mine) -> with.talking().sendDigits(call, mine, c.digits()));
  }

  @Override
  public @Nullable Refusal of(CallCommand.Tape c) {
    return mine.decide(c, (call, mine) -> with.tapes().switchTo(call, mine, c.on()));
  }
}
