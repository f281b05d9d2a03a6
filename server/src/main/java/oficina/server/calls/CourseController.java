package oficina.server.calls;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.List;
import java.util.Map;
import oficina.core.call.CallId;
import oficina.core.history.Segment;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.history.SegmentView;
import oficina.server.passwords.Employee;
import oficina.server.people.Parties;
import oficina.server.problems.Problem;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What came before the stretches of a long call that a desk is told again and again. */
@RestController
@RequestMapping("/api/calls/{id}/course")
class CourseController {
  private static final int MOST = 500;

  private final ExchangeLoop loop;
  private final Parties parties;

  CourseController(ExchangeLoop loop, Parties parties) {
    this.loop = loop;
    this.parties = parties;
  }

  /** The stretches of a call in hand, from the given one on, at most as many as asked for. */
  @GetMapping
  List<SegmentView> course(
      @AuthenticationPrincipal Employee me,
      @PathVariable String id,
      @RequestParam(defaultValue = "0") @Min(0) int from,
      @RequestParam(defaultValue = "100") @Min(1) @Max(MOST) int most) {
    List<Segment> all = Commands.await(loop.ask(() -> loop.course(new CallId(id), me.id())));
    if (all == null) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_CALL", Map.of());
    }
    return all.stream()
        .skip(from)
        .limit(most)
        .map(s -> SegmentView.of(s, me.id(), parties))
        .toList();
  }
}
