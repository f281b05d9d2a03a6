package oficina.server.history;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import oficina.core.call.Party;
import oficina.core.history.ToReturn;
import oficina.core.people.PersonId;
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

  private final ToReturnStore toReturn;
  private final OfficeData office;
  private final Parties parties;
  private final MovableClock clock;

  ToCallBackController(
      ToReturnStore toReturn, OfficeData office, Parties parties, MovableClock clock) {
    this.toReturn = toReturn;
    this.office = office;
    this.parties = parties;
    this.clock = clock;
  }

  /**
   * Somebody to call back.
   *
   * @param times how often they were missed
   * @param line the group on whose line the last of these came in
   * @param since when the first of these was
   * @param last when the last of these was
   */
  record ToCallBack(
      PartyView who,
      int times,
      @Schema(nullable = true) String line,
      Instant since,
      Instant last,
      long rang) {}

  /** Whoever was missed, by oneself or on a line of a group one belongs to, oldest first. */
  @GetMapping("/api/to-call-back")
  List<ToCallBack> mine(@AuthenticationPrincipal Employee me) {
    String own = ToReturn.listOf(me.id());
    List<String> lists = ToReturn.listsOf(me.id(), office.directory());
    return toReturn.waiting(own, lists, clock.instant().minus(OLDEST), MOST).stream()
        .map(waiting -> view(waiting, me.id()))
        .toList();
  }

  private ToCallBack view(ToReturnStore.Waiting waiting, PersonId viewer) {
    Party line = ToReturn.partyOf(waiting.list());
    return new ToCallBack(
        parties.view(ToReturn.partyOf(waiting.caller()), viewer),
        waiting.times(),
        line.group() == null ? null : parties.name(line),
        waiting.first(),
        waiting.last(),
        waiting.rangMs());
  }
}
