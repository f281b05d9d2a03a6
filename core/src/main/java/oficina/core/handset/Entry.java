package oficina.core.handset;

import java.time.Instant;
import java.util.List;
import oficina.core.call.CallId;
import org.jspecify.annotations.Nullable;

/**
 * What is being typed at a telephone.
 *
 * @param typed keys so far
 * @param chosen which of the people found the keys mean; -1 for the number as it was typed
 * @param call the call it is for; null for none
 * @param key the key with a lamp that is being assigned; -1 for none
 * @param extension whose telephone it is to be, when their PIN is asked for
 * @param at when the last key was pressed
 */
record Entry(
    Purpose purpose,
    String typed,
    int chosen,
    @Nullable CallId call,
    int key,
    String extension,
    Instant at) {
  private static final int LONGEST = 40;

  /** What it is typed for. */
  enum Purpose {
    CALL(SoftKey.CALL, SoftKey.CORRECT, SoftKey.BACK),
    TRANSFER(SoftKey.PUT_THROUGH, SoftKey.ANNOUNCE, SoftKey.CORRECT, SoftKey.BACK),
    ADD(SoftKey.ADD_TO_CALL, SoftKey.CORRECT, SoftKey.BACK),
    DEFLECT(SoftKey.SEND_ON, SoftKey.CORRECT, SoftKey.BACK),
    PARK(SoftKey.PARK_THERE, SoftKey.PARK_NEXT, SoftKey.CORRECT, SoftKey.BACK),
    FORWARD(SoftKey.FORWARD_THERE, SoftKey.CORRECT, SoftKey.BACK),
    /** A key with a lamp is to be pressed. */
    WHICH_KEY(SoftKey.BACK),
    ASSIGN(SoftKey.ASSIGN, SoftKey.CORRECT, SoftKey.BACK),
    EXTENSION(SoftKey.NEXT, SoftKey.CORRECT, SoftKey.BACK),
    PIN(SoftKey.SIGN_ON_HERE, SoftKey.CORRECT, SoftKey.BACK);

    private final List<SoftKey> soft;

    Purpose(SoftKey... soft) {
      this.soft = List.of(soft);
    }

    List<SoftKey> soft() {
      return soft;
    }

    /** Whether people are found by what is typed. */
    boolean finds() {
      return this != PARK && this != PIN && this != WHICH_KEY;
    }
  }

  static Entry of(Purpose purpose, @Nullable CallId call, Instant at) {
    return new Entry(purpose, "", -1, call, -1, "", at);
  }

  Entry typed(char digit, Instant now) {
    String more = typed.length() < LONGEST ? typed + digit : typed;
    return new Entry(purpose, more, Math.min(0, chosen), call, key, extension, now);
  }

  Entry corrected(Instant now) {
    String less = typed.isEmpty() ? "" : typed.substring(0, typed.length() - 1);
    return new Entry(purpose, less, Math.min(0, chosen), call, key, extension, now);
  }

  Entry chosen(int now, Instant at) {
    return new Entry(purpose, typed, now, call, key, extension, at);
  }

  Entry assigning(int which, Instant now) {
    return new Entry(Purpose.ASSIGN, "", -1, null, which, "", now);
  }

  Entry withPinOf(String whose, Instant now) {
    return new Entry(Purpose.PIN, "", -1, null, -1, whose, now);
  }
}
