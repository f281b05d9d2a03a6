package oficina.server.greetings;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import oficina.core.call.Occasion;
import oficina.core.call.Owner;
import oficina.core.call.Party;
import oficina.core.decision.Permissions;
import oficina.core.history.ToReturn;
import oficina.core.sound.Wav;
import oficina.server.calls.Commands;
import oficina.server.ledger.OfficeLog;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.people.Parties;
import oficina.server.problems.Problem;
import oficina.server.speech.Previews;
import oficina.server.time.MovableClock;
import oficina.server.uploads.Uploads;
import oficina.server.uploads.WavUpload;
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
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The greetings of the mailboxes that a person hears. */
@RestController
@RequestMapping("/api/greetings")
class GreetingController {
  private static final Duration LONGEST = Duration.ofSeconds(55);

  private final Uploads uploads;
  private final GreetingStore store;
  private final Greetings greetings;
  private final Previews previews;
  private final OfficeData office;
  private final Parties parties;
  private final MovableClock clock;
  private final OfficeLog log;

  GreetingController(
      Uploads uploads,
      GreetingStore store,
      Greetings greetings,
      Previews previews,
      OfficeData office,
      Parties parties,
      MovableClock clock,
      OfficeLog log) {
    this.uploads = uploads;
    this.store = store;
    this.greetings = greetings;
    this.previews = previews;
    this.office = office;
    this.parties = parties;
    this.clock = clock;
    this.log = log;
  }

  /**
   * What is said on one occasion.
   *
   * @param text what the machine says; absent when it was spoken or uploaded
   * @param made when the owner made it; absent for the usual sentence
   * @param until when the usual sentence is said again; absent for never
   */
  record GreetingView(
      Occasion occasion,
      @Schema(nullable = true) @Nullable String text,
      @Schema(nullable = true) @Nullable Instant made,
      @Schema(nullable = true) @Nullable Instant until) {}

  /**
   * A mailbox and what it says.
   *
   * @param mailbox by which it is named here
   * @param line the group whose it is; absent for one's own
   */
  record MailboxView(
      String mailbox,
      @Schema(nullable = true) @Nullable String line,
      List<GreetingView> greetings) {}

  /** One's own mailbox, and those of one's groups. */
  @GetMapping
  List<MailboxView> all(@AuthenticationPrincipal Employee me) {
    return Owner.keysFor(me.id(), office.directory()).stream()
        .map(ToReturn::partyOf)
        .filter(owner -> office.now().hasMailbox(owner) || welcomes(owner))
        .map(this::view)
        .toList();
  }

  private MailboxView view(Party owner) {
    List<GreetingStore.Greeting> made = store.of(Owner.key(owner), clock.instant());
    return new MailboxView(
        Owner.key(owner),
        parties.groupLine(owner),
        Arrays.stream(Occasion.values())
            .filter(
                each -> each == Occasion.WELCOME ? welcomes(owner) : office.now().hasMailbox(owner))
            .map(each -> view(owner, each, made))
            .toList());
  }

  private boolean welcomes(Party owner) {
    return office.now().directions().rulesOf(owner).welcome();
  }

  private GreetingView view(Party owner, Occasion occasion, List<GreetingStore.Greeting> made) {
    for (GreetingStore.Greeting each : made) {
      if (each.occasion() == occasion) {
        return new GreetingView(
            occasion, each.text().isEmpty() ? null : each.text(), each.since(), each.until());
      }
    }
    return new GreetingView(occasion, greetings.usual(owner, occasion), null, null);
  }

  private Party owner(Employee me, String mailbox) {
    Party owner = Owner.isKey(mailbox) ? Owner.of(mailbox) : null;
    if (owner == null || !Permissions.mayHear(office.now(), owner, me.id())) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_MAILBOX");
    }
    return owner;
  }

  /** What is said now, as it sounds. */
  @GetMapping(path = "/{mailbox}/{occasion}/sound", produces = "audio/wav")
  byte[] sound(
      @AuthenticationPrincipal Employee me,
      @PathVariable String mailbox,
      @PathVariable Occasion occasion) {
    return Wav.write(Commands.await(greetings.spoken(owner(me, mailbox), occasion)));
  }

  record Typed(@NotBlank @Size(max = 1_000) String text) {}

  /**
   * @param until when the usual sentence is to be said again; absent for never
   */
  record TypedGreeting(
      @NotBlank @Size(max = 1_000) String text, @Schema(nullable = true) @Nullable Instant until) {}

  /** What a text sounds like when the machine speaks it; nothing is kept. */
  @PostMapping(path = "/typed", produces = "audio/wav")
  byte[] hear(@AuthenticationPrincipal Employee me, @Valid @RequestBody Typed typed) {
    return Wav.write(previews.spoken(me.id(), typed.text()));
  }

  /** Have a text spoken by the machine from now on. */
  @PutMapping("/{mailbox}/{occasion}/typed")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void type(
      @AuthenticationPrincipal Employee me,
      @PathVariable String mailbox,
      @PathVariable Occasion occasion,
      @Valid @RequestBody TypedGreeting typed) {
    Party owner = owner(me, mailbox);
    short[] samples = previews.spoken(me.id(), typed.text());
    keep(owner, occasion, typed.text(), samples, typed.until());
  }

  /** Have a WAV file played from now on. */
  @PutMapping(path = "/{mailbox}/{occasion}/sound", consumes = "audio/wav")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      content = @Content(mediaType = "audio/wav", schema = @Schema(format = "binary")))
  void upload(
      @AuthenticationPrincipal Employee me,
      @PathVariable String mailbox,
      @PathVariable Occasion occasion,
      @RequestParam(required = false) @Nullable Instant until,
      HttpServletRequest request)
      throws IOException {
    Party owner = owner(me, mailbox);
    short[] samples = uploads.read(me.id(), request, file -> WavUpload.read(file, LONGEST));
    keep(owner, occasion, "", samples, until);
  }

  private void keep(
      Party owner, Occasion occasion, String text, short[] samples, @Nullable Instant until) {
    changing(
        owner,
        occasion,
        () ->
            store.keep(
                Owner.key(owner),
                new GreetingStore.Greeting(occasion, text, clock.instant(), until),
                samples));
  }

  /** What callers hear is written down in the log of the office. */
  private void changing(Party owner, Occasion occasion, Runnable change) {
    log.changing(parties.name(owner), "greeting", () -> said(owner, occasion), change);
  }

  /**
   * What a line says; of somebody's own, or where there is only a sound, since when. Empty for the
   * usual sentence.
   */
  private String said(Party owner, Occasion occasion) {
    return store.of(Owner.key(owner), clock.instant()).stream()
        .filter(each -> each.occasion() == occasion)
        .map(
            each -> {
              boolean told = owner instanceof Party.Members && !each.text().isEmpty();
              return occasion + ": " + (told ? each.text() : each.since());
            })
        .findFirst()
        .orElse("");
  }

  /** Say the usual sentence again. */
  @DeleteMapping("/{mailbox}/{occasion}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(
      @AuthenticationPrincipal Employee me,
      @PathVariable String mailbox,
      @PathVariable Occasion occasion) {
    Party owner = owner(me, mailbox);
    changing(owner, occasion, () -> store.remove(Owner.key(owner), occasion));
  }
}
