package oficina.server.history;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import oficina.core.call.Owner;
import oficina.core.call.Party;
import oficina.core.history.ToReturn;
import oficina.core.people.PersonId;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.people.Parties;
import oficina.server.people.PartyView;
import oficina.server.problems.Problem;
import oficina.server.returning.ToReturnStore;
import oficina.server.time.MovableClock;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Missed calls that wait for somebody to return them. */
@RestController
@RequestMapping("/api/to-call-back")
class ToCallBackController {
  private static final int MOST = 50;

  /** What nobody has returned for so long is not on anybody's list any more. */
  private static final Duration OLDEST = Duration.ofDays(14);

  private final ToReturnStore toReturn;
  private final OfficeData office;
  private final Parties parties;
  private final Topics topics;
  private final MovableClock clock;

  ToCallBackController(
      ToReturnStore toReturn,
      OfficeData office,
      Parties parties,
      Topics topics,
      MovableClock clock) {
    this.toReturn = toReturn;
    this.office = office;
    this.parties = parties;
    this.topics = topics;
    this.clock = clock;
  }

  /**
   * Somebody to call back.
   *
   * @param caller by which they are named to the server
   * @param times how often they were missed
   * @param line the group on whose line the last of these came in
   * @param since when the first of these was
   * @param last when the last of these was
   * @param takenBy who says that they call them back
   * @param note of whoever that is
   */
  record ToCallBack(
      String caller,
      PartyView who,
      int times,
      @Schema(nullable = true) String line,
      Instant since,
      Instant last,
      long rang,
      @Schema(nullable = true) @Nullable Long takenBy,
      @Schema(nullable = true) @Nullable String takenByName,
      String note) {}

  /** Whoever was missed, by oneself or on a line of a group one belongs to, oldest first. */
  @GetMapping
  List<ToCallBack> mine(@AuthenticationPrincipal Employee me) {
    List<ToReturnStore.Waiting> waiting = waiting(me);
    Map<String, ToReturnStore.TakenOn> taken =
        toReturn.takenOn(waiting.stream().map(ToReturnStore.Waiting::caller).toList());
    return waiting.stream().map(each -> view(each, taken.get(each.caller()), me.id())).toList();
  }

  private List<ToReturnStore.Waiting> waiting(Employee me) {
    List<String> lists = Owner.keysFor(me.id(), office.directory());
    return toReturn.waiting(Owner.key(me.id()), lists, clock.instant().minus(OLDEST), MOST);
  }

  /**
   * Who calls somebody back.
   *
   * @param caller as the list has it
   * @param person who does it: oneself, or a colleague on whose list they come
   * @param note for whoever else has them on their list
   */
  record CallReturn(
      @NotNull @Size(max = 24) String caller, long person, @NotNull @Size(max = 200) String note) {}

  /** Say that one is on it, or hand somebody on to a colleague. */
  @PutMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void takeOn(@AuthenticationPrincipal Employee me, @Valid @RequestBody CallReturn body) {
    checkListed(me, body.caller());
    PersonId person = new PersonId(body.person());
    if (office.directory().person(person).isEmpty()) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "NO_SUCH_PERSON");
    }
    if (!person.equals(me.id())) {
      toReturn.handOn(
          body.caller(),
          Owner.keysFor(me.id(), office.directory()),
          Owner.key(me.id()),
          Owner.key(person));
    }
    toReturn.takeOn(body.caller(), person, body.note().strip(), clock.instant());
    topics.tellAll(Topic.TO_RETURN);
  }

  /** Say that one is not on it any more. */
  @DeleteMapping("/{caller}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void leave(@AuthenticationPrincipal Employee me, @PathVariable String caller) {
    toReturn.leave(caller, me.id());
    topics.tellAll(Topic.TO_RETURN);
  }

  private void checkListed(Employee me, String caller) {
    if (waiting(me).stream().noneMatch(each -> each.caller().equals(caller))) {
      throw new Problem(HttpStatus.NOT_FOUND, "NOT_TO_RETURN");
    }
  }

  private ToCallBack view(
      ToReturnStore.Waiting waiting, ToReturnStore.@Nullable TakenOn taken, PersonId viewer) {
    Party line = Owner.of(waiting.list());
    // Whoever was missed once more since waits again for anybody.
    boolean counts = taken != null && !taken.at().isBefore(waiting.last());
    return new ToCallBack(
        waiting.caller(),
        parties.view(ToReturn.partyOf(waiting.caller()), viewer),
        waiting.times(),
        line.group() == null ? null : parties.name(line),
        waiting.first(),
        waiting.last(),
        waiting.rangMs(),
        counts ? taken.person().value() : null,
        counts ? office.now().nameOf(taken.person()) : null,
        counts ? taken.note() : "");
  }
}
