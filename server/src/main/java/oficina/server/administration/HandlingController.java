package oficina.server.administration;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import oficina.core.call.Party;
import oficina.core.numbers.Region;
import oficina.core.office.Barring;
import oficina.core.office.Office;
import oficina.core.office.Settings;
import oficina.core.people.PersonId;
import oficina.core.routing.RuleCheck;
import oficina.server.office.OfficeData;
import oficina.server.office.OfficeStore;
import oficina.server.people.Parties;
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** How the office wants calls handled: times, limits, and numbers that may not be called. */
@RestController
@RequestMapping("/api/office/handling")
class HandlingController {
  private final OfficeData office;
  private final OfficeStore store;
  private final Parties parties;

  HandlingController(OfficeData office, OfficeStore store, Parties parties) {
    this.office = office;
    this.store = store;
    this.parties = parties;
  }

  /**
   * How calls are handled.
   *
   * @param pickUp whose ringing calls one may take
   * @param unanswered where a call goes that was put through and that nobody takes there
   * @param ringsOutside seconds an outside number may ring
   * @param holdReminder seconds until whoever holds somebody is reminded
   * @param comeBack seconds until a parked call comes back
   * @param callBack seconds the exchange waits for a colleague to become free
   * @param longestMessage seconds a message in a mailbox may last
   * @param callsInHand of one person
   * @param conferenceParties of one conference
   * @param barred beginnings of numbers that may not be called, as people here write them
   * @param exempt who may call them all the same
   */
  record HandlingBody(
      Settings.@NotNull PickUp pickUp,
      Settings.@NotNull Unanswered unanswered,
      @Min(20) @Max(600) int ringsOutside,
      @Min(15) @Max(3_600) int holdReminder,
      @Min(15) @Max(3_600) int comeBack,
      @Min(60) @Max(86_400) int callBack,
      @Min(10) @Max(600) int longestMessage,
      @Min(2) @Max(12) int callsInHand,
      @Min(3) @Max(16) int conferenceParties,
      @NotNull @Size(max = 200) List<@NotNull @Size(min = 1, max = 40) String> barred,
      @NotNull @Size(max = 200) List<@NotNull Long> exempt) {

    /** Whoever has left is exempt no longer. */
    static HandlingBody of(Office office) {
      Settings now = office.settings();
      Region region = office.identity().region();
      return new HandlingBody(
          now.pickUp(),
          now.voicemail().unanswered(),
          (int) now.times().networkPatience().toSeconds(),
          (int) now.times().holdReminder().toSeconds(),
          (int) now.parking().comeBack().toSeconds(),
          (int) now.times().callBack().toSeconds(),
          (int) now.voicemail().longest().toSeconds(),
          now.limits().callsInHand(),
          now.limits().conferenceParties(),
          now.barring().beginnings().stream().map(region::showBeginning).toList(),
          now.barring().exempt().stream()
              .filter(each -> office.directory().person(each).isPresent())
              .map(PersonId::value)
              .sorted()
              .toList());
    }

    Settings in(Settings now, Region region) {
      return new Settings(
          new Settings.Limits(now.limits().outsideLines(), callsInHand, conferenceParties),
          new Settings.Times(
              Duration.ofSeconds(ringsOutside),
              Duration.ofSeconds(holdReminder),
              now.times().tone(),
              Duration.ofSeconds(callBack),
              now.times().unattended()),
          new Settings.Parking(now.parking().slots(), Duration.ofSeconds(comeBack)),
          new Settings.Voicemail(
              Duration.ofSeconds(longestMessage),
              unanswered,
              now.voicemail().extension(),
              now.voicemail().number()),
          now.recording(),
          now.keeping(),
          now.frontDesk(),
          pickUp,
          new Barring(
              barred.stream().map(each -> beginning(each, region)).distinct().toList(),
              exempt.stream().map(PersonId::new).collect(Collectors.toSet())));
    }

    private static String beginning(String typed, Region region) {
      String beginning = region.beginningToBar(typed);
      if (beginning.isEmpty()) {
        throw new Problem(
            HttpStatus.UNPROCESSABLE_CONTENT,
            "NUMBER_UNREADABLE",
            Map.of("text", typed, "name", ""));
      }
      return beginning;
    }
  }

  /**
   * @param version is given back by whoever changes it
   */
  record HandlingView(HandlingBody handling, int version) {}

  /** How calls are handled now. */
  @GetMapping
  HandlingView now() {
    HandlingBody body = HandlingBody.of(office.now());
    return new HandlingView(body, Shown.version(body));
  }

  /**
   * Have calls handled so from now on; those in progress go on.
   *
   * @param version of what was shown before; absent to replace whatever there is
   */
  @PutMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void change(
      @RequestParam(required = false) @Nullable Integer version,
      @Valid @RequestBody HandlingBody body) {
    office.change(
        () -> {
          Shown.check(version, now().handling());
          Office before = office.now();
          for (long id : body.exempt()) {
            if (before.directory().person(new PersonId(id)).isEmpty()) {
              throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_PERSON");
            }
          }
          Settings then = body.in(before.settings(), office.region());
          refuseRulesThere(before.with(then));
          store.setHandling(then);
        });
  }

  /** Whose rules lead to such a number changes them first: nobody's calls get lost in silence. */
  private void refuseRulesThere(Office then) {
    RuleCheck check = new RuleCheck(then);
    for (Party owner : then.directions().rules().keySet()) {
      if (check.faults(owner).stream().anyMatch(each -> each.kind() == RuleCheck.Kind.BARRED)) {
        throw new Problem(
            HttpStatus.CONFLICT, "RULES_LEAD_TO_BARRED", Map.of("name", parties.name(owner)));
      }
    }
  }
}
