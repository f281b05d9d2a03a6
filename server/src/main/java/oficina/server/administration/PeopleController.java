package oficina.server.administration;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicReference;
import oficina.core.people.PersonId;
import oficina.server.office.NewPerson;
import oficina.server.office.OfficeData;
import oficina.server.office.OfficeStore;
import oficina.server.office.StandIn;
import oficina.server.passwords.Employee;
import oficina.server.passwords.Passwords;
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/**
 * Who belongs to the office. A change is in force at once. Everything below /api/office is open to
 * administrators only.
 */
@RestController
@RequestMapping("/api/office/people")
class PeopleController {
  private final OfficeData office;
  private final OfficeStore store;
  private final Passwords passwords;

  PeopleController(OfficeData office, OfficeStore store, Passwords passwords) {
    this.office = office;
    this.store = store;
    this.passwords = passwords;
  }

  /**
   * Somebody who joins the office.
   *
   * @param signInName the name they sign in with
   * @param password for the first time; they choose another one then
   * @param directNumber public number that rings them, in E.164; absent when they have none
   * @param mail address at which they are written to; absent when they have none
   */
  record Joining(
      @NotBlank @Size(max = 120) String name,
      @NotBlank @Pattern(regexp = "[a-z0-9.-]{1,60}") String signInName,
      @NotBlank @Size(max = 200) String password,
      @NotBlank @Pattern(regexp = "[0-9]{2,6}") String extension,
      @Schema(nullable = true) @Nullable @Pattern(regexp = "\\+[0-9]{4,15}") String directNumber,
      @NotBlank @Size(max = 80) String team,
      @Schema(nullable = true) @Nullable @Size(max = 80) String site,
      @Schema(nullable = true) @Nullable @Email @Size(max = 254) String mail) {}

  record Joined(long id) {}

  /** Somebody joins the office. */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  Joined join(@AuthenticationPrincipal Employee me, @Valid @RequestBody Joining joining) {
    if (office.now().isExtension(joining.extension())) {
      throw taken(joining.extension());
    }
    NewPerson person =
        new NewPerson(
            joining.name().strip(),
            joining.signInName(),
            passwords.hash(
                joining.password(),
                /* present= */ null,
                List.of(joining.name(), joining.signInName(), joining.extension()),
                me.signInName()),
            "employee",
            joining.extension(),
            joining.directNumber(),
            store.teamNamed(joining.team().strip()),
            joining.site() == null ? "" : joining.site().strip(),
            joining.mail() == null ? "" : joining.mail().strip(),
            true,
            StandIn.NONE);
    AtomicReference<PersonId> id = new AtomicReference<>();
    try {
      office.change(
          () -> {
            id.set(store.addPerson(person));
            store.mustChangePassword(id.get());
          });
    } catch (DuplicateKeyException e) {
      throw taken(joining.signInName());
    }
    return new Joined(id.get().value());
  }

  private static Problem taken(String what) {
    return new Problem(HttpStatus.CONFLICT, "TAKEN", Map.of("text", what));
  }

  /** Somebody leaves the office: their calls end, and they are signed out. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void leave(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    PersonId person = new PersonId(id);
    if (office.directory().person(person).isEmpty()) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_PERSON");
    }
    if (person.equals(me.id())) {
      throw new Problem(HttpStatus.CONFLICT, "NOT_ONESELF");
    }
    office.change(() -> store.leave(person));
  }
}
