package oficina.server.callerfields;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.contacts.Contact;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import oficina.core.queueing.Place;
import oficina.core.queueing.Queue;
import oficina.core.queueing.Queue.Field;
import oficina.core.state.Call;
import oficina.server.calls.Commands;
import oficina.server.contacts.Contacts;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.people.KnownView;
import oficina.server.people.Parties;
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** What the line by which a call came has its members see of the caller. */
@RestController
class CallerFieldsController {
  private final ExchangeLoop loop;
  private final OfficeData office;
  private final Parties parties;
  private final Contacts contacts;
  private final OfficeAddress address;

  CallerFieldsController(
      ExchangeLoop loop,
      OfficeData office,
      Parties parties,
      Contacts contacts,
      OfficeAddress address) {
    this.loop = loop;
    this.office = office;
    this.parties = parties;
    this.contacts = contacts;
    this.address = address;
  }

  /**
   * What is to be seen.
   *
   * @param trouble why the office's own address has said nothing; absent when it has, or there is
   *     none
   */
  record CallerFields(
      List<CallerField> fields, @Schema(nullable = true) Answer.@Nullable Trouble trouble) {}

  /**
   * @param field of the contact; absent when the office's own address has named it
   * @param name in the words of the office; absent when it is one of the contact's
   */
  record CallerField(
      @Schema(nullable = true) @Nullable Field field,
      @Schema(nullable = true) @Nullable String name,
      String value) {}

  /** The caller of a queue call of one's own that rings or is in hand. */
  private record Caller(CallId call, Place place, Party party) {}

  /** Of a call of a queue that one has in hand. */
  @GetMapping("/api/calls/{call}/caller-fields")
  CallerFields fields(@AuthenticationPrincipal Employee me, @PathVariable String call) {
    Caller caller = Commands.await(loop.ask(() -> caller(new CallId(call), me.id())));
    if (caller == null) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_CALL");
    }
    Queue queue = office.now().directions().queue(caller.place().line());
    Queue.Shown shown = queue == null ? Queue.Shown.NOTHING : queue.shown();
    List<CallerField> fields = new ArrayList<>(ofContact(shown, caller, me.id()));
    if (shown.address().isEmpty()) {
      return new CallerFields(fields, null);
    }
    PhoneNumber number = caller.party().outsideNumber();
    Answer answer = address.ask(shown.address(), number, caller.place().given());
    answer.entries().forEach(each -> fields.add(new CallerField(null, each.name(), each.value())));
    return new CallerFields(fields, answer.trouble());
  }

  /** Null when it is no such call of this person's. */
  private @Nullable Caller caller(CallId id, PersonId person) {
    Call call = loop.state().call(id);
    if (call == null || call.of(person) == null || call.place() == null) {
      return null;
    }
    Place.Kept kept = call.place().kept();
    Party party = kept == null ? call.otherFor(person) : new Party.Outside(kept.number());
    return new Caller(id, call.place(), party);
  }

  private List<CallerField> ofContact(Queue.Shown shown, Caller caller, PersonId viewer) {
    KnownView known = parties.view(caller.party(), viewer, caller.call()).known();
    if (known == null || known.contact() == null) {
      return List.of();
    }
    Contact.Card card = contacts.wanted(known.contact(), viewer).card();
    return shown.fields().stream().flatMap(field -> field(field, card)).toList();
  }

  private static Stream<CallerField> field(Field field, Contact.Card card) {
    String value =
        switch (field) {
          case COMPANY -> card.company();
          case TAGS -> String.join(", ", card.tags());
          case NOTE -> card.note();
          case ADDRESS -> String.join(" / ", card.addresses());
          case MAIL -> String.join(", ", card.mails());
        };
    return value.isBlank() ? Stream.empty() : Stream.of(new CallerField(field, null, value));
  }
}
