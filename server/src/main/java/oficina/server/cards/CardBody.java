package oficina.server.cards;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import oficina.core.contacts.Contact.Card;
import oficina.core.contacts.ContactNumber;
import oficina.core.contacts.Draft;
import oficina.core.contacts.Draft.TypedNumber;
import oficina.core.numbers.DialPlan;
import oficina.server.problems.Problem;
import org.springframework.http.HttpStatus;

/**
 * A card as somebody has written it.
 *
 * @param numbers in any notation
 * @param tone name of a ring tone; empty for the usual one
 */
record CardBody(
    @NotNull @Size(max = Draft.LONGEST_LINE) String name,
    @NotNull @Size(max = Draft.LONGEST_LINE) String company,
    @NotNull @Size(max = Draft.MOST) List<@NotNull @Valid TypedLine> numbers,
    @NotNull @Size(max = Draft.MOST) List<@NotNull @Size(max = Draft.LONGEST_LINE) String> mails,
    @NotNull @Size(max = Draft.MOST)
        List<@NotNull @Size(max = Draft.LONGEST_LINE) String> addresses,
    @NotNull @Size(max = Draft.MOST) List<@NotNull @Size(max = Draft.LONGEST_LINE) String> tags,
    @NotNull @Size(max = Draft.LONGEST_NOTE) String note,
    @NotNull @Size(max = 20) String tone) {

  /** One number as it was typed. */
  record TypedLine(
      @NotNull ContactNumber.Type type,
      @NotNull @Size(max = 100) String number,
      @NotNull @Size(max = 20) String extension) {}

  /** The card it makes; otherwise a problem that names the first flaw. */
  Card checked(DialPlan plan) {
    List<TypedNumber> typed =
        numbers.stream()
            .map(each -> new TypedNumber(each.type(), each.number(), each.extension()))
            .toList();
    Draft.Checked checked =
        new Draft(name, company, typed, mails, addresses, tags, note, tone).check(plan);
    if (checked.card() == null) {
      Draft.Finding first = checked.findings().get(0);
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "CARD_" + first.flaw(),
          java.util.Map.of("what", first.what()));
    }
    return checked.card();
  }
}
