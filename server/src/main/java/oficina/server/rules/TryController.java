package oficina.server.rules;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.commands.NetworkCommand;
import oficina.core.exchange.TryIt;
import oficina.core.exchange.TryIt.Given;
import oficina.core.exchange.TryIt.Trial;
import oficina.core.numbers.Dialled;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import oficina.core.routing.Station;
import oficina.core.rules.Situation;
import oficina.server.calls.Commands;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.people.Parties;
import oficina.server.people.PartyView;
import oficina.server.problems.Problem;
import oficina.server.time.MovableClock;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Tries where a call would go. Nothing rings. */
@RestController
class TryController {
  private final OfficeData office;
  private final ExchangeLoop loop;
  private final RulesReading reading;
  private final Parties parties;
  private final MovableClock clock;

  TryController(
      OfficeData office,
      ExchangeLoop loop,
      RulesReading reading,
      Parties parties,
      MovableClock clock) {
    this.office = office;
    this.loop = loop;
    this.reading = reading;
    this.parties = parties;
    this.clock = clock;
  }

  /**
   * A call to be tried.
   *
   * @param caller as one would dial them; empty for somebody who does not show their number
   * @param called one's own number, that of a line one belongs to, or for administrators any
   * @param when day and time at the office; absent for now
   */
  record Tried(
      @NotNull @Size(max = 40) String caller,
      @NotNull @Size(min = 1, max = 40) String called,
      @Schema(nullable = true) @Nullable LocalDateTime when,
      @NotNull Given given) {}

  /**
   * What was found on its way.
   *
   * @param block that keeps the caller out; absent when none does
   * @param own whether rule or block is one the reader may open
   * @param seconds how long it rings; absent when it does not
   */
  record StationView(
      Station.Kind kind,
      PartyView at,
      @Schema(nullable = true) @Nullable Situation situation,
      @Schema(nullable = true) @Nullable Long rule,
      boolean own,
      List<PartyView> to,
      @Schema(nullable = true) @Nullable Integer seconds) {}

  /**
   * Where it would go when nobody takes it anywhere.
   *
   * @param told what the caller would hear in the end; absent when somebody or something answers
   * @param refused why it cannot be placed; absent when it can
   */
  record TrialView(
      Instant when,
      List<StationView> stations,
      @Schema(nullable = true) @Nullable Cause told,
      @Schema(nullable = true) @Nullable String refused) {}

  /** Try a call: where it would go, and why. */
  @PostMapping("/api/rules/try")
  TrialView tryIt(@AuthenticationPrincipal Employee me, @Valid @RequestBody Tried tried) {
    Party called = reading.party(tried.called());
    boolean mine =
        me.id().equals(called.employee()) || office.now().people(called).contains(me.id());
    if (!mine && !me.isAdministrator()) {
      throw new Problem(HttpStatus.FORBIDDEN, "TRY_OWN_ONLY");
    }
    Instant when =
        tried.when() == null
            ? clock.instant()
            : tried.when().atZone(office.now().identity().zone()).toInstant();
    Command command = command(tried.caller(), tried.called(), called);
    Trial trial =
        Commands.await(loop.ask(() -> loop.tryIt(command, when, tried.given(), called.employee())));
    return new TrialView(
        when,
        trial.stations().stream().map(each -> view(each, me)).toList(),
        trial.told(),
        trial.refused() == null ? null : trial.refused().reason().name());
  }

  private Command command(String caller, String dialled, Party called) {
    Dialled from = caller.isBlank() ? null : office.plan().interpret(caller);
    if (from instanceof Dialled.Internal) {
      PersonId colleague = reading.party(caller).employee();
      if (colleague != null) {
        return new CallCommand.MakeCall(
            TryIt.call(), colleague, TryIt.device(), office.plan().interpret(dialled), null);
      }
    }
    if (from != null && !(from instanceof Dialled.Outside)) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "NO_SUCH_CALLER");
    }
    PhoneNumber number = from instanceof Dialled.Outside outside ? outside.number() : null;
    PhoneNumber to = publicNumber(called);
    if (to == null) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "NO_PUBLIC_NUMBER");
    }
    return new NetworkCommand.Arrive(TryIt.call(), number, to);
  }

  private @Nullable PhoneNumber publicNumber(Party called) {
    if (called.employee() != null) {
      return office.directory().person(called.employee()).orElseThrow().directNumber();
    }
    return called.group() == null
        ? null
        : office.directory().group(called.group()).orElseThrow().number();
  }

  private StationView view(Station station, Employee me) {
    boolean own =
        me.isAdministrator()
            || me.id().equals(station.at().employee())
            || office.now().people(station.at()).contains(me.id());
    return new StationView(
        station.kind(),
        parties.view(station.at(), me.id()),
        station.situation(),
        own ? station.rule() : null,
        own,
        station.to().stream().map(each -> parties.view(each, me.id())).toList(),
        station.time() == null ? null : (int) station.time().toSeconds());
  }
}
