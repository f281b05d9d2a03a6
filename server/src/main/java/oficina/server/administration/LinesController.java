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
import oficina.core.people.Group;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.server.office.NewLine;
import oficina.server.office.OfficeData;
import oficina.server.office.OfficeStore;
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
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

  LinesController(OfficeData office, OfficeStore store) {
    this.office = office;
    this.store = store;
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
