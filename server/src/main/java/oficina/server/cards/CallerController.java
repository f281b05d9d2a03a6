package oficina.server.cards;

import jakarta.validation.Valid;
import oficina.core.call.CallId;
import oficina.server.calls.OwnCalls;
import oficina.server.contacts.ChosenStore;
import oficina.server.contacts.Contacts;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.passwords.Employee;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Whom of several contacts with one number somebody has in a call. */
@RestController
class CallerController {
  private final Contacts contacts;
  private final ChosenStore chosen;
  private final OwnCalls calls;
  private final ExchangeLoop loop;
  private final Topics topics;

  CallerController(
      Contacts contacts, ChosenStore chosen, OwnCalls calls, ExchangeLoop loop, Topics topics) {
    this.calls = calls;
    this.contacts = contacts;
    this.chosen = chosen;
    this.loop = loop;
    this.topics = topics;
  }

  record WhoItIs(long contact) {}

  /** Say which contact it is; of one's own calls, in hand or over, and for oneself alone. */
  @PutMapping("/api/calls/{call}/contact")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void choose(
      @AuthenticationPrincipal Employee me,
      @PathVariable String call,
      @Valid @RequestBody WhoItIs who) {
    CallId own = new CallId(call);
    calls.party(me.id(), own);
    chosen.choose(own, me.id(), contacts.wanted(who.contact(), me.id()).id());
    loop.redraw();
    topics.tell(me.id(), Topic.HISTORY);
  }
}
