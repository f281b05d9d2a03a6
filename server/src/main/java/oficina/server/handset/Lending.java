package oficina.server.handset;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import oficina.core.call.DeviceId;
import oficina.core.commands.OfficeCommand;
import oficina.core.decision.Permissions;
import oficina.core.decision.Refusal;
import oficina.core.handset.Wish;
import oficina.core.numbers.Dialled;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.state.Device;
import oficina.server.attendants.Pins;
import oficina.server.calls.Commands;
import oficina.server.devices.LastWindowClosed;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.handset.PhoneStore.Loan;
import oficina.server.office.OfficeData;
import oficina.server.problems.Problem;
import oficina.server.rules.RulesKeeping;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Telephones that are somebody else's for a time, and what else their keys want. Never on the
 * exchange's thread, for which it waits.
 */
@Component
class Lending {
  private static final Duration LOOK_AGAIN = Duration.ofSeconds(20);

  private final Handsets handsets;
  private final Loans loans;
  private final LampKeys keys;
  private final Lookups lookups;
  private final Pins pins;
  private final RulesKeeping rules;
  private final OfficeData office;
  private final ExchangeLoop loop;
  private final Commands commands;
  private final Topics topics;

  Lending(
      Handsets handsets,
      Loans loans,
      LampKeys keys,
      Lookups lookups,
      Pins pins,
      RulesKeeping rules,
      OfficeData office,
      ExchangeLoop loop,
      Commands commands,
      Topics topics) {
    this.handsets = handsets;
    this.loans = loans;
    this.keys = keys;
    this.lookups = lookups;
    this.pins = pins;
    this.rules = rules;
    this.office = office;
    this.loop = loop;
    this.commands = commands;
    this.topics = topics;
    handsets.onWish(
        (from, wish) -> {
          Granting granting = new Granting(from);
          lookups.later(() -> granting.grant(wish));
        });
    loop.post(this::giveBackWhatIsOver);
  }

  /** Carries out what is wanted at one telephone, and tells there what came of it. */
  private final class Granting implements Wish.Wishes<String> {
    private final Plugged from;

    Granting(Plugged from) {
      this.from = from;
    }

    void grant(Wish wish) {
      try {
        handsets.tell(from, wish.accept(this), Map.of());
      } catch (Problem problem) {
        handsets.tell(from, problem.code(), problem.about());
      }
    }

    @Override
    public String of(Wish.Forward wish) {
      rules.forward(from.holder, wish.to());
      return wish.to().isEmpty() ? "FORWARDING_OFF" : "FORWARDING_ON";
    }

    @Override
    public String of(Wish.Assign wish) {
      Dialled dialled = office.plan().interpret(wish.number());
      if (!wish.number().isEmpty() && dialled.refused() != null) {
        throw new Problem(
            HttpStatus.UNPROCESSABLE_CONTENT, "NO_SUCH_NUMBER", Map.of("text", wish.number()));
      }
      keys.assign(from.holder, wish.key(), wish.number());
      return "KEY_ASSIGNED";
    }

    @Override
    public String of(Wish.SignOn wish) {
      PersonId wanted = office.directory().personAt(wish.extension()).map(Person::id).orElse(null);
      if (wanted == null || !pins.isRight(wanted, wish.pin(), at(wanted))) {
        throw new Problem(HttpStatus.FORBIDDEN, "WRONG_PIN");
      }
      if (wanted.equals(from.owner)) {
        giveBack(from.owner);
        return "GIVEN_BACK";
      }
      lend(from.owner, new Loan(wanted, null, /* untilLeft= */ false));
      return "YOURS_NOW";
    }

    private Pins.At at(PersonId wanted) {
      return new Pins.At("telephone of " + from.owner, from.owner.equals(wanted));
    }

    @Override
    public String of(Wish.GiveBack wish) {
      giveBack(from.owner);
      return "GIVEN_BACK";
    }
  }

