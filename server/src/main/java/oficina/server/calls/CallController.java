package oficina.server.calls;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.Locale;
import java.util.UUID;
import java.util.stream.Stream;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.commands.SendCommand;
import oficina.core.exchange.Asked;
import oficina.core.exchange.Offers.Service;
import oficina.core.people.CallerIdChoice;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
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
  private static final String SERVICE = "[a-z-]+";

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

  /**
   * @param device the window or telephone on which one wants to speak, for a service that connects
   * @param other the other of two calls in hand, for a service that concerns both
   */
  record Serving(
      @NotNull @Pattern(regexp = DEVICE) String device,
      @Schema(nullable = true) @Nullable @Size(max = 40) String other) {}

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

  /**
   * Ask for one of the services that a call offers and that want no further choice.
   *
   * @param service as offered, in small letters with hyphens: {@code answer}, {@code hand-over}
   */
  @PostMapping("/{id}/{service:" + SERVICE + "}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void serve(
      @AuthenticationPrincipal Employee me,
      @PathVariable String id,
      @PathVariable String service,
      @Valid @RequestBody Serving serving) {
    Command command =
        new Asked(
                service(service),
                new CallId(id),
                serving.other() == null ? null : new CallId(serving.other()),
                me.id(),
                new DeviceId(serving.device()))
            .command(new CallId(UUID.randomUUID().toString()));
    if (command == null) {
      throw new Problem(HttpStatus.NOT_FOUND, "NOT_FOUND");
    }
    commands.carryOut(command);
  }

  private static Service service(String path) {
    String name = path.replace('-', '_').toUpperCase(Locale.ROOT);
    return Stream.of(Service.values())
        .filter(each -> each.name().equals(name))
        .findFirst()
        .orElseThrow(() -> new Problem(HttpStatus.NOT_FOUND, "NOT_FOUND"));
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

  /**
   * @param person whose ringing call to take; absent for the longest ringing one of one's pickup
   *     group
   */
  record Taking(
      @Schema(nullable = true) @Nullable Long person,
      @NotNull @Pattern(regexp = DEVICE) String device) {}

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

  /** Wait for that colleague no longer. */
  @DeleteMapping("/call-backs/{request}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void cancelCallBack(@AuthenticationPrincipal Employee me, @PathVariable String request) {
    commands.carryOut(new SendCommand.CancelCallBack(new CallId(request), me.id()));
  }
}
