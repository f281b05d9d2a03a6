package oficina.server.calls;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDateTime;
import oficina.core.commands.OfficeCommand;
import oficina.core.people.Status.Kind;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
import oficina.server.time.MovableClock;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What one says of oneself. */
@RestController
@RequestMapping("/api/status")
class StatusController {
  private final Commands commands;
  private final OfficeData office;
  private final MovableClock clock;

  StatusController(Commands commands, OfficeData office, MovableClock clock) {
    this.commands = commands;
    this.office = office;
    this.clock = clock;
  }

  /**
   * What one is.
   *
   * @param text in one's own words; empty for none
   * @param minutes after which it undoes itself; absent unless that is meant
   * @param until day and time at the office when it undoes itself; absent unless that is meant
   * @param untilOpening whether it undoes itself when the office opens next
   */
  record NewStatus(
      @NotNull Kind kind,
      @NotNull @Size(max = 80) String text,
      @Schema(nullable = true) @Nullable Integer minutes,
      @Schema(nullable = true) @Nullable LocalDateTime until,
      boolean untilOpening) {}

  /** Say what one is; free, and nothing more, is to say nothing. */
  @PutMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void say(@AuthenticationPrincipal Employee me, @Valid @RequestBody NewStatus said) {
    commands.carryOut(
        new OfficeCommand.SetStatus(me.id(), said.kind(), said.text().strip(), until(said)));
  }

  private @Nullable Instant until(NewStatus said) {
    if (said.untilOpening()) {
      return office
          .now()
          .directions()
          .opening()
          .nextOpening(clock.instant())
          .orElseThrow(() -> new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "NO_OPENING_HOURS"));
    }
    if (said.minutes() != null) {
      return clock.instant().plusSeconds(60L * said.minutes());
    }
    return said.until() == null
        ? null
        : said.until().atZone(office.now().identity().zone()).toInstant();
  }

  /**
   * When the office opens next.
   *
   * @param at absent when it is never closed
   */
  record NextOpening(@Schema(nullable = true) @Nullable Instant at) {}

  /** When the office opens next. */
  @GetMapping("/next-opening")
  NextOpening nextOpening() {
    return new NextOpening(
        office.now().directions().opening().nextOpening(clock.instant()).orElse(null));
  }
}
