package oficina.server.handset;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import oficina.core.call.DeviceId;
import oficina.core.people.PersonId;
import oficina.server.OficinaProperties;
import oficina.server.calls.Commands;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.handset.PhoneStore.Loan;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
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

/** The devices of whoever is signed in, and telephones of others that they may use. */
@RestController
@RequestMapping("/api/devices")
class PhoneController {
  private final Handsets handsets;
  private final Loans loans;
  private final Lending lending;
  private final Choices choices;
  private final Secrets secrets;
  private final OfficeData office;
  private final ExchangeLoop loop;
  private final OficinaProperties properties;

  PhoneController(
      Handsets handsets,
      Loans loans,
      Lending lending,
      Choices choices,
      Secrets secrets,
      OfficeData office,
      ExchangeLoop loop,
      OficinaProperties properties) {
    this.handsets = handsets;
    this.loans = loans;
    this.lending = lending;
    this.choices = choices;
    this.secrets = secrets;
    this.office = office;
    this.loop = loop;
    this.properties = properties;
  }

  /**
   * A desk telephone.
   *
   * @param device by which calls are answered and placed at it
   * @param owner whose it is when it is not lent
   * @param lent whether it is somebody else's now
   * @param until when it is given back by itself; absent for when they leave, or when it is not
   *     lent
   */
  record PhoneView(
      String device,
      long owner,
      String name,
      String extension,
      boolean lent,
      @Schema(nullable = true) @Nullable Instant until) {}

  /**
   * What somebody is reached through.
   *
   * @param phones telephones that are theirs now and plugged in, borrowed ones first
   * @param lentTo who has their own telephone now; absent when nobody else has
   * @param free telephones of others that they could use
   */
  record DevicesView(
      @Schema(requiredMode = Schema.RequiredMode.REQUIRED) Choice choice,
      List<PhoneView> phones,
      @Schema(nullable = true) @Nullable String lentTo,
      List<PhoneView> free) {}

  /** My devices, and those I could use. */
  @GetMapping
  DevicesView mine(@AuthenticationPrincipal Employee me) {
    return Commands.await(loop.ask(() -> devices(me.id())));
  }

  private DevicesView devices(PersonId me) {
    List<PhoneView> phones = new ArrayList<>();
    List<PhoneView> free = new ArrayList<>();
    for (Plugged each : handsets.all()) {
      if (each.holder.equals(me)) {
        phones.add(each.owner.equals(me) ? phones.size() : 0, view(each.owner));
      } else if (each.holder.equals(each.owner) && lending.mayUse(me, each.owner)) {
        free.add(view(each.owner));
      }
    }
    PersonId holder = loans.holder(me);
    String lentTo = holder.equals(me) ? null : office.now().nameOf(holder);
    return new DevicesView(choices.of(me), phones, lentTo, free);
  }

  private PhoneView view(PersonId owner) {
    Loan loan = loans.of(owner);
    return new PhoneView(
        DeviceId.telephoneOf(owner).value(),
        owner.value(),
        office.now().nameOf(owner),
        office.person(owner).extension(),
        loan != null,
        loan == null ? null : loan.until());
  }

  /** Choose which device places calls, and when each begins to ring. */
  @PutMapping("/choice")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void choose(@AuthenticationPrincipal Employee me, @Valid @RequestBody Choice choice) {
    choices.choose(me.id(), choice);
    handsets.choiceChanged(me.id());
  }

  /**
   * A telephone that can be plugged in.
   *
   * @param secret by which it shows who it is; told once
   */
  record PhoneSecret(String secret) {}

  /** Set up one's own telephone. */
  @PostMapping("/phone")
  @ResponseStatus(HttpStatus.CREATED)
  PhoneSecret own(@AuthenticationPrincipal Employee me) {
    return new PhoneSecret(secrets.fresh(me.id()));
  }

  /** Set up anybody's: where equipment is simulated everybody may, elsewhere administrators. */
  @PostMapping("/phone/{owner}")
  @ResponseStatus(HttpStatus.CREATED)
  PhoneSecret any(@AuthenticationPrincipal Employee me, @PathVariable long owner) {
    PersonId whose = new PersonId(owner);
    if (!whose.equals(me.id()) && !properties.standIns() && !me.isAdministrator()) {
      throw new Problem(HttpStatus.FORBIDDEN, "FORBIDDEN");
    }
    if (office.directory().person(whose).isEmpty()) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_PERSON");
    }
    return new PhoneSecret(secrets.fresh(whose));
  }

  /**
   * @param until day and time at the office; absent for until one has left
   */
  record Borrowing(@Schema(nullable = true) @Nullable LocalDateTime until) {}

  /** Use somebody else's telephone for a time. */
  @PostMapping("/borrowed/{owner}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void borrow(
      @AuthenticationPrincipal Employee me,
      @PathVariable long owner,
      @NotNull @Valid @RequestBody Borrowing borrowing) {
    Instant until =
        borrowing.until() == null
            ? null
            : borrowing.until().atZone(office.now().identity().zone()).toInstant();
    lending.borrow(me.id(), new PersonId(owner), until);
  }

  /** Give a telephone back: one that one uses, or have one's own back. */
  @DeleteMapping("/borrowed/{owner}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void giveBack(@AuthenticationPrincipal Employee me, @PathVariable long owner) {
    PersonId whose = new PersonId(owner);
    boolean concerned = whose.equals(me.id()) || loans.holder(whose).equals(me.id());
    if (!concerned || loans.of(whose) == null) {
      throw new Problem(HttpStatus.NOT_FOUND, "PHONE_NOT_LENT", Map.of());
    }
    lending.giveBack(whose);
  }
}
