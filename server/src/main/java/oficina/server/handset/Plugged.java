package oficina.server.handset;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.call.Party;
import oficina.core.contacts.Contact;
import oficina.core.contacts.ContactNumber;
import oficina.core.exchange.Exchange;
import oficina.core.handset.Panel;
import oficina.core.handset.Surroundings;
import oficina.core.handset.Telephone;
import oficina.core.office.Office;
import oficina.core.people.PersonId;
import oficina.core.routing.Called;
import oficina.server.contacts.Contacts;
import oficina.server.handset.PhoneStore.Loan;
import oficina.server.people.Parties;
import oficina.server.softphone.Softphones;
import oficina.server.sound.EndId;
import org.jspecify.annotations.Nullable;

/** A telephone that is plugged in. On the exchange's thread, but for where its sound is. */
final class Plugged implements Surroundings {
  private static final int MOST_FOUND = 8;

  final PersonId owner;
  final PersonId holder;
  final Handset handset;
  final Telephone telephone;
  private final Around around;
  private final @Nullable Loan loan;
  private @Nullable Panel shown;
  private Messages messages = Messages.NONE;
  private Set<PersonId> watches = Set.of();
  private boolean watchesSlots;
  @Nullable Instant wakes;
  Softphones.@Nullable Handset sound;

  /** What all telephones have around them. */
  record Around(
      Exchange exchange, Parties parties, Contacts contacts, LampKeys keys, Choices choices) {}

  Plugged(PersonId owner, Handset handset, @Nullable Loan loan, Around around) {
    this.owner = owner;
    this.handset = handset;
    this.loan = loan;
    this.around = around;
    this.holder = loan == null ? owner : loan.to();
    telephone = new Telephone(device(), this);
  }

  DeviceId device() {
    return DeviceId.telephoneOf(owner);
  }

  EndId.Device end() {
    return new EndId.Device(holder, device());
  }

  /** Shows what has changed. */
  void show(Instant now) {
    watch();
    telephone.follow(now);
    Panel panel = telephone.panel(now);
    if (!panel.equals(shown)) {
      shown = panel;
      handset.show(panel);
    }
  }

  void has(Messages now) {
    messages = now;
  }

  /** Whether it shows anything of these people, or of slots. Asked with every event. */
  boolean concernedBy(Concerned by) {
    return (by.slots() && watchesSlots) || !Collections.disjoint(watches, by.people());
  }

  /** Whom it shows, which is another question only after it is drawn anew. */
  private void watch() {
    Set<PersonId> all = new HashSet<>(Set.of(holder));
    boolean slot = false;
    for (String number : keys()) {
      if (number != null && !number.isEmpty()) {
        Party party = Called.party(office(), office().plan().interpret(number));
        all.addAll(office().people(party));
        slot |= party.slot() != null;
      }
    }
    watches = all;
    watchesSlots = slot;
  }

  private Office office() {
    return around.exchange().office();
  }

  // --- what the telephone learns ----------------------------------------------------------------

  @Override
  public PersonId holder() {
    return holder;
  }

  @Override
  public boolean lent() {
    return loan != null;
  }

  @Override
  public @Nullable Instant lentUntil() {
    return loan == null ? null : loan.until();
  }

  @Override
  public @Nullable Duration ringsAfter() {
    Integer seconds = around.choices().of(holder).phoneAfter();
    return seconds == null ? null : Duration.ofSeconds(seconds);
  }

  @Override
  public Exchange exchange() {
    return around.exchange();
  }

  @Override
  public CallId newCall() {
    return new CallId(UUID.randomUUID().toString());
  }

  @Override
  public String name(Party party) {
    return around.parties().name(party, holder);
  }

  /** People first, then contacts with each of their numbers. */
  @Override
  public List<Found> find(String typed) {
    List<Found> found = new ArrayList<>();
    office().finder().find(typed, MOST_FOUND).stream()
        .filter(person -> !person.id().equals(holder))
        .forEach(
            person -> found.add(new Found(person.name(), person.extension(), person.extension())));
    around
        .contacts()
        .ask(book -> book.ranked(typed, holder, MOST_FOUND))
        .forEach(
            each -> {
              Contact.Card card = each.contact().card();
              for (ContactNumber number : card.numbers()) {
                String shown = office().identity().region().show(number.number());
                found.add(new Found(card.title(), number.number().e164(), shown));
              }
            });
    return found.size() > MOST_FOUND ? found.subList(0, MOST_FOUND) : found;
  }

  @Override
  public List<@Nullable String> keys() {
    return around.keys().of(holder);
  }

  @Override
  public Messages messages() {
    return messages;
  }
}
