package oficina.server.blocks;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import oficina.core.blocking.Block;
import oficina.core.blocking.Block.Answer;
import oficina.core.call.Owner;
import oficina.core.call.Party;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import oficina.server.contacts.Contacts;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.people.Parties;
import oficina.server.people.PartyView;
import oficina.server.problems.Problem;
import oficina.server.time.MovableClock;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import oficina.server.uploads.Uploads;
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

/** Whom one does not want to be called by; for administrators, whom nobody does. */
@RestController
@RequestMapping("/api/blocks")
class BlockController {
  private static final int MOST_SHOWN = 200;

  private final BlockStore store;
  private final BlockReading reading;
  private final BlockFile files;
  private final Uploads uploads;
  private final OfficeData office;
  private final Parties parties;
  private final Contacts contacts;
  private final Topics topics;
  private final MovableClock clock;

  BlockController(
      BlockStore store,
      BlockReading reading,
      BlockFile files,
      Uploads uploads,
      OfficeData office,
      Parties parties,
      Contacts contacts,
      Topics topics,
      MovableClock clock) {
    this.store = store;
    this.reading = reading;
    this.files = files;
    this.uploads = uploads;
    this.office = office;
    this.parties = parties;
    this.contacts = contacts;
    this.topics = topics;
    this.clock = clock;
  }

  /**
   * Who is blocked.
   *
   * @param shown the number as people here write it, or how it begins
   * @param last when somebody tried last; absent when nobody has
   */
  record BlockView(
      long id,
      Block.Kind kind,
      String shown,
      PartyView who,
      Block.Answer answer,
      String note,
      int attempts,
      @Schema(nullable = true) @Nullable Instant last) {}

  record AttemptView(long block, PartyView who, PartyView called, Instant at) {}

  /**
   * @param count how many there are altogether
   */
  record BlockPage(int count, List<BlockView> blocks, List<AttemptView> attempts) {}

  /**
   * One's own blocks, or the office's: the latest, or those with these digits, this note, or of
   * contacts of this name; who has tried last.
   */
  @GetMapping
  BlockPage blocks(
      @AuthenticationPrincipal Employee me,
      @RequestParam(defaultValue = "false") boolean ofOffice,
      @RequestParam(defaultValue = "") @Size(max = 40) String text) {
    PersonId owner = ofOffice ? null : me.id();
    // Who tried to reach whom is for the one who blocked them, or whoever looks after the office.
    int attempts = !ofOffice || me.isAdministrator() ? MOST_SHOWN : 0;
    return new BlockPage(
        store.count(owner),
        store.of(owner, wanted(text.strip(), me.id()), MOST_SHOWN).stream()
            .map(each -> view(each, me.id()))
            .toList(),
        store.attempts(owner, attempts).stream().map(each -> view(each, me.id())).toList());
  }

  private BlockStore.Wanted wanted(String text, PersonId viewer) {
    boolean number = text.matches("[\\s+()./\\-*0-9]*");
    return number
        ? new BlockStore.Wanted(
            text.isEmpty() ? "" : office.region().beginning(text), "", List.of())
        : new BlockStore.Wanted("", text, numbersOf(text, viewer));
  }

  /** Of the contacts that are called so. */
  private List<String> numbersOf(String name, PersonId viewer) {
    return contacts.ask(book -> book.find(name, viewer, MOST_SHOWN)).stream()
        .flatMap(contact -> contact.card().numbers().stream())
        .map(each -> each.number().e164())
        .toList();
  }

  private BlockView view(BlockStore.Kept kept, PersonId viewer) {
    Block block = kept.block();
    PhoneNumber number = block.kind() == Block.Kind.NUMBER ? new PhoneNumber(block.number()) : null;
    return new BlockView(
        block.id(),
        block.kind(),
        number == null ? block.number() : office.region().show(number),
        parties.view(new Party.Outside(number), viewer),
        block.answer(),
        block.note(),
        kept.attempts(),
        kept.last());
  }

  private static Party called(String key) {
    return Owner.isKey(key) ? Owner.of(key) : new Party.Attendant(null);
  }

  private AttemptView view(BlockStore.Attempt attempt, PersonId viewer) {
    PhoneNumber number = attempt.number().isEmpty() ? null : new PhoneNumber(attempt.number());
    return new AttemptView(
        attempt.block(),
        parties.view(new Party.Outside(number), viewer),
        parties.view(called(attempt.called()), viewer),
        attempt.at());
  }

  /**
   * A block to be.
   *
   * @param ofOffice whether nobody in the office is to be called; for administrators
   * @param what a number in any notation, its beginning with a star behind it, "first - last", or
   *     nothing for those who do not show theirs
   */
  record NewBlock(
      boolean ofOffice,
      @NotNull @Size(max = 40) String what,
      @NotNull Answer answer,
      @NotNull @Size(max = BlockFile.LONGEST_NOTE) String note) {}

  /** Block a caller; it is in force with the next call. */
  @PostMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void add(@AuthenticationPrincipal Employee me, @Valid @RequestBody NewBlock body) {
    PersonId owner = owner(me, body.ofOffice());
    add(reading.blocks(body.what(), owner, body.answer(), body.note()), owner, me);
  }

  record ChangedBlock(
      @NotNull Answer answer, @NotNull @Size(max = BlockFile.LONGEST_NOTE) String note) {}

  /** Change what a blocked caller hears. */
  @PutMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void change(
      @AuthenticationPrincipal Employee me,
      @PathVariable long id,
      @Valid @RequestBody ChangedBlock body) {
    mine(me, id);
    change(() -> store.change(id, body.answer(), body.note().strip()));
  }

  /** Let a caller through again. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    mine(me, id);
    change(() -> store.remove(id));
  }

  /**
   * What came of a file.
   *
   * @param added how many were not blocked before
   * @param bad the first of the lines that are no numbers
   * @param restFrom the line from which on it was not read any more; absent when all of it was
   */
  record ReadBlocks(
      int added,
      List<BlockFile.BadLine> bad,
      @Schema(nullable = true) @Nullable Integer restFrom) {}

  /** Block all numbers of a CSV file: the first column is the number, the second a note. */
  @PutMapping(path = "/file", consumes = "text/csv")
  ReadBlocks file(
      @AuthenticationPrincipal Employee me,
      @RequestParam(defaultValue = "false") boolean ofOffice,
      @RequestParam Block.Answer answer,
      HttpServletRequest request)
      throws IOException {
    PersonId owner = owner(me, ofOffice);
    BlockFile.Contents read =
        uploads.read(me.id(), request, file -> files.read(file, owner, answer));
    return new ReadBlocks(add(read.blocks(), owner, me), read.bad(), read.restFrom());
  }

  /** Returns how many of them are new. */
  private int add(List<Block> blocks, @Nullable PersonId owner, Employee by) {
    AtomicInteger added = new AtomicInteger();
    change(() -> added.set(store.add(blocks, owner, by.id(), clock.instant())));
    return added.get();
  }

  private void change(Runnable write) {
    office.change(write);
    topics.tellAll(Topic.RULES);
  }

  private static @Nullable PersonId owner(Employee me, boolean ofOffice) {
    if (ofOffice && !me.isAdministrator()) {
      throw new Problem(HttpStatus.FORBIDDEN, "FORBIDDEN");
    }
    return ofOffice ? null : me.id();
  }

  private void mine(Employee me, long id) {
    boolean own = store.one(me.id(), id).isPresent();
    boolean offices = me.isAdministrator() && store.one(null, id).isPresent();
    if (!own && !offices) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_BLOCK");
    }
  }
}
