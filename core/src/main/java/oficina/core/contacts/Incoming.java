package oficina.core.contacts;

import java.util.List;
import java.util.Objects;
import oficina.core.contacts.Contact.Card;
import oficina.core.contacts.Draft.Finding;
import org.jspecify.annotations.Nullable;

/**
 * One card of a file that is read in.
 *
 * @param line of the file on which it begins, from 1
 * @param uid what it is called by in files; empty when the file does not say
 * @param card null when something is wrong with it
 * @param findings what is wrong; empty when nothing is
 * @param picture as it stands in the file, unchecked; null when there is none
 */
public record Incoming(
    int line, String uid, @Nullable Card card, List<Finding> findings, byte @Nullable [] picture) {

  static Incoming bad(int line, Draft.Flaw flaw, String what) {
    return new Incoming(line, "", null, List.of(Finding.of(flaw, what)), null);
  }

  static Incoming of(
      int line, @Nullable String uid, Draft.Checked checked, byte @Nullable [] picture) {
    String name = Objects.requireNonNullElse(uid, "").strip();
    if (name.length() > Draft.LONGEST_UID) {
      return bad(line, Draft.Flaw.TOO_LONG, name);
    }
    return new Incoming(line, name, checked.card(), checked.findings(), picture);
  }

  /** By which somebody knows it again in the file. */
  String beginning() {
    return card == null ? findings.get(0).what() : card.title();
  }
}
