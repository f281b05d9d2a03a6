package oficina.server.queues;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import oficina.core.people.Group;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.queueing.Queue;
import oficina.core.queueing.Queue.Order;
import oficina.core.queueing.Queue.Why;
import oficina.server.callerfields.OfficeAddress;
import oficina.server.ledger.OfficeLog;
import oficina.server.office.DirectionsStore;
import oficina.server.office.OfficeData;
import oficina.server.problems.Problem;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Which lines keep callers, and how. As all of /api/office, for administrators alone. */
@RestController
@RequestMapping("/api/office/queues")
class QueueSettingsController {
  private static final int USUAL_DIGITS = 6;

  private final OfficeData office;
  private final DirectionsStore store;
  private final Reasons reasons;
  private final Topics topics;
  private final OfficeLog log;

  QueueSettingsController(
      OfficeData office, DirectionsStore store, Reasons reasons, Topics topics, OfficeLog log) {
    this.log = log;
    this.office = office;
    this.store = store;
    this.reasons = reasons;
    this.topics = topics;
  }

  /**
   * How a line keeps callers; times in seconds.
   *
   * @param told whether place and time are said
   * @param every how often; absent for once
   * @param keep whether callers may hang up, keep their place and be called back
   * @param message whether they may leave a message
   * @param elsewhere whether they may go where the line's rules have those go whom nobody answers
   * @param asks of what the number is that callers are asked for first; empty when they are not
   * @param digits how many it has at most
   * @param fields of the contact that members see at once
   * @param address of the office's own that is asked about callers; empty for none
   */
  record QueueSettings(
      @NotNull Order order,
      @Min(10) @Max(7200) int longestWait,
      @Min(1) @Max(999) int most,
      @Min(0) @Max(1800) int finishing,
      boolean tellPlace,
      boolean tellTime,
      @Schema(nullable = true) @Min(10) @Max(600) @Nullable Integer every,
      boolean keep,
      boolean message,
      boolean elsewhere,
      @Min(1) @Max(600) int within,
      @Min(1) @Max(100) int percent,
      @NotNull @Size(max = 500) List<@NotNull @Valid MemberSettings> members,
      @NotNull @Size(max = 20) List<@NotNull @Valid QueuePreference> preferences,
      @NotNull @Size(max = 40) String asks,
      @Min(1) @Max(Queue.Question.LONGEST) int digits,
      @NotNull @Size(max = 10) List<Queue.@NotNull Field> fields,
      @NotNull @Size(max = 400) String address) {}

  /**
   * What a member is at a line.
   *
   * @param asked after how many seconds of waiting, when the order is by levels
   */
  record MemberSettings(long person, boolean leads, @Min(0) @Max(3600) int asked) {}

  /**
   * @param tag of the contact, when that is why; empty otherwise
   */
  record QueuePreference(
      @NotNull Why why, @NotNull @Size(max = 60) String tag, @Min(0) @Max(9) int priority) {}

  /**
   * A line of the office.
   *
   * @param keeps how it keeps callers; absent when it does not
   */
  record QueueLine(
      long line,
      String name,
      List<QueueMember> members,
      @Schema(nullable = true) @Nullable QueueSettings keeps) {}

  record QueueMember(long person, String name) {}

  /**
   * @param usual what a line begins with that is to keep callers
   * @param reasons why one rests, to choose from
   */
  record QueueLines(List<QueueLine> lines, QueueSettings usual, List<String> reasons) {}

  /** All lines, and how they keep callers. */
  @GetMapping
  QueueLines all() {
    return new QueueLines(
        office.directory().groups().stream().map(this::line).toList(),
        settings(Queue.DEFAULT, List.of()),
        reasons.all());
  }

  private QueueLine line(Group group) {
    Queue queue = office.now().directions().queue(group.id());
    return new QueueLine(
        group.id().value(),
        group.name(),
        group.members().stream()
            .map(each -> new QueueMember(each.value(), office.now().nameOf(each)))
            .toList(),
        queue == null ? null : settings(queue, group.members()));
  }

  private static QueueSettings settings(Queue queue, List<PersonId> members) {
    Duration every = queue.told().every();
    Queue.Question asks = queue.told().asks();
    return new QueueSettings(
        queue.order(),
        (int) queue.longestWait().toSeconds(),
        queue.most(),
        (int) queue.finishing().toSeconds(),
        queue.told().place(),
        queue.told().time(),
        every == null ? null : (int) every.toSeconds(),
        queue.choices().keep(),
        queue.choices().message(),
        queue.choices().elsewhere(),
        (int) queue.target().within().toSeconds(),
        queue.target().percent(),
        members.stream()
            .map(
                each ->
                    new MemberSettings(
                        each.value(),
                        queue.leads().contains(each),
                        (int) queue.asked(each).toSeconds()))
            .toList(),
        queue.preferences().stream()
            .map(each -> new QueuePreference(each.why(), each.tag(), each.priority()))
            .toList(),
        asks == null ? "" : asks.name(),
        asks == null ? USUAL_DIGITS : asks.digits(),
        queue.shown().fields(),
        queue.shown().address());
  }

  /** Have a line keep callers so. */
  @PutMapping("/{line}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void keep(@PathVariable long line, @Valid @RequestBody QueueSettings settings) {
    become(line, queue(settings));
  }

  /** Have a line keep no callers: whoever finds nobody free goes where its rules say. */
  @DeleteMapping("/{line}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void keepNone(@PathVariable long line) {
    become(line, null);
  }

  private void become(long line, @Nullable Queue queue) {
    GroupId id = new GroupId(line);
    if (office.directory().group(id).isEmpty()) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_QUEUE");
    }
    office.change(() -> store.keep(id, queue));
    topics.tellAll(Topic.RULES);
  }

  private static Queue queue(QueueSettings settings) {
    List<Queue.Level> levels = new ArrayList<>();
    Set<PersonId> leads = new HashSet<>();
    for (MemberSettings each : settings.members()) {
      PersonId person = new PersonId(each.person());
      if (each.asked() > 0) {
        levels.add(new Queue.Level(person, Duration.ofSeconds(each.asked())));
      }
      if (each.leads()) {
        leads.add(person);
      }
    }
    Integer every = settings.every();
    String asks = settings.asks().strip();
    String address = settings.address().strip();
    OfficeAddress.check(address);
    return new Queue(
        settings.order(),
        levels,
        Duration.ofSeconds(settings.longestWait()),
        settings.most(),
        Duration.ofSeconds(settings.finishing()),
        settings.preferences().stream()
            .map(
                each ->
                    new Queue.Preference(
                        each.why(), each.tag().strip().toLowerCase(Locale.ROOT), each.priority()))
            .toList(),
        leads,
        new Queue.Told(
            settings.tellPlace(),
            settings.tellTime(),
            every == null ? null : Duration.ofSeconds(every),
            asks.isEmpty() ? null : new Queue.Question(asks, settings.digits())),
        new Queue.Choices(settings.keep(), settings.message(), settings.elsewhere()),
        new Queue.Target(Duration.ofSeconds(settings.within()), settings.percent()),
        new Queue.Shown(settings.fields(), address));
  }

  record ReasonList(@NotNull @Size(min = 1, max = 20) List<@NotBlank @Size(max = 60) String> all) {}

  /** Why one rests, to choose from. */
  @PutMapping("/reasons")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void reasons(@Valid @RequestBody ReasonList list) {
    log.changing(
        "restReasons",
        () -> String.join(", ", reasons.all()),
        () -> reasons.become(list.all().stream().map(String::strip).toList()));
    topics.tellAll(Topic.QUEUES);
  }
}
