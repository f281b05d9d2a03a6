package oficina.server.handset;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import oficina.core.call.DeviceId;
import oficina.core.people.PersonId;
import oficina.server.calls.DeviceGuard;
import oficina.server.handset.PhoneStore.Loan;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Whose each telephone is now, by the owner of the telephone. */
@Component
class Loans implements DeviceGuard {
  private final PhoneStore store;
  private final Map<PersonId, Loan> loans;

  Loans(PhoneStore store) {
    this.store = store;
    loans = new ConcurrentHashMap<>(store.loans());
  }

  PersonId holder(PersonId owner) {
    Loan loan = loans.get(owner);
    return loan == null ? owner : loan.to();
  }

  /** Nobody drives a telephone that is not theirs now. */
  @Override
  public boolean mayUse(PersonId person, DeviceId device) {
    PersonId owner = device.telephoneOwner();
    return owner == null || holder(owner).equals(person);
  }

  /** How it is lent; null when it is not. */
  @Nullable Loan of(PersonId owner) {
    return loans.get(owner);
  }

  /** The owners of telephones that are lent like this. */
  List<PersonId> lent(Predicate<Loan> how) {
    return loans.entrySet().stream()
        .filter(each -> how.test(each.getValue()))
        .map(Map.Entry::getKey)
        .toList();
  }

  /** Those that were to be given back by then. */
  List<PersonId> overBy(Instant now) {
    return lent(loan -> loan.until() != null && !loan.until().isAfter(now));
  }

  void lend(PersonId owner, Loan loan) {
    store.lend(owner, loan);
    loans.put(owner, loan);
  }

  void giveBack(PersonId owner) {
    store.giveBack(owner);
    loans.remove(owner);
  }
}
