package oficina.server.cards;

import jakarta.annotation.PreDestroy;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.Reader;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.IntStream;
import oficina.core.contacts.Comparison;
import oficina.core.contacts.Comparison.Kind;
import oficina.core.contacts.Contact;
import oficina.core.contacts.CsvFile;
import oficina.core.contacts.Incoming;
import oficina.core.contacts.VCardFile;
import oficina.core.people.PersonId;
import oficina.server.cards.ReadIn.Compared;
import oficina.server.cards.ReadIn.State;
import oficina.server.contacts.Contacts;
import oficina.server.contacts.NewContact;
import oficina.server.office.OfficeData;
import oficina.server.problems.Problem;
import oficina.server.threads.Threads;
import oficina.server.uploads.TextFile;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Takes over files of contacts: first they are only read and compared, then what is wanted of them
 * becomes contacts, some hundreds at a time, in a thread of its own that keeps no call waiting.
 * Each person has one file at a time.
 */
@Component
class Imports {
  private static final Logger LOG = LoggerFactory.getLogger(Imports.class);
  private static final int AT_ONCE = 500;

  /** Cards of all files that were read in and not taken over yet. */
  private static final int MOST_KEPT = 200_000;

  /** Calls that want to know who rings wait no longer than such a piece is compared. */
  private static final int COMPARED_AT_ONCE = 200;

  private static final int TRY_AGAIN_SECONDS = 60;

  private final Contacts contacts;
  private final OfficeData office;
  private final Map<PersonId, ReadIn> files = new ConcurrentHashMap<>();
  private final ExecutorService work = Executors.newSingleThreadExecutor(Threads.beside("import"));

  Imports(Contacts contacts, OfficeData office) {
    this.contacts = contacts;
    this.office = office;
  }

  /** What becomes of cards of which there may be one already. */
  enum Doubtful {
    MERGE,
    ADD,
    LEAVE
  }

  /**
   * Reads a file and compares it with what there is. Nothing is changed.
   *
   * @param owner whose own the contacts are to be; null for the office
   */
  ReadIn read(Path file, boolean csv, PersonId by, @Nullable PersonId owner) throws IOException {
    contacts.checkLoaded();
    List<Incoming> read;
    try (Reader text = TextFile.open(file)) {
      read = csv ? CsvFile.read(text, office.plan()) : VCardFile.read(text, office.plan());
    }
    ReadIn readIn = new ReadIn(by, owner, compared(read, by, owner));
    makeRoom(readIn);
    files.put(by, readIn);
    return readIn;
  }

  private List<Compared> compared(List<Incoming> read, PersonId by, @Nullable PersonId owner) {
    List<Compared> all = new ArrayList<>(read.size());
    for (int from = 0; from < read.size(); from += COMPARED_AT_ONCE) {
      List<Incoming> some = read.subList(from, Math.min(read.size(), from + COMPARED_AT_ONCE));
      contacts.ask(
          book -> {
            some.forEach(each -> all.add(new Compared(each, Comparison.of(each, book, by, owner))));
            return null;
          });
    }
    return all;
  }

  /**
   * What nobody has taken over is not kept for good: whoever still wants it reads it in again.
   *
   * @throws Problem when what is being taken over leaves no room, or is this person's own
   */
  private void makeRoom(ReadIn wanted) {
    ReadIn before = files.get(wanted.by());
    if (before != null && before.state() == State.RUNNING) {
      throw new Problem(HttpStatus.CONFLICT, "IMPORT_RUNNING");
    }
    files.remove(wanted.by());
    List<ReadIn> waiting =
        files.values().stream().filter(each -> each.state() != State.RUNNING).toList();
    for (ReadIn each : waiting) {
      if (kept() + wanted.size() > MOST_KEPT) {
        files.remove(each.by(), each);
      }
    }
    if (kept() + wanted.size() > MOST_KEPT) {
      throw Problem.busy("IMPORTS_BUSY", TRY_AGAIN_SECONDS);
    }
  }

