package oficina.server.finding;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import oficina.core.call.Party;
import oficina.core.finding.Familiarity;
import oficina.core.finding.Finder;
import oficina.core.finding.Match;
import oficina.core.numbers.Dialled;
import oficina.core.people.Group;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.server.cards.ContactViews;
import oficina.server.cards.ContactViews.ContactRow;
import oficina.server.contacts.Contacts;
import oficina.server.desk.Desks;
import oficina.server.desk.SlotView;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.people.Parties;
import oficina.server.people.PartyView;
import oficina.server.people.PersonView;
import oficina.server.queues.QueueBoard;
import oficina.server.queues.QueueFigures;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Finding whom to call while somebody types: people, groups, contacts, slots and numbers. */
@RestController
class FindController {
  private static final int MOST = 8;

  private final OfficeData office;
  private final Desks desks;
  private final Parties parties;
  private final Contacts contacts;
  private final ContactViews cards;
  private final Familiars familiars;
  private final QueueBoard queues;

  FindController(
      OfficeData office,
      Desks desks,
      Parties parties,
      Contacts contacts,
      ContactViews cards,
      Familiars familiars,
      QueueBoard queues) {
    this.office = office;
    this.desks = desks;
    this.parties = parties;
    this.contacts = contacts;
    this.cards = cards;
    this.familiars = familiars;
    this.queues = queues;
  }

  /**
   * What was found.
   *
   * @param known people and contacts, best first
   * @param group a group with the typed extension or a name that begins so
   * @param queue how it stands there when that group keeps callers
   * @param slot the park slot with the typed number
   * @param dials how the text would be dialled: of several numbers each; empty when it is none
   */
  record Found(
      List<Known> known,
      @Schema(nullable = true) @Nullable PartyView group,
      @Schema(nullable = true) @Nullable QueueFigures queue,
      @Schema(nullable = true) @Nullable SlotView slot,
      List<Dial> dials) {}

  /** A person or a contact. */
  record Known(
      @Schema(nullable = true) @Nullable PersonView person,
      @Schema(nullable = true) @Nullable ContactRow contact) {}

  /**
   * How a text would be dialled.
   *
   * @param to what to send when it is to be called
   * @param shown the number as people here write it
   * @param place town or country of the number; empty when unknown
   * @param afterAnswer keys sent after the answer, p being a pause; empty when none
   * @param accessCodeDropped whether a leading access code was left out
   * @param messages whether one's messages are read out there
   * @param problem code of the reason why it cannot be called; its sentence is in the catalogue
   */
  record Dial(
      String to,
      String shown,
      String place,
      boolean emergency,
      String afterAnswer,
      boolean accessCodeDropped,
      boolean messages,
      @Schema(nullable = true) @Nullable String problem) {}

  /** People and the number that a text means. */
  @GetMapping("/api/find")
  Found find(@AuthenticationPrincipal Employee me, @RequestParam String text) {
    Dialled dialled = office.plan().interpret(text);
    String wanted = text.length() > 100 ? "" : text;
    String extension = dialled.extension();
    Group group = group(extension == null ? wanted : extension);
    return new Found(
        known(wanted, extension, group, me.id()),
        group == null ? null : parties.view(new Party.Members(group.id()), me.id()),
        group == null ? null : queues.figures(group.id()),
        desks.slot(wanted.strip(), me.id()),
        dials(text, dialled, me.id()));
  }

  /**
   * Whoever has the extension that was written in some way comes first; last the members of a queue
   * that was named.
   */
  private List<Known> known(
      String text, @Nullable String extension, @Nullable Group group, PersonId me) {
    Optional<Person> written = office.directory().personAt(extension == null ? "" : extension);
    Familiarity familiar = familiars.of(me);
    List<Match> found =
        contacts.ask(book -> new Finder(office.finder(), book).find(text, me, familiar, MOST));
    return Stream.of(written.map(Match::of).stream(), found.stream(), membersOf(group))
        .flatMap(each -> each)
        .distinct()
        .limit(MOST)
        .map(this::known)
        .toList();
  }

  private Stream<Match> membersOf(@Nullable Group group) {
    return group == null
        ? Stream.empty()
        : queues.freeFirst(group).stream()
            .map(office.directory()::person)
            .flatMap(Optional::stream)
            .map(Match::of);
  }

  private Known known(Match match) {
    return match.person() == null
        ? new Known(null, cards.row(match.contact(), match.numbers()))
        : new Known(desks.person(match.person().id()), null);
  }

  private @Nullable Group group(String text) {
    String wanted = text.strip().toLowerCase(Locale.ROOT);
    return office.directory().groups().stream()
        .filter(
            group ->
                group.extension().equals(wanted)
                    || (wanted.length() > 1
                        && group.name().toLowerCase(Locale.ROOT).startsWith(wanted)))
        .findFirst()
        .orElse(null);
  }

  /** How a text would be dialled; empty when it says no more than who was found. */
  private List<Dial> dials(String text, Dialled dialled, PersonId me) {
    return dialled.accept(
        new Dialled.Cases<>() {
          @Override
          public List<Dial> of(Dialled.Outside to) {
            return List.of(outside(text, to, me));
          }

          @Override
          public List<Dial> of(Dialled.Emergency to) {
            return List.of(new Dial(text, to.digits(), "", true, "", false, false, null));
          }

          @Override
          public List<Dial> of(Dialled.Internal to) {
            String readOut = office.settings().voicemail().extension();
            boolean own = office.person(me).extension().equals(to.extension());
            if (to.extension().equals(readOut) || (own && readOut != null)) {
              return List.of(new Dial(text, to.extension(), "", false, "", false, true, null));
            }
            return own ? List.of(refused(text, to.extension(), "OWN_NUMBER")) : List.of();
          }

          @Override
          public List<Dial> of(Dialled.Mailbox to) {
            return List.of(); // nobody types one
          }

          @Override
          public List<Dial> of(Dialled.NotCallable to) {
            return switch (to.why()) {
              case EMPTY, NOT_A_NUMBER -> List.of();
              case SEVERAL_NUMBERS ->
                  to.numbers().stream()
                      .limit(MOST)
                      .map(number -> new Dialled.Outside(number, "", false))
                      .map(number -> outside(number.number().e164(), number, me))
                      .toList();
              default -> List.of(refused(text, to.text(), "NOT_CALLABLE_" + to.why()));
            };
          }
        });
  }

  private Dial outside(String text, Dialled.Outside to, PersonId me) {
    PartyView party = parties.view(new Party.Outside(to.number()), me);
    if (office.settings().barring().bars(me, to.number())) {
      return refused(text, party.name(), "NUMBER_BARRED");
    }
    return new Dial(
        text,
        party.name(),
        party.place(),
        false,
        to.afterAnswer(),
        to.accessCodeDropped(),
        false,
        null);
  }

  private static Dial refused(String text, String shown, String problem) {
    return new Dial(text, shown, "", false, "", false, false, problem);
  }
}
