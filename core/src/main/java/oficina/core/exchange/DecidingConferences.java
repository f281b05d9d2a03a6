package oficina.core.exchange;

import oficina.core.commands.ConferenceCommand;
import oficina.core.decision.Refusal;
import org.jspecify.annotations.Nullable;

/** Who decides on what is asked for a conference. */
final class DecidingConferences implements ConferenceCommand.Cases<@Nullable Refusal> {
  private final Services with;
  private final Mine mine;

  DecidingConferences(Services with) {
    this.with = with;
    mine = new Mine(with.then().draft());
  }

  @Override
  public @Nullable Refusal of(ConferenceCommand.Join c) {
    return mine.decide(c, c.other(), with.conferencing()::join);
  }

  @Override
  public @Nullable Refusal of(ConferenceCommand.TakeAside c) {
    return mine.decide(c, (call, mine) -> with.conferencing().takeAside(call, mine, c));
  }

  @Override
  public @Nullable Refusal of(ConferenceCommand.MuteMember c) {
    return mine.decide(c, (call, mine) -> with.conferencing().muteMember(call, mine, c));
  }

  @Override
  public @Nullable Refusal of(ConferenceCommand.Drop c) {
    return mine.decide(c, (call, mine) -> with.conferencing().drop(call, mine, c));
  }

  @Override
  public @Nullable Refusal of(ConferenceCommand.EndForAll c) {
    return mine.decide(c, with.conferencing()::endForAll);
  }
}
