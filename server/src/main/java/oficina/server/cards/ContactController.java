package oficina.server.cards;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import oficina.core.contacts.Contact;
import oficina.core.contacts.ContactId;
import oficina.core.ledger.Entry;
import oficina.server.cards.ContactViews.ContactChange;
import oficina.server.cards.ContactViews.ContactRow;
import oficina.server.cards.ContactViews.ContactView;
import oficina.server.contacts.Contacts;
import oficina.server.ledger.OfficeLog;
import oficina.server.office.OfficeData;
import oficina.server.owngroups.GroupChange;
import oficina.server.owngroups.GroupChangeStore;
import oficina.server.owngroups.GroupChangeStore.Kind;
import oficina.server.passwords.Employee;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The card index: contacts of the office, and one's own. */
@RestController
@RequestMapping("/api/contacts")
class ContactController {
  private static final int PAGE = 100;
  private static final int MOST_CHANGES = 50;
  private static final int LONGEST_TEXT = 100;

  private final Contacts contacts;
  private final ContactViews views;
  private final GroupStore groups;
  private final GroupChangeStore changes;
  private final OfficeData office;
  private final Topics topics;
  private final OfficeLog log;

  ContactController(
      Contacts contacts,
      ContactViews views,
      GroupStore groups,
      GroupChangeStore changes,
      OfficeData office,
      Topics topics,
      OfficeLog log) {
    this.contacts = contacts;
    this.views = views;
    this.groups = groups;
    this.changes = changes;
    this.office = office;
    this.topics = topics;
    this.log = log;
  }

  /** Whose contacts are wanted. */
  enum Whose {
    ALL,
    OFFICE,
    OWN,
    FAVOURITES
  }

  /**
   * A page of the card index.
   *
   * @param next after which contact the next one begins; absent when there is none
   */
  record ContactsPage(List<ContactRow> contacts, @Schema(nullable = true) @Nullable Long next) {}

  /**
   * Contacts by name, or with a text the best that fit it.
   *
   * @param from only those whose name begins so, or comes later
   * @param after only those behind this one
   * @param group of the reader's own
   */
  @GetMapping
  ContactsPage page(
      @AuthenticationPrincipal Employee me,
      @RequestParam(defaultValue = "") @Size(max = LONGEST_TEXT) String text,
      @RequestParam(defaultValue = "ALL") Whose whose,
      @RequestParam(defaultValue = "") @Size(max = LONGEST_TEXT) String tag,
      @RequestParam(defaultValue = "") @Size(max = LONGEST_TEXT) String group,
      @RequestParam(defaultValue = "") @Size(max = LONGEST_TEXT) String from,
      @RequestParam(required = false) @Nullable Long after) {
    Predicate<Contact> wanted = wanted(me, whose, tag, group);
    if (!text.isBlank()) {
      List<Contact> found = contacts.ask(book -> book.find(text, me.id(), wanted, PAGE));
      return new ContactsPage(found.stream().map(views::row).toList(), null);
    }
    ContactId last = after == null ? null : new ContactId(after);
    List<Contact> found = contacts.ask(book -> book.page(me.id(), from, last, wanted, PAGE + 1));
    boolean more = found.size() > PAGE;
    List<Contact> shown = more ? found.subList(0, PAGE) : found;
    return new ContactsPage(
        shown.stream().map(views::row).toList(), more ? shown.get(PAGE - 1).id().value() : null);
  }

  private Predicate<Contact> wanted(Employee me, Whose whose, String tag, String group) {
    Predicate<Contact> wanted =
        switch (whose) {
          case ALL -> contact -> true;
          case OFFICE -> contact -> contact.owner() == null;
          case OWN -> contact -> contact.owner() != null;
          case FAVOURITES -> in(me, "");
        };
    if (!tag.isEmpty()) {
      wanted = wanted.and(contact -> contact.card().tags().contains(tag));
    }
    return group.isEmpty() ? wanted : wanted.and(in(me, group));
  }

  private Predicate<Contact> in(Employee me, String group) {
    Set<ContactId> members = groups.in(me.id(), group);
    return contact -> members.contains(contact.id());
  }

  /** By what the card index can be narrowed down. */
  record ContactFilters(List<String> tags, List<String> groups, int size) {}

  /** All tags in use, and one's own groups. */
  @GetMapping("/filters")
  ContactFilters filters(@AuthenticationPrincipal Employee me) {
    TreeSet<String> tags = new TreeSet<>(String.CASE_INSENSITIVE_ORDER);
    int[] size = {0};
    contacts.ask(
        book -> {
          book.page(me.id(), "", null, contact -> true, Integer.MAX_VALUE)
              .forEach(
                  contact -> {
                    tags.addAll(contact.card().tags());
                    size[0]++;
                  });
          return null;
        });
    return new ContactFilters(List.copyOf(tags), groups.of(me.id()), size[0]);
  }

  @GetMapping("/{id}")
  ContactView one(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    return views.opened(contacts.wanted(id, me.id()), me.id());
  }

  /**
   * A contact to be.
   *
   * @param own whether nobody else is to see it
   */
  record NewContactBody(boolean own, @NotNull @Valid CardBody card) {}

  /** Add a contact. */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  ContactView add(@AuthenticationPrincipal Employee me, @Valid @RequestBody NewContactBody body) {
    Contact added =
        contacts.add(body.own() ? me.id() : null, body.card().checked(office.plan()), me.id());
    writeDown(Entry.Kind.ADDED, added);
    return views.opened(added, me.id());
  }

  /** Change what is written on a card. */
  @PutMapping("/{id}")
  ContactView change(
      @AuthenticationPrincipal Employee me,
      @PathVariable long id,
      @Valid @RequestBody CardBody card) {
    Contact changed =
        contacts.change(contacts.wanted(id, me.id()), card.checked(office.plan()), me.id());
    writeDown(Entry.Kind.CHANGED, changed);
    return views.opened(changed, me.id());
  }

  /** Remove a contact; for a day it can be brought back. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    Contact removed = contacts.wanted(id, me.id());
    contacts.remove(removed, me.id());
    writeDown(Entry.Kind.REMOVED, removed);
  }

  /**
   * What belongs to the office stands in its log too, without a name: what is known of somebody can
   * be erased, and the log cannot. From what to what stands with the contact.
   */
  private void writeDown(Entry.Kind kind, Contact contact) {
    if (contact.owner() == null) {
      log.write(new Entry.Deed(kind, "contact " + contact.id().value(), "card", "", ""));
    }
  }

  /** Bring back a contact that was removed. */
  @PostMapping("/{id}/restore")
  ContactView restore(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    return contacts
        .restore(new ContactId(id), me.id())
        .map(
            restored -> {
              writeDown(Entry.Kind.ADDED, restored);
              return views.opened(restored, me.id());
            })
        .orElseThrow(Contacts::noSuchContact);
  }

  /** Who changed what when, latest first. */
  @GetMapping("/{id}/changes")
  List<ContactChange> changes(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    contacts.wanted(id, me.id());
    return contacts.changes(new ContactId(id), MOST_CHANGES).stream().map(views::change).toList();
  }

  /** Put a contact into groups of one's own, and take it out of others. */
  @PostMapping("/{id}/groups")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void groups(
      @AuthenticationPrincipal Employee me,
      @PathVariable long id,
      @Valid @RequestBody GroupChange body) {
    long wanted = contacts.wanted(id, me.id()).id().value();
    changes.change(me.id(), Kind.CONTACT, wanted, body);
    topics.tell(me.id(), Topic.CONTACTS);
  }
}
