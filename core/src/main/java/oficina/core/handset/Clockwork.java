package oficina.core.handset;

import java.time.Duration;
import java.time.Instant;
import oficina.core.handset.Entry.Purpose;
import oficina.core.state.Call;
import org.jspecify.annotations.Nullable;

/** What a telephone does by itself when time has passed, and when. */
final class Clockwork {
  /** Who has dialled and presses nothing more for so long means what they have dialled. */
  static final Duration DIALLED = Duration.ofSeconds(4);

  /** Dialling tone so long, then the reminder that the handset is off the hook. */
  static final Duration DIALLING_TONE = Duration.ofSeconds(15);

  private static final Duration REMINDER = Duration.ofSeconds(60);

  private final Telephone phone;

  Clockwork(Telephone phone) {
    this.phone = phone;
  }

  /** When it begins to ring for what rings; null for never, or when nothing does. */
  @Nullable Instant rings() {
    Call ringing = phone.hand.loud();
    Duration after = phone.hand.around().ringsAfter();
    return ringing == null || after == null
        ? null
        : ringing.of(phone.hand.me()).since().plus(after);
  }

  /** When {@link Telephone#timeIsUp} is wanted; null when nothing is pending. */
  @Nullable Instant nextDue(Instant now) {
    Instant due = phone.told == null ? null : phone.told.until();
    if (rings() != null && rings().isAfter(now)) {
      due = earlier(due, rings());
    }
    if (dialsByItself()) {
      due = earlier(due, phone.entry.at().plus(DIALLED));
    }
    if (phone.idleSince != null && !remindedEnough(now)) {
      Instant reminded = phone.idleSince.plus(DIALLING_TONE);
      due = earlier(due, reminded.isAfter(now) ? reminded : reminded.plus(REMINDER));
    }
    return due;
  }

  private static Instant earlier(@Nullable Instant one, Instant other) {
    return one == null || other.isBefore(one) ? other : one;
  }

  private boolean dialsByItself() {
    return phone.entry != null
        && phone.entry.purpose() == Purpose.CALL
        && phone.path != Panel.Path.NONE
        && phone.idleSince == null
        && !phone.entry.typed().isEmpty()
        && phone.entry.chosen() < 0;
  }

  /** Whether what sounds because it is off the hook has gone on long enough. */
  boolean remindedEnough(Instant now) {
    return phone.idleSince != null
        && !now.isBefore(phone.idleSince.plus(DIALLING_TONE).plus(REMINDER));
  }

  /** Whether what was typed is dialled now, as nothing was typed for a while. */
  boolean dials(Instant now) {
    return dialsByItself() && !phone.entry.at().plus(DIALLED).isAfter(now);
  }
}
