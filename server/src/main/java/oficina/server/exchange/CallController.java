package oficina.server.exchange;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import oficina.core.call.CallId;
import oficina.core.call.CallerId;
import oficina.core.call.DeviceId;
import oficina.core.exchange.Command;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.server.office.OfficeData;
import oficina.server.signin.Employee;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The services of the exchange for the person who is signed in. */
@RestController
@RequestMapping("/api/calls")
class CallController {
  private static final String DEVICE = "[A-Za-z0-9-]{1,40}";

  private final Commands commands;
  private final OfficeData office;

  CallController(Commands commands, OfficeData office) {
    this.commands = commands;
    this.office = office;
  }

  /**
   * A call to place.
   *
   * @param to extension or number in any notation, or a text with a number in it
   * @param device the window that places it
   * @param callerId what a called outsider is shown; the direct number when absent
   */
  record NewCall(
      @NotNull @Size(max = 5_000) String to,
      @NotNull @Pattern(regexp = DEVICE) String device,
      @Schema(nullable = true) Shown callerId) {}

  /** Caller ID for one call. */
  enum Shown {
    /** The caller's own number. */
    DIRECT,
    /** The office's main number. */
    OFFICE,
    WITHHELD
  }

  record Placed(String id) {}

  /**
   * @param device the window that answers
   */
  record Answering(@NotNull @Pattern(regexp = DEVICE) String device) {}

  record Keys(@NotNull @Size(max = 32) String digits) {}

  /** Place a call. */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  Placed call(@AuthenticationPrincipal Employee me, @Valid @RequestBody NewCall call) {
    CallId id = new CallId(UUID.randomUUID().toString());
    commands.carryOut(
        new Command.MakeCall(
            id,
            me.id(),
            new DeviceId(call.device()),
            office.plan().interpret(call.to()),
            shown(me, call.callerId())));
    return new Placed(id.value());
  }

  /** Answer a ringing call. Another one that is active is put on hold. */
  @PostMapping("/{id}/answer")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void answer(
      @AuthenticationPrincipal Employee me,
      @PathVariable String id,
      @Valid @RequestBody Answering answering) {
    commands.carryOut(
        new Command.Answer(new CallId(id), me.id(), new DeviceId(answering.device())));
  }

  /** Refuse a ringing call. */
  @PostMapping("/{id}/decline")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void decline(@AuthenticationPrincipal Employee me, @PathVariable String id) {
    commands.carryOut(new Command.Decline(new CallId(id), me.id()));
  }

  /** Stop the noise of a ringing call; it goes on ringing unheard. */
  @PostMapping("/{id}/silence")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void silence(@AuthenticationPrincipal Employee me, @PathVariable String id) {
    commands.carryOut(new Command.Silence(new CallId(id), me.id()));
  }

  /** Hang up. */
  @PostMapping("/{id}/clear")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void clear(@AuthenticationPrincipal Employee me, @PathVariable String id) {
    commands.carryOut(new Command.Clear(new CallId(id), me.id()));
  }

  /** Put the other party on hold. */
  @PostMapping("/{id}/hold")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void hold(@AuthenticationPrincipal Employee me, @PathVariable String id) {
    commands.carryOut(new Command.Hold(new CallId(id), me.id()));
  }

  /** Speak again with a party on hold. Another active call is put on hold. */
  @PostMapping("/{id}/retrieve")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void retrieve(@AuthenticationPrincipal Employee me, @PathVariable String id) {
    commands.carryOut(new Command.Retrieve(new CallId(id), me.id()));
  }

  /** Send keys to the outside party. */
  @PostMapping("/{id}/digits")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void digits(
      @AuthenticationPrincipal Employee me,
      @PathVariable String id,
      @Valid @RequestBody Keys keys) {
    commands.carryOut(new Command.SendDigits(new CallId(id), me.id(), keys.digits()));
  }

  /** Where to send a call. */
  record Target(@NotNull @Size(max = 5_000) String to) {}

  /**
   * @param device the window that places the announcing call
   */
  record Announcing(
      @NotNull @Size(max = 5_000) String to, @NotNull @Pattern(regexp = DEVICE) String device) {}

  record OtherCall(@NotNull @Size(max = 40) String other) {}

  record Muting(boolean on) {}

