package oficina.server.rules;

import oficina.server.exchange.ExchangeListener;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.exchange.Turn;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.springframework.stereotype.Component;

/** Has pages ask again for rules when one of them has ended by itself. */
@Component
class EndedRules implements ExchangeListener {
  private final Topics topics;

  EndedRules(ExchangeLoop loop, Topics topics) {
    this.topics = topics;
    loop.listen(this);
  }

  @Override
  public Turn turn() {
    return Turn.NOTES;
  }

  @Override
  public void ruleEnded() {
    topics.tellAll(Topic.RULES);
  }
}
