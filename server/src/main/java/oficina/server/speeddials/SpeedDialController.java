package oficina.server.speeddials;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import oficina.core.contacts.ContactId;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.server.contacts.Contacts;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
import oficina.server.speeddials.SpeedDial.Kind;
import oficina.server.speeddials.SpeedDialViews.SpeedDialView;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** One's own speed dials. */
@RestController
@RequestMapping("/api/speed-dials")
class SpeedDialController {
  private static final int MOST = 60;
  private static final int MOST_PAGES = 6;

  private final SpeedDialStore dials;
  private final SpeedDialViews views;
  private final Contacts contacts;
  private final OfficeData office;
  private final Topics topics;

  SpeedDialController(
      SpeedDialStore dials,
      SpeedDialViews views,
      Contacts contacts,
      OfficeData office,
      Topics topics) {
    this.dials = dials;
    this.views = views;
    this.contacts = contacts;
    this.office = office;
    this.topics = topics;
  }

  /** All one's keys in their order. */
  @GetMapping
  List<SpeedDialView> mine(@AuthenticationPrincipal Employee me) {
    return dials.of(me.id()).stream().map(dial -> views.view(dial, me.id())).toList();
  }

  record Keys(@NotNull @Size(max = MOST) List<@NotNull @Valid Key> keys) {}

  /**
   * A key to be.
   *
   * @param id of one there is already; 0 for a new one
   * @param label one's own word for it; empty for its name
   * @param of identity of a person, group or contact, a park slot, or a number in any notation
   * @param number which of a contact's numbers, as it is dialled; empty for the first
   */
  record Key(
      long id,
      @Min(1) @Max(MOST_PAGES) int page,
      @NotNull @Size(max = 40) String label,
      @NotNull Kind kind,
      @NotNull @Size(min = 1, max = 40) String of,
      @NotNull @Size(max = 32) String number) {}

  record Added(long id) {}

  /** Add a key behind the others of its page. */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  Added add(@AuthenticationPrincipal Employee me, @Valid @RequestBody Key key) {
    long id =
        dials
            .add(me.id(), checked(key, me.id()), MOST)
            .orElseThrow(
                () ->
                    new Problem(
                        HttpStatus.CONFLICT,
                        "TOO_MANY_KEYS",
                        Map.of("limit", Integer.toString(MOST))));
    topics.tell(me.id(), Topic.SPEED_DIALS);
    return new Added(id);
  }

  /** Take a key away. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    dials.remove(me.id(), id);
    topics.tell(me.id(), Topic.SPEED_DIALS);
  }

  /** Put these keys, in this order, in the place of those there were. */
  @PutMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void keep(@AuthenticationPrincipal Employee me, @Valid @RequestBody Keys body) {
    List<SpeedDial> before = dials.of(me.id());
    dials.keep(
        me.id(),
        body.keys().stream()
            .map(key -> isAmong(before, key) ? unchecked(key, key.of()) : checked(key, me.id()))
            .toList());
    topics.tell(me.id(), Topic.SPEED_DIALS);
  }

  /** What a key was for may be gone by now; it stays where it was put until it is taken off. */
  private static boolean isAmong(List<SpeedDial> before, Key key) {
    return before.stream()
        .anyMatch(
            each ->
                each.id() == key.id() && each.kind() == key.kind() && each.of().equals(key.of()));
  }

  private SpeedDial checked(Key key, PersonId me) {
    return unchecked(key, target(key, me));
  }

  private static SpeedDial unchecked(Key key, String of) {
    return new SpeedDial(
        key.id(), key.page(), key.label().strip(), key.kind(), of, key.number(), false);
  }

  private String target(Key key, PersonId me) {
    boolean there =
        switch (key.kind()) {
          case PERSON -> office.directory().person(new PersonId(identity(key))).isPresent();
          case GROUP -> office.directory().group(new GroupId(identity(key))).isPresent();
          case CONTACT -> contacts.get(new ContactId(identity(key)), me).isPresent();
          case SLOT -> office.settings().isSlot(key.of());
          case NUMBER -> true;
        };
    if (!there) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "NO_SUCH_TARGET");
    }
    if (key.kind() != Kind.NUMBER) {
      return key.of();
    }
    PhoneNumber number = office.plan().outsideNumber(key.of());
    if (number == null) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "NO_SUCH_TARGET");
    }
    return number.e164();
  }

  private static long identity(Key key) {
    try {
      return Long.parseLong(key.of());
    } catch (NumberFormatException e) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "NO_SUCH_TARGET");
    }
  }
}
