package oficina.server.followup;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import oficina.core.contacts.Contact;
import oficina.core.history.Part;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import oficina.server.contacts.Contacts;
import oficina.server.followup.FollowUpViews.FollowUpView;
import oficina.server.followup.NoteStore.Note;
import oficina.server.history.HistoryStore;
import oficina.server.history.SegmentView;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.people.Parties;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What the office knows of whoever calls: the last calls with them, notes, what is to be done. */
@RestController
class KnownController {
  private static final int MOST_CALLS = 3;
  private static final int MOST_NOTES = 3;
  private static final int MOST_ON_A_CARD = 20;

  private final Contacts contacts;
  private final HistoryStore history;
  private final NoteStore notes;
  private final FollowUpStore followUps;
  private final FollowUpViews views;
  private final Parties parties;
  private final OfficeData office;

  KnownController(
      Contacts contacts,
      HistoryStore history,
      NoteStore notes,
      FollowUpStore followUps,
      FollowUpViews views,
      Parties parties,
      OfficeData office) {
    this.contacts = contacts;
    this.history = history;
    this.notes = notes;
    this.followUps = followUps;
    this.views = views;
    this.parties = parties;
    this.office = office;
  }

  /**
   * What is known.
   *
   * @param calls the last ones anybody here had with them, latest first
   * @param notes latest first
   * @param followUps what is open for them
   */
  record KnownOf(List<CallBefore> calls, List<NoteBefore> notes, List<FollowUpView> followUps) {}

  /**
   * A call somebody here had with them.
   *
   * @param by who had it
   * @param talked milliseconds
   */
  record CallBefore(
      String by,
      Part.Direction direction,
      Instant began,
      Instant ended,
      long talked,
      boolean missed,
      List<SegmentView> course) {}

  /** What somebody here wrote about a call with them. */
  record NoteBefore(
      String by,
      String title,
      String text,
      @Schema(nullable = true) @Nullable String outcome,
      Instant written) {}

  /** Of whoever has this number, and of the contact it belongs to. */
  @GetMapping("/api/known")
  KnownOf known(@AuthenticationPrincipal Employee me, @RequestParam @Size(max = 60) String number) {
    PhoneNumber wanted = office.plan().outsideNumber(number);
    if (wanted == null) {
      return new KnownOf(List.of(), List.of(), List.of());
    }
    List<Contact> all = contacts.ask(book -> book.at(wanted, me.id()));
    Set<PhoneNumber> numbers = new LinkedHashSet<>(Set.of(wanted));
    if (all.size() == 1) { // of several who share it nobody knows who it is
      all.get(0).card().numbers().forEach(each -> numbers.add(each.number()));
    }
    return known(numbers, me.id(), MOST_CALLS, MOST_NOTES);
  }

  /** Of a contact, with more of what was. */
  @GetMapping("/api/known-contact")
  KnownOf knownContact(@AuthenticationPrincipal Employee me, @RequestParam long contact) {
    Contact card = contacts.wanted(contact, me.id());
    Set<PhoneNumber> numbers = new LinkedHashSet<>();
    card.card().numbers().forEach(each -> numbers.add(each.number()));
    return known(numbers, me.id(), MOST_ON_A_CARD, MOST_ON_A_CARD);
  }

  private KnownOf known(Set<PhoneNumber> numbers, PersonId me, int calls, int mostNotes) {
    List<String> keys = numbers.stream().map(PhoneNumber::e164).toList();
    return new KnownOf(
        history
            .withAnybody(
                keys, calls, part -> mayKnow(me, part.person(), part.other().outsideNumber()))
            .stream()
            .map(stored -> call(stored, me))
            .toList(),
        notes.about(keys, mostNotes).stream()
            .filter(note -> mayKnow(me, note.person(), new PhoneNumber(note.other())))
            .map(this::note)
            .toList(),
        followUps.openFor(keys, MOST_ON_A_CARD).stream()
            .filter(each -> mayKnow(me, each.madeBy(), new PhoneNumber(each.other())))
            .map(each -> views.view(each, me))
            .toList());
  }

  private boolean mayKnow(PersonId me, PersonId colleague, @Nullable PhoneNumber number) {
    return number == null || contacts.ask(book -> book.mayKnowOf(number, colleague, me));
  }

  private CallBefore call(HistoryStore.Stored stored, PersonId me) {
    Part part = stored.part();
    return new CallBefore(
        office.now().nameOf(part.person()),
        part.direction(),
        part.began(),
        part.ended(),
        part.talked().toMillis(),
        part.result().missed(),
        stored.course().stream().map(s -> SegmentView.of(s, me, parties)).toList());
  }

  private NoteBefore note(Note note) {
    return new NoteBefore(
        office.now().nameOf(note.person()),
        note.title(),
        note.text(),
        Optional.of(note.outcome()).filter(outcome -> !outcome.isEmpty()).orElse(null),
        note.written());
  }
}
