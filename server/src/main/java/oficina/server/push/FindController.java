package oficina.server.push;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Locale;
import oficina.core.call.Party;
import oficina.core.numbers.Dialled;
import oficina.core.people.PersonId;
import oficina.server.exchange.SlotView;
import oficina.server.office.OfficeData;
import oficina.server.people.Parties;
import oficina.server.people.PartyView;
import oficina.server.people.PersonView;
import oficina.server.signin.Employee;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Finding whom to call while somebody types. */
@RestController
class FindController {
  private static final int MOST = 8;

  private final OfficeData office;
  private final Pushes pushes;
  private final Parties parties;

  FindController(OfficeData office, Pushes pushes, Parties parties) {
    this.office = office;
    this.pushes = pushes;
    this.parties = parties;
  }

  /**
   * What was found.
   *
   * @param people best first
   * @param group a group with the typed extension or a name that begins so
   * @param slot the park slot with the typed number
   * @param dial how the text would be dialled; absent when it is no number
   */
  record Found(
      List<PersonView> people,
      @Schema(nullable = true) PartyView group,
      @Schema(nullable = true) SlotView slot,
      @Schema(nullable = true) Dial dial) {}

  /**
   * How a text would be dialled.
   *
   * @param to what to send when it is to be called
   * @param shown the number as people here write it
   * @param place town or country of the number; empty when unknown
   * @param afterAnswer keys sent after the answer, p being a pause; empty when none
   * @param accessCodeDropped whether a leading access code was left out
   * @param problem code of the reason why it cannot be called; its sentence is in the catalogue
   */
  record Dial(
      String to,
      String shown,
      String place,
      boolean emergency,
      String afterAnswer,
      boolean accessCodeDropped,
      @Schema(nullable = true) String problem) {}

  /** People and the number that a text means. */
  @GetMapping("/api/find")
  Found find(@AuthenticationPrincipal Employee me, @RequestParam String text) {
    Dialled dialled = office.plan().interpret(text);
    String wanted = text.length() > 100 ? "" : text;
    List<PersonView> people =
        office.finder().find(wanted, MOST).stream()
            .map(person -> pushes.person(person.id()))
            .toList();
    return new Found(
        people, group(wanted), pushes.slot(wanted.strip()), dial(text, dialled, me.id()));
  }

  private PartyView group(String text) {
    String wanted = text.strip().toLowerCase(Locale.ROOT);
    return office.directory().groups().stream()
        .filter(
            group ->
                group.extension().equals(wanted)
                    || (wanted.length() > 1
                        && group.name().toLowerCase(Locale.ROOT).startsWith(wanted)))
        .map(group -> parties.view(new Party.Members(group.id())))
        .findFirst()
        .orElse(null);
  }

  private Dial dial(String text, Dialled dialled, PersonId me) {
    if (dialled instanceof Dialled.Outside outside) {
      Party.Outside party = new Party.Outside(outside.number());
      return new Dial(
          text,
          parties.number(party),
          parties.place(party),
          false,
          outside.afterAnswer(),
          outside.accessCodeDropped(),
          null);
    }
    if (dialled instanceof Dialled.Emergency emergency) {
      return new Dial(text, emergency.digits(), "", true, "", false, null);
    }
    if (dialled instanceof Dialled.Internal internal) {
      boolean own = office.person(me).extension().equals(internal.extension());
      return own ? new Dial(text, internal.extension(), "", false, "", false, "OWN_NUMBER") : null;
    }
    Dialled.NotCallable no = (Dialled.NotCallable) dialled;
    boolean saysNothing = no.why() == Dialled.Why.EMPTY || no.why() == Dialled.Why.NOT_A_NUMBER;
    return saysNothing
        ? null
        : new Dial(text, no.text(), "", false, "", false, "NOT_CALLABLE_" + no.why());
  }
}
