package oficina.server.administration;

import java.util.Map;
import java.util.Optional;
import oficina.core.call.Party;
import oficina.core.numbers.DialPlan;
import oficina.core.numbers.PhoneNumber;
import oficina.core.numbers.Region;
import oficina.core.office.Claims;
import oficina.core.office.Office;
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;

/** Extensions and numbers as they were typed for somebody or something, checked. */
record Given(Office office) {
  /**
   * An extension that is free for this one.
   *
   * @param self null for somebody who is new
   * @throws Problem when it is not
   */
  String extension(String typed, @Nullable Party self) {
    String digits = typed.strip();
    refuse(new Claims(office).extension(digits, self), "EXTENSION_", digits);
    return digits;
  }

  /**
   * A public number that is free for this one, as people here write numbers.
   *
   * @param typed blank for none
   * @throws Problem when it is no number, or is not free
   */
  @Nullable String number(String typed, @Nullable Party self) {
    PhoneNumber number = number(office.identity().region(), typed);
    if (number == null) {
      return null;
    }
    Claims claims = new Claims(office);
    refuse(claims.number(number, self), "NUMBER_", typed.strip());
    boolean stays = self != null && claims.has(self, number);
    if (!stays && !office.identity().has(number)) {
      throw problem(HttpStatus.UNPROCESSABLE_CONTENT, "NUMBER_OUTSIDE_RANGES", typed.strip(), "");
    }
    return number.e164();
  }

  /**
   * What was theirs before may be again, unless somebody else has it by now.
   *
   * @param e164 empty for none
   * @throws Problem when somebody has
   */
  void refuseTaken(String extension, String e164) {
    extension(extension, null);
    if (!e164.isEmpty()) {
      PhoneNumber number = new PhoneNumber(e164);
      String shown = office.identity().region().show(number);
      refuse(new Claims(office).number(number, null), "NUMBER_", shown);
    }
  }

  /** A public number, whosever it is; null when nothing was typed. */
  static @Nullable PhoneNumber number(Region region, String typed) {
    if (typed.isBlank()) {
      return null;
    }
    PhoneNumber number = DialPlan.publicNumber(region, typed);
    if (number == null) {
      throw problem(HttpStatus.UNPROCESSABLE_CONTENT, "NUMBER_UNREADABLE", typed.strip(), "");
    }
    return number;
  }

  private static void refuse(Optional<Claims.Holder> holder, String what, String typed) {
    holder.ifPresent(
        by -> {
          throw problem(HttpStatus.CONFLICT, what + "OF_" + by.kind(), typed, by.name());
        });
  }

  private static Problem problem(HttpStatus status, String code, String text, String name) {
    return new Problem(status, code, Map.of("text", text, "name", name));
  }
}
