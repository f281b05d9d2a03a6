package oficina.server.standins;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Supplier;
import oficina.core.call.Party;
import oficina.core.decision.Permissions;
import oficina.core.numbers.Dialled;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.Group;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.server.calls.Commands;
import oficina.server.devices.LastWindowClosed;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.people.Parties;
import oficina.server.problems.Problem;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/**
 * Playing subscribers of the simulated network. A person sees the calls of the subscribers they
 * play and of nobody else.
 */
@RestController
@RequestMapping("/api/outside")
@ConditionalOnProperty("oficina.stand-ins")
class OutsideController {
  private static final int BIGGEST_RUSH = 30;

  private final ExchangeLoop loop;
  private final NetworkStandIn network;
  private final SubscriberVoices voices;
  private final Callers callers;
  private final OfficeData office;
  private final Parties parties;

  OutsideController(
      ExchangeLoop loop,
      NetworkStandIn network,
      SubscriberVoices voices,
      Callers callers,
      OfficeData office,
      Parties parties) {
    this.loop = loop;
    this.network = network;
    this.voices = voices;
    this.callers = callers;
    this.office = office;
    this.parties = parties;
  }

  /**
   * The network as one person may see it.
   *
   * @param callers whether subscribers call in by themselves
   * @param switchable whether the asking person may switch that
   */
  record Outside(boolean callers, boolean switchable, List<SubscriberView> subscribers) {}

  /**
   * A subscriber.
   *
   * @param number in E.164, naming them in requests
   * @param shown the number as people here write it
   * @param playing whether the asking person plays them
   * @param takenBy the colleague who plays them
   * @param calls their calls, when the asking person plays them
   */
  record SubscriberView(
      String number,
      String shown,
      String name,
      @Schema(nullable = true) String company,
      String place,
      Subscriber.Habit habit,
      boolean playing,
      @Schema(nullable = true) String takenBy,
      List<OutsideCallView> calls) {}

  /**
   * A call of a subscriber.
   *
   * @param other number at the other end; absent when withheld
   * @param reason why the office could not take it; empty otherwise
   */
  record OutsideCallView(
      String id,
      @Schema(nullable = true) String other,
      boolean incoming,
      OutsideCall.State state,
      Instant since,
      String reason,
      String digits) {}

  record CallOffice(@NotNull @Size(max = 100) String to, boolean withheld) {}

  record Switch(boolean on) {}

  @GetMapping
  Outside outside(@AuthenticationPrincipal Employee me) {
    return atExchange(
        () ->
            new Outside(
                callers.on(),
                Permissions.maySwitchCallers(me.role()),
                network.subscribers().stream().map(s -> view(s, me.id())).toList()));
  }

  private SubscriberView view(Subscriber subscriber, PersonId me) {
    PersonId player = network.player(subscriber.number());
    boolean mine = me.equals(player);
    Party.Outside party = new Party.Outside(subscriber.number());
    return new SubscriberView(
        subscriber.number().e164(),
        parties.number(party),
        subscriber.name(),
        subscriber.company(),
        parties.place(party),
        subscriber.habit(),
        mine,
        player == null || mine ? null : office.now().nameOf(player),
        mine ? network.callsOf(subscriber.number()).stream().map(this::view).toList() : List.of());
  }

  private OutsideCallView view(OutsideCall call) {
    return new OutsideCallView(
        call.call.id(),
        call.other == null ? null : office.region().show(call.other),
        call.incoming,
        call.state,
        call.since,
        call.reason,
        call.digits);
  }

  /** Lets subscribers call in by themselves, or no longer. */
  @PutMapping("/callers")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void callers(@AuthenticationPrincipal Employee me, @RequestBody Switch wanted) {
    if (!Permissions.maySwitchCallers(me.role())) {
      throw new Problem(HttpStatus.FORBIDDEN, "NOT_ADMINISTRATOR");
    }
    doAtExchange(() -> callers.on(wanted.on()));
  }

  /**
   * @param callers at most {@value #BIGGEST_RUSH}
   */
  record Rush(@NotNull @Size(max = 100) String to, int callers) {}

