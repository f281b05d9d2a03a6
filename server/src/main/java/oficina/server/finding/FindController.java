package oficina.server.finding;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Locale;
import oficina.core.call.Party;
import oficina.core.numbers.Dialled;
import oficina.core.people.PersonId;
import oficina.server.desk.SlotView;
import oficina.server.office.OfficeData;
import oficina.server.people.Parties;
import oficina.server.people.PartyView;
import oficina.server.people.PersonView;
import oficina.server.push.Pushes;
import oficina.server.signin.Employee;
import org.jspecify.annotations.Nullable;
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
      @Schema(nullable = true) @Nullable PartyView group,
      @Schema(nullable = true) @Nullable SlotView slot,
      @Schema(nullable = true) @Nullable Dial dial) {}

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
      @Schema(nullable = true) @Nullable String problem) {}

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
        people, group(wanted), pushes.slot(wanted.strip(), me.id()), dial(text, dialled, me.id()));
  }

  private @Nullable PartyView group(String text) {
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

  /** How a text would be dialled; null when it says no more than who was found. */
  private @Nullable Dial dial(String text, Dialled dialled, PersonId me) {
    return dialled.accept(
        new Dialled.Cases<>() {
          @Override
          public Dial of(Dialled.Outside to) {
            PartyView party = parties.view(new Party.Outside(to.number()));
            return new Dial(
                text,
                party.name(),
                party.place(),
                false,
                to.afterAnswer(),
                to.accessCodeDropped(),
                null);
          }

          @Override
          public Dial of(Dialled.Emergency to) {
            return new Dial(text, to.digits(), "", true, "", false, null);
          }

          @Override
          public @Nullable Dial of(Dialled.Internal to) {
            boolean own = office.person(me).extension().equals(to.extension());
            return own ? new Dial(text, to.extension(), "", false, "", false, "OWN_NUMBER") : null;
          }

          @Override
          public @Nullable Dial of(Dialled.NotCallable to) {
            boolean saysNothing =
                to.why() == Dialled.Why.EMPTY || to.why() == Dialled.Why.NOT_A_NUMBER;
            return saysNothing
                ? null
                : new Dial(text, to.text(), "", false, "", false, "NOT_CALLABLE_" + to.why());
          }
        });
  }
}
