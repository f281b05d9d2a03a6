package oficina.server.calls;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.commands.CallCommand;
import oficina.core.commands.SendCommand;
import oficina.core.people.CallerIdChoice;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
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
  static final String DEVICE = "[A-Za-z0-9-]{1,40}";

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
   * @param device the window or desk telephone that places it, or {@code outside} for one's
   *     telephone outside
   * @param callerId what a called outsider is shown; what the person has chosen when absent
   * @param line one's line on which it goes out, whose number is shown instead; absent for none
   * @param behalf the colleague in whose name it is placed; absent for one's own
   */
  record NewCall(
      @NotNull @Size(max = 5_000) String to,
      @NotNull @Pattern(regexp = DEVICE) String device,
      @Schema(nullable = true) @Nullable CallerIdChoice callerId,
      @Schema(nullable = true) @Nullable Long line,
      @Schema(nullable = true) @Nullable Long behalf) {}

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
        new CallCommand.MakeCall(
            id,
            me.id(),
            new DeviceId(call.device()),
            office.plan().interpret(call.to()),
            call.callerId(),
            call.line() == null ? null : new GroupId(call.line()),
            call.behalf() == null ? null : new PersonId(call.behalf())));
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
        new CallCommand.Answer(new CallId(id), me.id(), new DeviceId(answering.device())));
  }

  /** Refuse a ringing call. */
  @PostMapping("/{id}/decline")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void decline(@AuthenticationPrincipal Employee me, @PathVariable String id) {
    commands.carryOut(new CallCommand.Decline(new CallId(id), me.id()));
  }

  /** Stop the noise of a ringing call; it goes on ringing unheard. */
  @PostMapping("/{id}/silence")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void silence(@AuthenticationPrincipal Employee me, @PathVariable String id) {
    commands.carryOut(new CallCommand.Silence(new CallId(id), me.id()));
  }

  /** Hang up. */
  @PostMapping("/{id}/clear")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void clear(@AuthenticationPrincipal Employee me, @PathVariable String id) {
    commands.carryOut(new CallCommand.Clear(new CallId(id), me.id()));
  }

  /** Put the other party on hold. */
  @PostMapping("/{id}/hold")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void hold(@AuthenticationPrincipal Employee me, @PathVariable String id) {
    commands.carryOut(new CallCommand.Hold(new CallId(id), me.id()));
  }

  /** Speak again with a party on hold. Another active call is put on hold. */
  @PostMapping("/{id}/retrieve")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void retrieve(@AuthenticationPrincipal Employee me, @PathVariable String id) {
    commands.carryOut(new CallCommand.Retrieve(new CallId(id), me.id()));
  }

  /** Send keys to the outside party. */
  @PostMapping("/{id}/digits")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void digits(
      @AuthenticationPrincipal Employee me,
      @PathVariable String id,
      @Valid @RequestBody Keys keys) {
    commands.carryOut(new CallCommand.SendDigits(new CallId(id), me.id(), keys.digits()));
  }

  record Muting(boolean on) {}

  /**
   * @param person whose ringing call to take; absent for the longest ringing one of one's pickup
   *     group
   */
  record Taking(
      @Schema(nullable = true) @Nullable Long person,
      @NotNull @Pattern(regexp = DEVICE) String device) {}

  /** Be heard by nobody, or be heard again. */
  @PostMapping("/{id}/mute")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void mute(
      @AuthenticationPrincipal Employee me, @PathVariable String id, @RequestBody Muting muting) {
    commands.carryOut(new CallCommand.Mute(new CallId(id), me.id(), muting.on()));
  }

  /** Take a call that rings at a colleague, or the one ringing longest in one's pickup group. */
  @PostMapping("/pick-up")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void pickUp(@AuthenticationPrincipal Employee me, @Valid @RequestBody Taking taking) {
    PersonId from = taking.person() == null ? null : new PersonId(taking.person());
    commands.carryOut(new CallCommand.PickUp(me.id(), new DeviceId(taking.device()), from));
  }

  /**
   * Answer, or go on with, a call of somebody for whom one acts, or one that is somebody's in one's
   * own name.
   */
  @PostMapping("/{id}/take-over")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void takeOver(
      @AuthenticationPrincipal Employee me,
      @PathVariable String id,
      @Valid @RequestBody Answering answering) {
    commands.carryOut(
        new CallCommand.TakeOver(new CallId(id), me.id(), new DeviceId(answering.device())));
  }

  /** Go on with the call on another of one's own devices. */
  @PostMapping("/{id}/move-here")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void moveHere(
      @AuthenticationPrincipal Employee me,
      @PathVariable String id,
      @Valid @RequestBody Answering answering) {
    commands.carryOut(
        new CallCommand.MoveHere(new CallId(id), me.id(), new DeviceId(answering.device())));
  }

  /**
   * After a call that failed: be connected as soon as the colleague is free.
   *
   * @return identity of the wish
   */
  @PostMapping("/{id}/call-back")
  @ResponseStatus(HttpStatus.CREATED)
  Placed callBack(@AuthenticationPrincipal Employee me, @PathVariable String id) {
    CallId request = new CallId(UUID.randomUUID().toString());
    commands.carryOut(new SendCommand.RequestCallBack(new CallId(id), me.id(), request));
    return new Placed(request.value());
  }

  /** Wait for that colleague no longer. */
  @DeleteMapping("/call-backs/{request}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void cancelCallBack(@AuthenticationPrincipal Employee me, @PathVariable String request) {
    commands.carryOut(new SendCommand.CancelCallBack(new CallId(request), me.id()));
  }
}
