package oficina.server.voicemail;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import oficina.core.call.Owner;
import oficina.core.call.Party;
import oficina.core.history.SearchWords;
import oficina.core.people.PersonId;
import oficina.server.database.Cursor;
import oficina.server.keeping.KeptSound;
import oficina.server.keeping.SoundAnswer;
import oficina.server.keeping.SoundFile;
import oficina.server.keeping.SoundStore;
import oficina.server.keeping.WebVtt;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
import oficina.server.softphone.OpusFile;
import oficina.server.time.MovableClock;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import oficina.server.voicemail.MessageViews.Letter;
import oficina.server.voicemail.MessageViews.MessageView;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The messages that were left for a person, and for groups they belong to. */
@RestController
@RequestMapping("/api/voicemail")
class MessageController {
  private static final int PAGE = 50;

  private final MessageStore messages;
  private final MessageMarkStore marks;
  private final MessageFilingStore filing;
  private final MessageViews views;
  private final SoundStore sounds;
  private final OfficeData office;
  private final Topics topics;
  private final MovableClock clock;

  MessageController(
      MessageStore messages,
      MessageMarkStore marks,
      MessageFilingStore filing,
      MessageViews views,
      SoundStore sounds,
      OfficeData office,
      Topics topics,
      MovableClock clock) {
    this.messages = messages;
    this.marks = marks;
    this.filing = filing;
    this.views = views;
    this.sounds = sounds;
    this.office = office;
    this.topics = topics;
    this.clock = clock;
  }

  /** All trays of the person's mailboxes. */
  private List<String> mine(Employee me) {
    return Trays.both(mailboxes(me));
  }

  private List<String> mailboxes(Employee me) {
    return Owner.keysFor(me.id(), office.directory());
  }

  /** Everybody who hears this mailbox has it before them as it is now. */
  private void changed(Collection<String> mailboxes) {
    Set<PersonId> people = new HashSet<>();
    mailboxes.forEach(each -> people.addAll(office.now().people(Trays.owner(each))));
    topics.tell(people, Topic.VOICEMAIL);
  }

  private static Problem none() {
    return new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_MESSAGE");
  }

  // --- the list ---------------------------------------------------------------------------------

  /**
   * A page of messages.
   *
   * @param fresh how many are new altogether
   * @param next what to ask for to get older ones; absent when there are none
   */
  record VoicemailPage(
      List<MessageView> messages, int fresh, @Schema(nullable = true) @Nullable String next) {}

  /** Messages, latest first; those of callers who are blocked are in a tray of their own. */
  @GetMapping
  VoicemailPage page(
      @AuthenticationPrincipal Employee me,
      @RequestParam(defaultValue = "false") boolean onlyNew,
      @RequestParam(defaultValue = "false") boolean blocked,
      @RequestParam(defaultValue = "") @Size(max = 100) String text,
      @RequestParam(defaultValue = "") String before) {
    List<String> mailboxes = mailboxes(me);
    int fresh = messages.count(mailboxes);
    List<String> words = SearchWords.wanted(text);
    if (words.isEmpty() && !text.isBlank()) {
      return new VoicemailPage(List.of(), fresh, null); // nothing that could be found
    }
    List<Message> found =
        messages.page(
            blocked ? Trays.apart(mailboxes) : mailboxes, onlyNew, words, cursor(before), PAGE + 1);
    boolean more = found.size() > PAGE;
    List<Message> shown = more ? found.subList(0, PAGE) : found;
    Message last = more ? shown.get(PAGE - 1) : null;
    return new VoicemailPage(
        shown.stream().map(message -> views.view(message, me.id())).toList(),
        fresh,
        last == null ? null : new Cursor(last.began(), last.id()).text());
  }

  private static Cursor cursor(String text) {
    return Cursor.read(text)
        .orElseThrow(() -> new Problem(HttpStatus.BAD_REQUEST, "NOT_UNDERSTOOD"));
  }

  // --- one message ------------------------------------------------------------------------------

  private Message message(Employee me, long id) {
    return messages.message(id, mine(me)).orElseThrow(MessageController::none);
  }

  /** One message with everything that is known of it. */
  @GetMapping("/{id}")
  Letter letter(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    return views.letter(message(me, id), me.id());
  }

  /** Its sound, also parts of it (byte ranges, RFC 9110). */
  @GetMapping(path = "/{id}/sound", produces = "audio/wav")
  ResponseEntity<Resource> sound(
      @AuthenticationPrincipal Employee me,
      @PathVariable long id,
      @RequestHeader(name = HttpHeaders.RANGE, defaultValue = "") String range) {
    return SoundAnswer.of(file(me, id), range);
  }

  private SoundFile file(Employee me, long id) {
    return new SoundFile(fileName(id, "wav"), kept(me, id), sounds);
  }

  private SoundStore.Sound kept(Employee me, long id) {
    return messages.sound(id, mine(me)).orElseThrow(MessageController::none);
  }

