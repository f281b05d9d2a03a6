package oficina.core.exchange;

import oficina.core.commands.CallCommand;
import oficina.core.decision.Refusal;
import oficina.core.machines.Tapes;
import oficina.core.services.Delegating;
import oficina.core.services.Handling;
import oficina.core.services.PickUps;
import oficina.core.services.Placing;
import oficina.core.services.Talking;
import org.jspecify.annotations.Nullable;

/** Who decides on what is asked for a call of one's own. */
final class DecidingCalls implements CallCommand.Cases<@Nullable Refusal> {
  private final Mine mine;
  private final Placing placing;
  private final Handling handling;
  private final Talking talking;
  private final Tapes tapes;
  private final PickUps pickUps;
  private final Delegating delegating;

  DecidingCalls(Services with) {
    mine = new Mine(with.then().draft());
    placing = with.placing();
    handling = with.handling();
    talking = with.talking();
    tapes = with.tapes();
    pickUps = with.pickUps();
    delegating = with.delegating();
  }

  @Override
  public @Nullable Refusal of(CallCommand.MakeCall c) {
    return placing.make(c);
  }

  @Override
  public @Nullable Refusal of(CallCommand.Answer c) {
    return mine.decide(c, (call, mine) -> handling.answer(call, mine, c));
  }

  @Override
  public @Nullable Refusal of(CallCommand.Decline c) {
    return mine.decide(c, handling::decline);
  }

  @Override
  public @Nullable Refusal of(CallCommand.Silence c) {
    return mine.decide(c, handling::silence);
  }

  @Override
  public @Nullable Refusal of(CallCommand.Clear c) {
    return mine.decide(c, handling::clear);
  }

  @Override
  public @Nullable Refusal of(CallCommand.Hold c) {
    return mine.decide(c, talking::hold);
  }

  @Override
  public @Nullable Refusal of(CallCommand.Retrieve c) {
    return mine.decide(c, talking::retrieve);
  }

  @Override
  public @Nullable Refusal of(CallCommand.Mute c) {
    return mine.decide(c, (call, mine) -> talking.mute(call, mine, c.on()));
  }

  @Override
  public @Nullable Refusal of(CallCommand.MoveHere c) {
    return mine.decide(c, (call, mine) -> handling.moveHere(call, mine, c.device()));
  }

  @Override
  public @Nullable Refusal of(CallCommand.PickUp c) {
    return pickUps.pickUp(c);
  }

  @Override
  public @Nullable Refusal of(CallCommand.TakeOver c) {
    return delegating.takeOver(c);
  }

  @Override
  public @Nullable Refusal of(CallCommand.SendDigits c) {
    return mine.decide(c, (call, mine) -> talking.sendDigits(call, mine, c.digits()));
  }

  @Override
  public @Nullable Refusal of(CallCommand.Tape c) {
    return mine.decide(c, (call, mine) -> tapes.switchTo(call, mine, c.on()));
  }
}
