package oficina.server.administration;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicLong;
import oficina.core.call.Party;
import oficina.core.office.Dependants;
import oficina.core.people.Group;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.register.Replacement;
import oficina.core.state.Call;
import oficina.server.calls.Commands;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.handset.LampKeys;
import oficina.server.office.DirectionsStore;
import oficina.server.office.NewLine;
import oficina.server.office.OfficeData;
import oficina.server.office.OfficeStore;
import oficina.server.people.Parties;
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
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

/** The lines that several people answer, and who. */
@RestController
@RequestMapping("/api/office/lines")
class LinesController {
  private final OfficeData office;
  private final OfficeStore store;
  private final DirectionsStore directions;
  private final GoneLineStore gone;
  private final LampKeys lampKeys;
  private final ExchangeLoop loop;
  private final Parties parties;
  private final TakenBackStore takenBack;

  LinesController(
      OfficeData office,
      OfficeStore store,
      DirectionsStore directions,
      GoneLineStore gone,
      LampKeys lampKeys,
      ExchangeLoop loop,
      Parties parties,
      TakenBackStore takenBack) {
    this.office = office;
    this.store = store;
    this.directions = directions;
    this.gone = gone;
    this.lampKeys = lampKeys;
    this.loop = loop;
    this.parties = parties;
    this.takenBack = takenBack;
  }

  /**
   * A line as it is to be.
   *
   * @param number public number that rings it, as people here write numbers; empty for none
   * @param members in the order in which they stand there
   * @param mailbox whether messages can be left for it
   */
  record LineBody(
      @NotBlank @Size(max = 80) String name,
      @NotNull @Pattern(regexp = "[0-9]{2,6}") String extension,
      @NotNull @Size(max = 40) String number,
      @NotNull @Size(max = 500) List<@NotNull Long> members,
      @Min(5) @Max(600) int ringSeconds,
      boolean mailbox) {}

  /**
   * A line of the office.
   *
   * @param version is given back by whoever changes it
   */
  record LineRow(long id, LineBody line, int version) {}

  /** All lines, in the order in which they were made. */
  @GetMapping
  List<LineRow> all() {
    return office.directory().groups().stream().map(this::row).toList();
  }

  private LineRow row(Group group) {
    LineBody body =
        new LineBody(
            group.name(),
            group.extension(),
            group.number() == null ? "" : office.region().show(group.number()),
            group.members().stream().map(PersonId::value).toList(),
            (int) group.ringTime().toSeconds(),
            group.mailbox());
    return new LineRow(group.id().value(), body, Shown.version(body));
  }

  record MadeLine(long id) {}

  /** Make a line. */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  MadeLine make(@Valid @RequestBody LineBody body) {
    AtomicLong id = new AtomicLong();
    office.change(() -> id.set(store.addLine(checked(body, null))));
    return new MadeLine(id.get());
  }

  /**
   * Change a line; calls in progress go on.
   *
   * @param version of what was shown before; absent to replace whatever there is
   */
  @PutMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void change(
      @PathVariable long id,
      @RequestParam(required = false) @Nullable Integer version,
      @Valid @RequestBody LineBody body) {
    GroupId line = new GroupId(id);
    office.change(
        () -> {
          Shown.check(version, known(line).line());
          store.change(line, checked(body, new Party.Members(line)));
        });
  }

  /**
   * What a line is needed for.
   *
   * @param dependants for whom something would be different
   * @param messages in its mailbox
   * @param toReturn callers nobody has called back
   */
  record LineNeeded(List<DependantView> dependants, int messages, int toReturn) {}

  /** What would be different for whom if this line were not there any more. */
  @GetMapping("/{id}/needed")
  LineNeeded needed(@PathVariable long id) {
    GroupId line = new GroupId(id);
    known(line);
    GoneLineStore.Waiting waiting = gone.at(line);
    return new LineNeeded(
        new Dependants(office.now())
            .of(line).stream()
                .map(each -> new DependantView(each.how(), parties.name(each.who())))
                .toList(),
        waiting.messages(),
        waiting.toReturn());
  }

  /**
   * Take a line away in which nobody is called.
   *
   * @param instead the line that takes its place for whoever counts on it, and gets what waits
   *     there; may be absent only when nobody does and nothing waits
   */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable long id, @RequestParam(required = false) @Nullable Long instead) {
    GroupId line = new GroupId(id);
    GroupId other = instead == null ? null : new GroupId(instead);
    LineRow before = known(line);
    String after = other == null ? "" : known(other).line().extension();
    if (line.equals(other)) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "LINE_INSTEAD_OF_ITSELF");
    }
    refuseInUse(line);
    office.change(
        () -> {
          if (other == null) {
            refuseNeeded(id);
            takenBack.goes(new Party.Members(line));
          } else {
            replace(line, other);
          }
          gone.goes(line, other);
        });
    lampKeys.follow(Map.of(before.line().extension(), after));
  }

  /**
   * A line that was taken away within the hour, without another in its place, is there again with
   * what was its own.
   */
  @PostMapping("/{id}/return")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void comesBack(@PathVariable long id) {
    Party line = new Party.Members(new GroupId(id));
    office.change(() -> takenBack.comesBack(line, new Given(office.now())));
  }

  private void refuseInUse(GroupId line) {
    Party them = new Party.Members(line);
    boolean inUse =
        Commands.await(
            loop.ask(() -> loop.state().calls().stream().anyMatch(call -> concerns(call, them))));
    if (inUse) {
      throw new Problem(HttpStatus.CONFLICT, "LINE_IN_USE");
    }
  }

  private static boolean concerns(Call call, Party line) {
    return line.equals(call.called())
        || (call.place() != null && line.group().equals(call.place().line()))
        || call.connections().stream()
            .anyMatch(each -> line.equals(each.line()) || line.equals(each.party().mailboxOf()));
  }

  private void refuseNeeded(long id) {
    LineNeeded needed = needed(id);
    if (!needed.dependants().isEmpty() || needed.messages() + needed.toReturn() > 0) {
      throw new Problem(HttpStatus.CONFLICT, "LINE_NEEDED");
    }
  }

  private void replace(GroupId line, GroupId other) {
    Replacement replacement = new Replacement(line, other);
    replacement.misfits(office.now()).stream()
        .findFirst()
        .ifPresent(
            owner -> {
              throw new Problem(
                  HttpStatus.CONFLICT, "LINE_DOES_NOT_FIT", Map.of("name", parties.name(owner)));
            });
    replacement.rules(office.now()).forEach(directions::keep);
    if (line.equals(office.settings().frontDesk())) {
      store.set("front-desk", other.toString());
    }
  }

  private LineRow known(GroupId line) {
    return office
        .directory()
        .group(line)
        .map(this::row)
        .orElseThrow(() -> new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_LINE"));
  }

  /** Only while nobody else changes the office: of two who want one extension, one gets it. */
  private NewLine checked(LineBody body, @Nullable Party self) {
    Given given = new Given(office.now());
    for (long member : body.members()) {
      if (office.directory().person(new PersonId(member)).isEmpty()) {
        throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_PERSON");
      }
    }
    if (body.members().stream().distinct().count() < body.members().size()) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "MEMBER_TWICE", Map.of());
    }
    return new NewLine(
        body.name().strip(),
        given.extension(body.extension(), self),
        given.number(body.number(), self),
        body.members().stream().map(PersonId::new).toList(),
        body.ringSeconds(),
        body.mailbox());
  }
}
