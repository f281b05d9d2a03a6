package oficina.core.routing;

import oficina.core.call.Party;
import oficina.core.numbers.Dialled;
import oficina.core.numbers.PhoneNumber;
import oficina.core.office.Office;
import oficina.core.people.Group;

/** Who a number belongs to. A public number of our own is not sent around outside. */
public final class Called {
  private Called() {}

  /** Who was dialled; what cannot be called is nobody. */
  public static Party party(Office office, Dialled dialled) {
    return dialled.accept(
        new Dialled.Cases<>() {
          @Override
          public Party of(Dialled.Internal to) {
            return inside(office, to.extension());
          }

          @Override
          public Party of(Dialled.Outside to) {
            return owner(office, to.number());
          }

          @Override
          public Party of(Dialled.Mailbox to) {
            return mailbox(inside(office, to.extension()));
          }

          @Override
          public Party of(Dialled.Emergency to) {
            return new Party.Emergency(to.digits());
          }

          @Override
          public Party of(Dialled.NotCallable to) {
            return new Party.Nobody(to.text());
          }
        });
  }

  private static Party inside(Office office, String extension) {
    if (extension.equals(office.settings().voicemail().extension())) {
      return new Party.Attendant(null);
    }
    if (office.settings().isSlot(extension)) {
      return new Party.Slot(extension);
    }
    return office
        .directory()
        .personAt(extension)
        .<Party>map(person -> new Party.Employee(person.id()))
        .or(() -> office.directory().groupAt(extension).map(Called::members))
        .orElse(new Party.Nobody(extension));
  }

  private static Party mailbox(Party owner) {
    boolean somebody = owner.employee() != null || owner.group() != null;
    return somebody ? new Party.Mailbox(owner) : owner;
  }

  /** Who in the office a public number belongs to, or else the number itself. */
  public static Party owner(Office office, PhoneNumber number) {
    if (number.equals(office.settings().voicemail().number())) {
      return new Party.Attendant(null);
    }
    return office
        .directory()
        .personAt(number)
        .<Party>map(person -> new Party.Employee(person.id()))
        .or(() -> office.directory().groupAt(number).map(Called::members))
        .orElse(new Party.Outside(number));
  }

  private static Party members(Group group) {
    return new Party.Members(group.id());
  }
}