  /** Have many subscribers call a number of the office, one shortly after the other. */
  @PostMapping("/rush")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void rush(@AuthenticationPrincipal Employee me, @Valid @RequestBody Rush rush) {
    if (!Permissions.maySwitchCallers(me.role())) {
      throw new Problem(HttpStatus.FORBIDDEN, "NOT_ADMINISTRATOR");
    }
    if (rush.callers() < 1 || rush.callers() > BIGGEST_RUSH) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "RUSH_TOO_BIG");
    }
    PhoneNumber to = officeNumber(rush.to());
    doAtExchange(() -> callers.rush(to, rush.callers()));
  }

  /** Play a subscriber: from now on they do only what this person has them do. */
  @PutMapping("/subscribers/{number}/player")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void play(@AuthenticationPrincipal Employee me, @PathVariable String number) {
    doAtExchange(
        () -> {
          Subscriber subscriber = subscriber(number);
          PersonId player = network.player(subscriber.number());
          if (player != null && !player.equals(me.id())) {
            throw new Problem(
                HttpStatus.CONFLICT,
                "PLAYED_BY_OTHER",
                Map.of("person", office.now().nameOf(player)));
          }
          network.play(subscriber.number(), me.id());
        });
  }

  /** Leave a subscriber to themselves again. */
  @DeleteMapping("/subscribers/{number}/player")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void leave(@AuthenticationPrincipal Employee me, @PathVariable String number) {
    doAtExchange(() -> network.leave(played(me, number).number()));
  }

  /** Have the subscriber call a number of the office. */
  @PostMapping("/subscribers/{number}/calls")
  @ResponseStatus(HttpStatus.CREATED)
  void call(
      @AuthenticationPrincipal Employee me,
      @PathVariable String number,
      @Valid @RequestBody CallOffice call) {
    doAtExchange(
        () -> {
          Subscriber subscriber = played(me, number);
          if (network.onCall(subscriber.number())) {
            throw new Problem(HttpStatus.CONFLICT, "SUBSCRIBER_ON_CALL");
          }
          network.callOffice(subscriber.number(), officeNumber(call.to()), call.withheld());
        });
  }

  /** A number of the office: whole, or the extension behind it. */
  private PhoneNumber officeNumber(String typed) {
    return office
        .plan()
        .interpret(typed)
        .accept(
            new Dialled.Cases<>() {
              @Override
              public PhoneNumber of(Dialled.Outside to) {
                return to.number();
              }

              @Override
              public PhoneNumber of(Dialled.Internal to) {
                return publicNumber(to.extension()).orElseThrow(OutsideController::noNumber);
              }

              @Override
              public PhoneNumber of(Dialled.Emergency to) {
                throw noNumber();
              }

              @Override
              public PhoneNumber of(Dialled.Mailbox to) {
                throw noNumber();
              }

              @Override
              public PhoneNumber of(Dialled.NotCallable to) {
                throw noNumber();
              }
            });
  }

  private Optional<PhoneNumber> publicNumber(String extension) {
    return office
        .directory()
        .personAt(extension)
        .map(Person::directNumber)
        .or(() -> office.directory().groupAt(extension).map(Group::number));
  }

  private static Problem noNumber() {
    return new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "NOT_AN_OFFICE_NUMBER");
  }

  /** Whoever has gone plays nobody any more. */
  @EventListener
  void playerWent(LastWindowClosed event) {
    loop.ask(
        () -> {
          network.leaveAll(event.person());
          return null;
        });
  }

  @PostMapping("/subscribers/{number}/answer")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void answer(@AuthenticationPrincipal Employee me, @PathVariable String number) {
    doAtExchange(
        () ->
            network.callsOf(played(me, number).number()).stream()
                .filter(call -> call.incoming && call.state == OutsideCall.State.RINGING)
                .findFirst()
                .ifPresentOrElse(network::answer, OutsideController::noSuchCall));
  }

  /**
   * @param digits 0 to 9, A to D, star and number sign
   */
  record Keys(@NotNull @Pattern(regexp = "[0-9A-D*#]{1,32}") String digits) {}

  /** The subscriber presses keys. */
  @PostMapping("/subscribers/{number}/keys")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void keys(
      @AuthenticationPrincipal Employee me,
      @PathVariable String number,
      @Valid @RequestBody Keys keys) {
    doAtExchange(
        () ->
            network.callsOf(played(me, number).number()).stream()
                .filter(OutsideCall::takesKeys)
                .findFirst()
                .ifPresentOrElse(
                    call -> network.presses(call, keys.digits()), OutsideController::noSuchCall));
  }

  @PostMapping("/subscribers/{number}/hang-up")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void hangUp(@AuthenticationPrincipal Employee me, @PathVariable String number) {
    doAtExchange(
        () ->
            network.callsOf(played(me, number).number()).stream()
                .findFirst()
                .ifPresentOrElse(network::hangUp, OutsideController::noSuchCall));
  }

  private static void noSuchCall() {
    throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_CALL");
  }

  /**
   * @param sdp a session description as WebRTC offers it, with one medium, audio
   */
  record Handset(@NotNull @Size(max = 20_000) String sdp) {}

  record HandsetAnswer(String sdp) {}

  /** Speak and hear for a subscriber one plays. A page that did so before no longer does. */
  @PostMapping("/subscribers/{number}/handset")
  @ResponseStatus(HttpStatus.CREATED)
  HandsetAnswer handset(
      @AuthenticationPrincipal Employee me,
      @PathVariable String number,
      @Valid @RequestBody Handset handset) {
    return atExchange(
        () ->
            new HandsetAnswer(voices.connect(me.id(), played(me, number).number(), handset.sdp())));
  }

  private Subscriber subscriber(String number) {
    return network.subscribers().stream()
        .filter(subscriber -> subscriber.number().e164().equals(number))
        .findFirst()
        .orElseThrow(() -> new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_SUBSCRIBER"));
  }

  private Subscriber played(Employee me, String number) {
    Subscriber subscriber = subscriber(number);
    if (!Objects.equals(me.id(), network.player(subscriber.number()))) {
      throw new Problem(HttpStatus.CONFLICT, "NOT_PLAYED_BY_YOU");
    }
    return subscriber;
  }

  /** Returns when what it led to can be seen. */
  private void doAtExchange(Runnable action) {
    Commands.await(
        atExchange(
            () -> {
              action.run();
              return loop.settled();
            }));
  }

  private <T> T atExchange(Supplier<T> question) {
    return Commands.await(loop.ask(question));
  }
}
