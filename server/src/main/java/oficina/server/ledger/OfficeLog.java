package oficina.server.ledger;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.function.Supplier;
import oficina.core.ledger.Entry;
import oficina.core.ledger.Entry.Deed;
import oficina.server.time.MovableClock;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * Writes down what is done in the office. Called within the transaction of a change, line and
 * change are there together or not at all.
 */
@Component
public class OfficeLog {
  private final OfficeLogStore store;
  private final MovableClock clock;

  private final TransactionOperations transactions;

  OfficeLog(OfficeLogStore store, MovableClock clock, TransactionOperations transactions) {
    this.store = store;
    this.clock = clock;
    this.transactions = transactions;
  }

  /**
   * Changes something of the office that stands for itself, and writes down what is different then;
   * together or not at all.
   *
   * @param about whose it is; empty for the office
   * @param what which part of it
   * @param now how it is, before and after
   */
  public void changing(String about, String what, Supplier<String> now, Runnable change) {
    transactions.executeWithoutResult(
        status -> {
          String before = now.get();
          change.run();
          String after = now.get();
          if (!after.equals(before)) {
            write(new Deed(Entry.Kind.CHANGED, about, what, before, after));
          }
        });
  }

  /** The same of the office itself. */
  public void changing(String what, Supplier<String> now, Runnable change) {
    changing("", what, now, change);
  }

  /** Whoever is signed in here has done this; nobody, when the server has by itself. */
  public void write(List<Deed> deeds) {
    write(doer(), deeds);
  }

  public void write(Deed deed) {
    write(List.of(deed));
  }

  /** The same of whoever is not signed in yet; null when that is nobody of the office. */
  public void write(@Nullable Doer doer, List<Deed> deeds) {
    if (!deeds.isEmpty()) {
      Instant at = clock.instant().truncatedTo(ChronoUnit.MICROS); // as it is kept
      store.append((number, deed) -> entry(number, at, doer, deed), deeds);
    }
  }

  private static Entry entry(long number, Instant at, @Nullable Doer doer, Deed deed) {
    return new Entry(
        number,
        at,
        doer == null ? null : doer.id(),
        doer == null ? "" : doer.signInName(),
        origin(),
        deed);
  }

  private static @Nullable Doer doer() {
    Authentication signedIn = SecurityContextHolder.getContext().getAuthentication();
    return signedIn != null && signedIn.getPrincipal() instanceof Doer doer ? doer : null;
  }

  private static String origin() {
    if (RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes here) {
      HttpServletRequest request = here.getRequest();
      return request.getRemoteAddr();
    }
    return "";
  }
}