  private static String fileName(long id, String ending) {
    return "message-" + id + "." + ending;
  }

  private static String attached(String name) {
    return ContentDisposition.attachment().filename(name).build().toString();
  }

  /** Its sound, to be saved. */
  @GetMapping(path = "/{id}/file", produces = "audio/wav")
  ResponseEntity<Resource> save(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    return SoundAnswer.toBeSaved(file(me, id));
  }

  /** Its sound as a smaller file (Opus in Ogg, RFC 7845), to be saved. */
  @GetMapping(path = "/{id}/opus", produces = "audio/ogg")
  ResponseEntity<byte[]> saveSmall(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    SoundStore.Sound sound = kept(me, id);
    if (!OpusFile.possible()) {
      throw new Problem(HttpStatus.CONFLICT, "NO_OPUS");
    }
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, attached(fileName(id, "ogg")))
        .body(OpusFile.of(sound.seconds(), n -> KeptSound.samples(sounds.second(sound.id(), n))));
  }

  /** Its transcript with times, as WebVTT, to be saved. */
  @GetMapping(path = "/{id}/transcript", produces = "text/vtt")
  ResponseEntity<byte[]> transcript(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    String text = WebVtt.of(WebVtt.cues(message(me, id).transcript().words(), ""));
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, attached(fileName(id, "vtt")))
        .body(text.getBytes(StandardCharsets.UTF_8));
  }

  // --- what becomes of it -----------------------------------------------------------------------

  private interface Change {
    boolean carryOut(List<String> mine);
  }

  private void change(Employee me, long id, Change change) {
    List<String> mine = mine(me);
    if (!change.carryOut(mine)) {
      throw none();
    }
    changed(messages.mailboxes(List.of(id), mine));
  }

  record Switched(boolean on) {}

  /** It was heard, or is to count as new again. */
  @PostMapping("/{id}/heard")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void heard(
      @AuthenticationPrincipal Employee me, @PathVariable long id, @RequestBody Switched heard) {
    change(
        me,
        id,
        mine ->
            heard.on() ? marks.heard(id, mine, me.id(), clock.instant()) : marks.unheard(id, mine));
  }

  /** Somebody has dealt with it, or nobody has. */
  @PostMapping("/{id}/dealt")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void dealt(
      @AuthenticationPrincipal Employee me, @PathVariable long id, @RequestBody Switched dealt) {
    change(
        me,
        id,
        mine ->
            dealt.on()
                ? marks.dealt(id, mine, me.id(), clock.instant())
                : marks.notDealt(id, mine));
  }

  record Note(@NotNull @Size(max = 2_000) String text) {}

  /** What there is to know about it. */
  @PutMapping("/{id}/note")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void note(
      @AuthenticationPrincipal Employee me, @PathVariable long id, @Valid @RequestBody Note note) {
    change(me, id, mine -> marks.note(id, mine, note.text()));
  }

  /**
   * @param text empty for what the machine understood
   */
  record Correction(@NotNull @Size(max = 10_000) String text) {}

  /** What was really said. */
  @PutMapping("/{id}/words")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void correct(
      @AuthenticationPrincipal Employee me,
      @PathVariable long id,
      @Valid @RequestBody Correction correction) {
    change(me, id, mine -> marks.correct(id, mine, correction.text()));
  }

  /**
   * @param person the colleague who is to hear it
   */
  record Passing(long person, @NotNull @Size(max = 500) String note) {}

  /** Put a copy into a colleague's mailbox. */
  @PostMapping("/{id}/pass")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void pass(
      @AuthenticationPrincipal Employee me,
      @PathVariable long id,
      @Valid @RequestBody Passing passing) {
    Party to = new Party.Employee(new PersonId(passing.person()));
    if (!office.now().hasMailbox(to)) {
      throw new Problem(HttpStatus.CONFLICT, "NO_MAILBOX", Map.of());
    }
    String mailbox = Owner.key(to);
    String place = UUID.randomUUID().toString();
    if (!filing.pass(id, mine(me), mailbox, me.id(), passing.note(), place)) {
      throw none();
    }
    changed(List.of(mailbox));
  }

  record Several(@NotEmpty @Size(max = 500) List<@NotNull Long> ids) {}

  /** Remove messages. */
  @PostMapping("/remove")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@AuthenticationPrincipal Employee me, @Valid @RequestBody Several several) {
    remove(me, several, clock.instant());
  }

  /** Bring back messages that were removed. */
  @PostMapping("/restore")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void restore(@AuthenticationPrincipal Employee me, @Valid @RequestBody Several several) {
    remove(me, several, null);
  }

  private void remove(Employee me, Several several, @Nullable Instant at) {
    List<String> mine = mine(me);
    marks.remove(several.ids(), mine, at);
    changed(messages.mailboxes(several.ids(), mine));
  }
}