  /**
   * Uses a telephone from the screen.
   *
   * @param until null for until the last window is closed
   */
  void borrow(PersonId me, PersonId owner, @Nullable Instant until) {
    if (office.directory().person(owner).isEmpty()) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_PERSON");
    }
    if (until != null && !until.isAfter(Commands.await(loop.ask(loop::now)))) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "TIME_IS_PAST");
    }
    lend(owner, new Loan(me, until, until == null));
  }

  private void lend(PersonId owner, Loan loan) {
    if (owner.equals(loan.to())) {
      throw new Problem(HttpStatus.CONFLICT, "PHONE_IS_YOURS");
    }
    PersonId holder = loans.holder(owner);
    Commands.await(
        loop.ask(
            () -> {
              mayBeLent(owner, holder, loan.to());
              return null;
            }));
    passOn(owner, holder, loan.to());
    loans.lend(owner, loan);
    changed(owner, holder, loan.to());
    topics.notice(owner, "PHONE_LENT", Map.of("name", office.now().nameOf(loan.to())));
  }

  private void mayBeLent(PersonId owner, PersonId holder, PersonId to) {
    if (handsets.of(owner) == null) {
      throw new Problem(HttpStatus.CONFLICT, "PHONE_NOT_PLUGGED");
    }
    if (!holder.equals(owner) && !holder.equals(to)) {
      throw new Problem(
          HttpStatus.CONFLICT, "PHONE_IS_LENT", Map.of("person", office.now().nameOf(holder)));
    }
    if (!Permissions.mayUsePhoneOf(office.now(), to, owner)) {
      throw new Problem(HttpStatus.FORBIDDEN, "PHONE_FOR_DELEGATES");
    }
    if (Permissions.isAtTelephone(loop.state(), owner)) {
      throw new Problem(
          HttpStatus.CONFLICT, "OWNER_IS_THERE", Map.of("person", office.now().nameOf(owner)));
    }
  }

  /** Whether this person could use that telephone now. Only from the exchange's thread. */
  boolean mayUse(PersonId me, PersonId owner) {
    return !Permissions.isAtTelephone(loop.state(), owner)
        && Permissions.mayUsePhoneOf(office.now(), me, owner);
  }

  /** Has the exchange know whose it is from now on; refused while somebody is on a call at it. */
  private void passOn(PersonId owner, PersonId from, PersonId to) {
    if (!from.equals(to)) {
      commands.carryOut(new OfficeCommand.LendDevice(DeviceId.telephoneOf(owner), from, to));
    }
  }

  private void changed(PersonId owner, PersonId from, PersonId to) {
    loop.post(
        () -> {
          Plugged there = handsets.of(owner);
          if (there != null) {
            handsets.changesHands(there);
          }
        });
    topics.tell(List.of(owner, from, to), Topic.DEVICES);
  }

  /**
   * It is its owner's again.
   *
   * @throws Problem when somebody is on a call at it
   */
  void giveBack(PersonId owner) {
    PersonId holder = loans.holder(owner);
    boolean there =
        Commands.await(
            loop.ask(
                () ->
                    loop.state().devices(holder).stream()
                        .map(Device::id)
                        .anyMatch(DeviceId.telephoneOf(owner)::equals)));
    if (there) {
      passOn(owner, holder, owner);
    }
    loans.giveBack(owner);
    changed(owner, holder, owner);
  }

  /** Whoever has gone uses no telephone until they leave any more. */
  @EventListener
  void windowClosed(LastWindowClosed event) {
    loans
        .lent(loan -> loan.untilLeft() && loan.to().equals(event.person()))
        .forEach(owner -> lookups.later(() -> giveBackWhenFree(owner)));
  }

  private void giveBackWhatIsOver() {
    loans.overBy(loop.now()).forEach(owner -> lookups.later(() -> giveBackWhenFree(owner)));
    loop.later(LOOK_AGAIN, this::giveBackWhatIsOver);
  }

  /** A call that is still spoken at it is not disturbed. */
  private void giveBackWhenFree(PersonId owner) {
    Loan loan = loans.of(owner);
    try {
      if (loan != null) {
        giveBack(owner);
      }
    } catch (Problem inUse) {
      if (!inUse.code().equals(Refusal.Reason.DEVICE_IN_USE.name())) {
        throw inUse;
      }
      loop.post(() -> loop.later(LOOK_AGAIN, () -> lookups.later(() -> again(owner, loan))));
    }
  }

  private void again(PersonId owner, Loan loan) {
    if (loan.equals(loans.of(owner))) {
      giveBackWhenFree(owner);
    }
  }
}
