package oficina.server.history;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import oficina.core.call.Party;
import oficina.core.history.Part;
import oficina.server.office.OfficeData;
import oficina.server.people.Parties;
import oficina.server.people.PartyView;
import oficina.server.signin.Employee;
import oficina.server.time.MovableClock;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Missed calls that wait for somebody to return them. */
@RestController
class ToCallBackController {
  private static final int MOST = 50;

  /** What nobody has returned for so long is not on anybody's list any more. */
  private static final Duration OLDEST = Duration.ofDays(14);

  private final HistoryStore history;
  private final OfficeData office;
  private final Parties parties;
  private final MovableClock clock;

  ToCallBackController(
      HistoryStore history, OfficeData office, Parties parties, MovableClock clock) {
    this.history = history;
    this.office = office;
    this.parties = parties;
    this.clock = clock;
  }

  /**
   * Somebody to call back.
   *
   * @param times how often they were missed
   * @param line the group on whose line the last of these came in
   * @param at when the last of these was
   */
  record ToCallBack(
      PartyView who, int times, @Schema(nullable = true) String line, Instant at, long rang) {}

  /** Whoever was missed, by oneself or on a line of a group one belongs to, oldest first. */
  @GetMapping("/api/to-call-back")
  List<ToCallBack> mine(@AuthenticationPrincipal Employee me) {
    return history
        .toCallBack(
            me.id(), office.directory().groupsOf(me.id()), clock.instant().minus(OLDEST), MOST)
        .stream()
        .map(each -> view(each.last(), each.times()))
        .toList();
  }

  private ToCallBack view(Part last, int times) {
    return new ToCallBack(
        parties.view(last.other()),
        times,
        last.line() instanceof Party.Members ? parties.name(last.line()) : null,
        last.began(),
        last.rang().toMillis());
  }
}
