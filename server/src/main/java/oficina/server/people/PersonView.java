package oficina.server.people;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import oficina.core.numbers.PhoneNumber;
import oficina.core.numbers.Region;
import oficina.core.people.Person;
import oficina.core.people.Status;
import oficina.core.seen.Lamp;
import org.jspecify.annotations.Nullable;

/**
 * A colleague as everybody sees them. Says nothing of whom they speak with.
 *
 * @param mail empty when they have no address
 * @param mobile as people here write it; absent when they have none
 * @param since how long they have been ringing or on a call, or have been what they say
 * @param said what they say of themselves; absent when nothing
 * @param forwarded where all their calls go, whoever calls; absent when they ring
 */
public record PersonView(
    long id,
    String name,
    String extension,
    @Schema(nullable = true) @Nullable String directNumber,
    String team,
    String site,
    String mail,
    @Schema(nullable = true) @Nullable String mobile,
    Lamp.Light lamp,
    @Schema(nullable = true) @Nullable Instant since,
    @Schema(nullable = true) @Nullable StatusView said,
    @Schema(nullable = true) @Nullable ForwardedView forwarded) {

  /**
   * Where calls go.
   *
   * @param name empty for a number outside, which is its owner's alone to know
   */
  public record ForwardedView(PartyView.Kind kind, String name) {
    static @Nullable ForwardedView of(@Nullable PartyView to) {
      if (to == null) {
        return null;
      }
      boolean outside = to.kind() == PartyView.Kind.OUTSIDE;
      return new ForwardedView(to.kind(), outside ? "" : to.name());
    }
  }

  /**
   * What somebody says of themselves.
   *
   * @param until when it undoes itself; absent for when they change it
   */
  public record StatusView(
      Status.Kind kind,
      String text,
      Instant since,
      @Schema(nullable = true) @Nullable Instant until) {
    static @Nullable StatusView of(@Nullable Status status) {
      return status == null
          ? null
          : new StatusView(status.kind(), status.text(), status.since(), status.until());
    }
  }

  /**
   * The person with this lamp, their number written as in this region.
   *
   * @param forwardedTo where all their calls go; null when they ring
   */
  public static PersonView of(
      Person person, Lamp lamp, Region region, @Nullable PartyView forwardedTo) {
    return new PersonView(
        person.id().value(),
        person.name(),
        person.extension(),
        shown(person.directNumber(), region),
        person.team(),
        person.site(),
        person.place().mail(),
        shown(person.mobile(), region),
        lamp.light(),
        lamp.since(),
        StatusView.of(lamp.status()),
        ForwardedView.of(forwardedTo));
  }

  private static @Nullable String shown(@Nullable PhoneNumber number, Region region) {
    return number == null ? null : region.show(number);
  }
}