  /**
   * @param person whose ringing call to take; absent for the longest ringing one of one's team
   */
  record Taking(
      @Schema(nullable = true) Long person, @NotNull @Pattern(regexp = DEVICE) String device) {}

  /** Be heard by nobody, or be heard again. */
  @PostMapping("/{id}/mute")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void mute(
      @AuthenticationPrincipal Employee me, @PathVariable String id, @RequestBody Muting muting) {
    commands.carryOut(new Command.Mute(new CallId(id), me.id(), muting.on()));
  }

  /** Send the other party on without speaking to the target first. */
  @PostMapping("/{id}/put-through")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void putThrough(
      @AuthenticationPrincipal Employee me,
      @PathVariable String id,
      @Valid @RequestBody Target target) {
    commands.carryOut(
        new Command.PutThrough(
            new CallId(id), me.id(), office.plan().interpret(target.to()), callerId(me)));
  }

  /** Send a ringing call on without answering it. */
  @PostMapping("/{id}/deflect")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void deflect(
      @AuthenticationPrincipal Employee me,
      @PathVariable String id,
      @Valid @RequestBody Target target) {
    commands.carryOut(
        new Command.Deflect(
            new CallId(id), me.id(), office.plan().interpret(target.to()), callerId(me)));
  }

  /** Take back a call that was sent on, as long as nobody has answered it. */
  @PostMapping("/{id}/pull-back")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void pullBack(
      @AuthenticationPrincipal Employee me,
      @PathVariable String id,
      @Valid @RequestBody Answering answering) {
    commands.carryOut(
        new Command.PullBack(new CallId(id), me.id(), new DeviceId(answering.device())));
  }

  /** Hold the call and place another one to announce it. */
  @PostMapping("/{id}/announce")
  @ResponseStatus(HttpStatus.CREATED)
  Placed announce(
      @AuthenticationPrincipal Employee me,
      @PathVariable String id,
      @Valid @RequestBody Announcing announcing) {
    CallId announcement = new CallId(UUID.randomUUID().toString());
    commands.carryOut(
        new Command.Announce(
            new CallId(id),
            me.id(),
            announcement,
            new DeviceId(announcing.device()),
            office.plan().interpret(announcing.to()),
            callerId(me)));
    return new Placed(announcement.value());
  }

  /** Connect the other parties of two calls in hand and leave both. */
  @PostMapping("/{id}/hand-over")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void handOver(
      @AuthenticationPrincipal Employee me,
      @PathVariable String id,
      @Valid @RequestBody OtherCall with) {
    commands.carryOut(new Command.HandOver(new CallId(id), me.id(), new CallId(with.other())));
  }

  /** Bring the other parties of two calls in hand together and stay. */
  @PostMapping("/{id}/join")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void join(
      @AuthenticationPrincipal Employee me,
      @PathVariable String id,
      @Valid @RequestBody OtherCall with) {
    commands.carryOut(new Command.Join(new CallId(id), me.id(), new CallId(with.other())));
  }

  /** End the announcing call and go back to the one it announces. */
  @PostMapping("/{id}/reconnect")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void reconnect(@AuthenticationPrincipal Employee me, @PathVariable String id) {
    commands.carryOut(new Command.Reconnect(new CallId(id), me.id()));
  }

  /** Take a call that rings at a colleague, or the one ringing longest in one's team. */
  @PostMapping("/pick-up")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void pickUp(@AuthenticationPrincipal Employee me, @Valid @RequestBody Taking taking) {
    String team = office.person(me.id()).team();
    List<PersonId> from =
        taking.person() != null
            ? List.of(new PersonId(taking.person()))
            : office.directory().people().stream()
                .filter(person -> person.team().equals(team))
                .map(Person::id)
                .toList();
    commands.carryOut(new Command.PickUp(me.id(), new DeviceId(taking.device()), from));
  }

  private CallerId shown(Employee me, Shown wanted) {
    if (wanted == Shown.WITHHELD) {
      return CallerId.WITHHELD;
    }
    return wanted == Shown.OFFICE ? new CallerId(office.mainNumber()) : callerId(me);
  }

  private CallerId callerId(Employee me) {
    return new CallerId(office.callerIdOf(me.id()));
  }
}
