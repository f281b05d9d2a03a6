package oficina.server.history;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import oficina.core.call.Party;
import oficina.core.history.Part;
import oficina.core.history.SearchWords;
import oficina.core.ledger.Entry.Deed;
import oficina.core.ledger.Entry.Kind;
import oficina.core.people.PersonId;
import oficina.core.rules.Situation;
import oficina.server.database.Cursor;
import oficina.server.ledger.OfficeLog;
import oficina.server.passwords.Employee;
import oficina.server.people.Parties;
import oficina.server.people.PartyView;
import oficina.server.problems.Problem;
import oficina.server.time.MovableClock;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The calls a person has had. */
@RestController
@RequestMapping("/api/history")
class HistoryController {
  private static final int PAGE = 50;
  private static final int LONGEST_TEXT = 100;
  private static final int MOST_CHOSEN = 500;
  private static final int MOST_SAVED = 10_000;

  /** So long what was removed by mistake can still be brought back. */
  private static final Duration KEPT_AFTER_REMOVAL = Duration.ofDays(1);

  private final HistoryStore history;
  private final HistoryPageStore pages;
  private final HistoryFile file;
  private final Topics topics;
  private final Parties parties;
  private final NarrowedDown narrowing;
  private final WrittenStore written;
  private final MovableClock clock;
  private final OfficeLog log;

  HistoryController(
      HistoryStore history,
      HistoryPageStore pages,
      HistoryFile file,
      Topics topics,
      Parties parties,
      NarrowedDown narrowing,
      WrittenStore written,
      MovableClock clock,
      OfficeLog log) {
    this.history = history;
    this.pages = pages;
    this.file = file;
    this.topics = topics;
    this.parties = parties;
    this.narrowing = narrowing;
    this.written = written;
    this.clock = clock;
    this.log = log;
  }

  /**
   * One call as one person had it.
   *
   * @param line the group whose number it came in on
   * @param behalf the colleague for whom it was: on whose line it came, or in whose name it was
   *     placed
   * @param rang milliseconds it rang, here or at the other end
   * @param missed whether somebody wanted the person and did not get them
   * @param answeredBy the colleague who took it, or placed it in the person's name
   * @param ending how it ended; absent when nobody spoke
   * @param endedBy name of whoever hung up, when it was somebody else
   * @param call by which what was recorded of it is asked for
   * @param recorded whether it, or some of it, was recorded for the person
   * @param message whether a message was left; absent when there was nowhere to leave one
   * @param outcome what the person said came of it; empty for nothing
   * @param noted whether the person wrote a note about it
   * @param ruling what had been decided about it beforehand; absent when nothing was applied
   */
  record HistoryEntry(
      long id,
      String call,
      Part.Direction direction,
      PartyView other,
      @Schema(nullable = true) String line,
      @Schema(nullable = true) String behalf,
      Instant began,
      Instant ended,
      long rang,
      long talked,
      long held,
      Part.Result result,
      boolean missed,
      @Schema(nullable = true) String answeredBy,
      @Schema(nullable = true) Part.Ending ending,
      @Schema(nullable = true) String endedBy,
      @Schema(nullable = true) Part.Message message,
      boolean recorded,
      String outcome,
      boolean noted,
      @Schema(nullable = true) RulingView ruling,
      List<SegmentView> course) {}

  /**
   * What had been decided about a call.
   *
   * @param why in which situation a rule applied; absent for a block
   * @param rule that sent it on; absent when none did
   * @param block that kept it out; absent when none did
   * @param to where it was sent; absent when it was kept out
   */
  record RulingView(
      @Schema(nullable = true) Situation why,
      @Schema(nullable = true) Long rule,
      @Schema(nullable = true) Long block,
      @Schema(nullable = true) PartyView to) {}

  /** How many calls have been kept from somebody. */
  record Kept(int calls) {}

  /** How many calls were kept from oneself since this moment because one does not want them. */
  @GetMapping("/kept")
  Kept kept(@AuthenticationPrincipal Employee me, @RequestParam Instant since) {
    return new Kept(history.keptSince(me.id(), since));
  }

  /**
   * A page of the history.
   *
   * @param next what to ask for to get older ones; absent when there are none
   */
  record HistoryPage(List<HistoryEntry> entries, @Schema(nullable = true) String next) {}

  /** One's own calls, latest first. */
  @GetMapping
  HistoryPage page(
      @AuthenticationPrincipal Employee me,
      @RequestParam(defaultValue = "ALL") HistoryPageStore.Filter filter,
      @RequestParam(defaultValue = "") String text,
      @Valid Narrow narrow,
      @RequestParam(defaultValue = "") String before) {
    HistoryPageStore.Page found = found(me, filter, text, narrow, cursor(before), PAGE);
    Map<String, WrittenStore.About> written = this.written.about(me.id(), found.entries());
    return new HistoryPage(
        found.entries().stream().map(stored -> view(stored, me.id(), written)).toList(),
        found.next() == null ? null : found.next().text());
  }