  private int kept() {
    return files.values().stream().mapToInt(ReadIn::size).sum();
  }

  /** The file this person has read in under this name, if they have. */
  @Nullable ReadIn of(PersonId person, String id) {
    ReadIn file = files.get(person);
    return file == null || !file.id().equals(id) ? null : file;
  }

  /**
   * Begins to take a file over.
   *
   * @param chosen of doubtful cards, by their place among them
   * @param others of all other doubtful ones
   * @return false when it has begun already
   * @throws Problem when there is no room for so many contacts
   */
  boolean take(ReadIn file, Map<Integer, Doubtful> chosen, Doubtful others) {
    int doubtful = file.of(Kind.DOUBTFUL).size();
    long added =
        IntStream.range(0, doubtful)
            .filter(each -> chosen.getOrDefault(each, others) == Doubtful.ADD)
            .count();
    contacts.checkRoom(file.owner(), file.of(Kind.NEW).size() + (int) added);
    boolean begins = file.begin();
    if (begins) {
      work.execute(() -> takeOver(file, chosen, others));
    }
    return begins;
  }

  private void takeOver(ReadIn file, Map<Integer, Doubtful> chosen, Doubtful others) {
    try {
      addNew(file);
      change(file, chosen, others);
      file.end(file.isStopping() ? State.CANCELLED : State.DONE);
    } catch (RuntimeException e) {
      LOG.warn("A file of contacts could not be taken over: {}", e.getMessage());
      file.end(State.FAILED);
    } finally {
      contacts.tell(file.owner());
    }
  }

  private void addNew(ReadIn file) {
    List<Compared> all = file.of(Kind.NEW);
    for (int from = 0; from < all.size() && !file.isStopping(); from += AT_ONCE) {
      add(file, all.subList(from, Math.min(all.size(), from + AT_ONCE)));
    }
  }

  private void add(ReadIn file, List<Compared> some) {
    List<NewContact> added =
        some.stream()
            .map(each -> new NewContact(uid(each.incoming()), each.incoming().card()))
            .toList();
    List<Contact> there = contacts.addAll(file.owner(), added, file.by());
    for (int i = 0; i < there.size(); i++) {
      picture(there.get(i), some.get(i).incoming());
    }
    file.advance(some.size());
  }

  private static String uid(Incoming incoming) {
    return incoming.uid().isEmpty() ? "urn:uuid:" + UUID.randomUUID() : incoming.uid();
  }

  private void change(ReadIn file, Map<Integer, Doubtful> chosen, Doubtful others) {
    for (Compared each : file.of(Kind.CHANGED)) {
      if (file.isStopping()) {
        return;
      }
      put(file, each, each.incoming().card());
    }
    List<Compared> doubtful = file.of(Kind.DOUBTFUL);
    List<Compared> toAdd = new ArrayList<>();
    for (int i = 0; i < doubtful.size() && !file.isStopping(); i++) {
      Compared each = doubtful.get(i);
      switch (chosen.getOrDefault(i, others)) {
        case ADD -> toAdd.add(each);
        case LEAVE -> file.advance(1);
        case MERGE ->
            put(
                file,
                each,
                Comparison.merged(each.comparison().existing().card(), each.incoming().card()));
      }
    }
    add(file, toAdd);
  }

  /** Onto a contact that may have been changed or removed since the file was read. */
  private void put(ReadIn file, Compared compared, Contact.Card card) {
    contacts
        .get(compared.comparison().existing().id(), file.by())
        .ifPresent(
            now -> {
              contacts.change(now, card, file.by());
              picture(now, compared.incoming());
            });
    file.advance(1);
  }

  /** One that cannot be read is left out; the card counts. */
  private void picture(Contact contact, Incoming incoming) {
    if (incoming.picture() != null) {
      try {
        contacts.picture(contact, Pictures.small(new ByteArrayInputStream(incoming.picture())));
      } catch (Problem unreadable) {
        LOG.debug("A picture in a file could not be read");
      }
    }
  }

  @PreDestroy
  void stop() {
    work.shutdownNow();
  }
}
