package oficina.server.handset;

import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import oficina.core.call.Party;
import oficina.core.handset.Effect;
import oficina.core.handset.Surroundings.Earlier;
import oficina.core.handset.Surroundings.Messages;
import oficina.core.history.Part;
import oficina.core.people.PersonId;
import oficina.server.history.LastCalls;
import oficina.server.people.Parties;
import oficina.server.threads.Threads;
import oficina.server.voicemail.MessageCounts;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * What telephones want from the database, on a thread of its own: the exchange waits for nobody.
 */
@Component
class Lookups {
  private static final Logger LOG = LoggerFactory.getLogger(Lookups.class);
  private static final int MOST = 20;
  private static final int MOST_WAITING = 2_000;

  private final LastCalls calls;
  private final MessageCounts messages;
  private final Parties parties;
  private final ExecutorService work = Threads.one(MOST_WAITING, Threads.named("telephones"));

  Lookups(LastCalls calls, MessageCounts messages, Parties parties) {
    this.calls = calls;
    this.messages = messages;
    this.parties = parties;
  }

  /** Has something done there; what fails is logged, and keeps nothing else from being done. */
  void later(Runnable task) {
    try {
      work.execute(
          () -> {
            try {
              task.run();
            } catch (RuntimeException e) {
              LOG.warn("Something that a telephone wants could not be looked up", e);
            }
          });
    } catch (RejectedExecutionException e) {
      LOG.debug("Telephones want more than can be looked up");
    }
  }

  Messages messages(PersonId person) {
    return new Messages(messages.fresh(person), messages.old(person));
  }

  List<Earlier> calls(PersonId person, Effect.Kind kind) {
    List<Part> found =
        switch (kind) {
          case HISTORY -> calls.all(person, MOST);
          case MISSED -> calls.missed(person, MOST);
          case REDIAL -> calls.placed(person, 1);
        };
    return found.stream().map(part -> earlier(part, person)).toList();
  }

  private Earlier earlier(Part part, PersonId viewer) {
    Party other = part.other();
    String what = part.result().missed() ? "MISSED" : part.direction().name();
    return new Earlier(parties.name(other, viewer), parties.dial(other), part.began(), what);
  }
}