  private HistoryPageStore.Page found(
      Employee me,
      HistoryPageStore.Filter filter,
      String text,
      Narrow narrow,
      Cursor before,
      int limit) {
    if (text.length() > LONGEST_TEXT) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "TEXT_TOO_LONG",
          Map.of("limit", Integer.toString(LONGEST_TEXT)));
    }
    List<String> words = SearchWords.wanted(text);
    return words.isEmpty() && !text.isBlank()
        ? new HistoryPageStore.Page(List.of(), null) // nothing that could be found
        : pages.page(
            me.id(),
            new Wanted(
                filter, words, narrowing.named(text, me.id()), narrowing.of(narrow, me.id())),
            before,
            limit);
  }

  /** One's own calls as a file: these, or as many of the latest as are found and fit into one. */
  @GetMapping(path = "/file", produces = "text/csv")
  ResponseEntity<String> save(
      @AuthenticationPrincipal Employee me,
      @RequestParam(defaultValue = "ALL") HistoryPageStore.Filter filter,
      @RequestParam(defaultValue = "") String text,
      @Valid Narrow narrow,
      @RequestParam(defaultValue = "") @Size(max = MOST_CHOSEN) List<@NotNull Long> ids) {
    List<HistoryStore.Stored> entries =
        ids.isEmpty()
            ? found(me, filter, text, narrow, Cursor.NEWEST, MOST_SAVED).entries()
            : history.entries(me.id(), ids);
    log.write(Deed.of(Kind.SAVED, "history"));
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename("history.csv").build().toString())
        .body(file.of(entries));
  }

  record Chosen(@NotEmpty @Size(max = MOST_CHOSEN) List<@NotNull Long> ids) {}

  /** Remove some of one's own calls from one's history, and from nobody else's. */
  @PostMapping("/remove")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@AuthenticationPrincipal Employee me, @Valid @RequestBody Chosen chosen) {
    remove(me, chosen, clock.instant());
  }

  /** Bring back what one has removed. */
  @PostMapping("/restore")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void restore(@AuthenticationPrincipal Employee me, @Valid @RequestBody Chosen chosen) {
    remove(me, chosen, null);
  }

  private void remove(Employee me, Chosen chosen, @Nullable Instant at) {
    history.remove(me.id(), chosen.ids(), at, clock.instant().minus(KEPT_AFTER_REMOVAL));
    topics.tell(me.id(), Topic.HISTORY);
  }

  /** A line on which calls come in. */
  record HistoryLine(long id, String name) {}

  /** The lines of the groups one belongs to, by which the history can be narrowed down. */
  @GetMapping("/lines")
  List<HistoryLine> lines(@AuthenticationPrincipal Employee me) {
    return narrowing.linesOf(me.id()).stream()
        .map(group -> new HistoryLine(group.id().value(), group.name()))
        .toList();
  }

  /** One of one's own calls. */
  @GetMapping("/{id}")
  HistoryEntry entry(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    return history
        .entry(me.id(), id)
        .map(stored -> view(stored, me.id(), written.about(me.id(), List.of(stored))))
        .orElseThrow(() -> new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_ENTRY"));
  }

  private static Cursor cursor(String text) {
    return Cursor.read(text)
        .orElseThrow(() -> new Problem(HttpStatus.BAD_REQUEST, "NOT_UNDERSTOOD"));
  }

  private HistoryEntry view(
      HistoryStore.Stored stored, PersonId viewer, Map<String, WrittenStore.About> about) {
    Part part = stored.part();
    WrittenStore.About own = about.getOrDefault(part.call().value(), WrittenStore.About.NOTHING);
    return new HistoryEntry(
        stored.id(),
        part.call().value(),
        part.direction(),
        parties.view(part.other(), viewer, part.call()),
        parties.groupLine(part.line()),
        behalf(part),
        part.began(),
        part.ended(),
        part.rang().toMillis(),
        part.talked().toMillis(),
        part.held().toMillis(),
        part.result(),
        part.result().missed(),
        part.answeredBy() == null ? null : parties.name(new Party.Employee(part.answeredBy())),
        part.ending(),
        part.ending() == Part.Ending.OTHER_HUNG_UP ? parties.name(part.endedBy(), viewer) : null,
        part.message(),
        part.recorded(),
        own.outcome(),
        own.noted(),
        ruling(part.ruling(), viewer),
        stored.course().stream().map(s -> SegmentView.of(s, viewer, parties)).toList());
  }

  private @Nullable String behalf(Part part) {
    Party line = part.line();
    boolean own = line == null || line.employee() == null || line.employee().equals(part.person());
    return own ? null : parties.name(line);
  }

  private @Nullable RulingView ruling(Part.@Nullable Ruling ruling, PersonId viewer) {
    return ruling == null
        ? null
        : new RulingView(
            ruling.why(),
            ruling.rule(),
            ruling.block(),
            ruling.to() == null ? null : parties.view(ruling.to(), viewer));
  }
}
