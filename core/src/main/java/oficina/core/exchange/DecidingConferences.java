package oficina.core.exchange;

import oficina.core.commands.ConferenceCommand;
import oficina.core.decision.Refusal;
import oficina.core.services.Conferencing;
import org.jspecify.annotations.Nullable;

/** Who decides on what is asked for a conference. */
final class DecidingConferences implements ConferenceCommand.Cases<@Nullable Refusal> {
  private final Mine mine;
  private final Conferencing conferencing;

  DecidingConferences(Services with) {
    mine = new Mine(with.then().draft());
    conferencing = with.conferencing();
  }

  @Override
  public @Nullable Refusal of(ConferenceCommand.Join c) {
    return mine.decide(c, (call, mine) -> conferencing.join(call, mine, c.other()));
  }

  @Override
  public @Nullable Refusal of(ConferenceCommand.TakeAside c) {
    return mine.decide(c, (call, mine) -> conferencing.takeAside(call, mine, c));
  }

  @Override
  public @Nullable Refusal of(ConferenceCommand.MuteMember c) {
    return mine.decide(c, (call, mine) -> conferencing.muteMember(call, mine, c));
  }

  @Override
  public @Nullable Refusal of(ConferenceCommand.Drop c) {
    return mine.decide(c, (call, mine) -> conferencing.drop(call, mine, c));
  }

  @Override
  public @Nullable Refusal of(ConferenceCommand.EndForAll c) {
    return mine.decide(c, conferencing::endForAll);
  }
}
