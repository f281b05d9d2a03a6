package oficina.server.administration;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import oficina.core.ledger.Entry;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.register.PeopleCheck;
import oficina.core.register.PeopleCheck.Checked;
import oficina.core.register.PeopleCheck.Kind;
import oficina.core.register.PeopleFile;
import oficina.core.register.PersonEntry;
import oficina.server.ledger.OfficeLog;
import oficina.server.office.OfficeData;
import oficina.server.office.OfficeStore;
import oficina.server.office.StoredAccount;
import oficina.server.passwords.Employee;
import oficina.server.passwords.Passwords;
import oficina.server.problems.Problem;
import oficina.server.signin.SignIns;
import oficina.server.uploads.TextFile;
import oficina.server.uploads.Uploads;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The register of people as a file: looked at first, then taken over as a whole. */
@RestController
@RequestMapping("/api/office/people-file")
class PeopleFileController {
  /** So many of each kind are shown; the others are counted. */
  private static final int MOST_SHOWN = 100;

  private final OfficeData office;
  private final OfficeStore store;
  private final TakenOverStore taking;
  private final Passwords passwords;
  private final SignIns signIns;
  private final Uploads uploads;
  private final OfficeLog log;

  /** The last file each administrator has looked at. */
  private final Map<PersonId, LookedAt> files = new ConcurrentHashMap<>();

  PeopleFileController(
      OfficeData office,
      OfficeStore store,
      TakenOverStore taking,
      Passwords passwords,
      SignIns signIns,
      Uploads uploads,
      OfficeLog log) {
    this.office = office;
    this.store = store;
    this.taking = taking;
    this.passwords = passwords;
    this.signIns = signIns;
    this.uploads = uploads;
    this.log = log;
  }

  /** A file, and how its lines stood to the office when it was looked at. */
  private record LookedAt(String id, List<PeopleFile.Row> rows, List<Checked> checked) {}

  /** Everybody, as a file. */
  @GetMapping(produces = "text/csv")
  ResponseEntity<byte[]> save() {
    log.write(Entry.Deed.of(Entry.Kind.SAVED, "people"));
    List<PersonEntry> all =
        entries().values().stream()
            .sorted((a, b) -> a.extension().compareTo(b.extension()))
            .toList();
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename("people.csv").build().toString())
        .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
        .body(PeopleFile.write(all).getBytes(StandardCharsets.UTF_8));
  }

  private Map<PersonId, PersonEntry> entries() {
    Map<PersonId, StoredAccount> accounts = store.accounts();
    Map<PersonId, PersonEntry> entries = new HashMap<>();
    for (Person each : office.directory().people()) {
      StoredAccount account = accounts.getOrDefault(each.id(), StoredAccount.NONE);
      entries.put(
          each.id(),
          new PersonEntry(
              each.name(),
              account.signInName(),
              account.role(),
              each.extension(),
              written(each.directNumber()),
              each.team(),
              each.site(),
              each.place().mail(),
              written(each.mobile())));
    }
    return entries;
  }

  /**
   * A file that was looked at.
   *
   * @param fresh names of the first of those who are new
   * @param changed the first of those who would be another than they are
   * @param bad the first lines that cannot be taken over
   */
  record PeopleFileView(
      String id,
      PeopleFileCounts counts,
      List<String> fresh,
      List<PersonChange> changed,
      List<BadLine> bad) {}

  record PeopleFileCounts(int fresh, int changed, int same, int bad) {}

  /** Somebody as they are, and as they would be. */
  record PersonChange(PersonEntry before, PersonEntry after) {}

  /**
   * What is wrong with a line.
   *
   * @param code pages have a sentence for it
   * @param text what was typed
   * @param name who has it already; empty when nobody
   */
  record BadLine(int line, String code, String text, String name) {}

  /** Look at a file. Nothing is changed yet. */
  @PutMapping(consumes = "text/csv")
  PeopleFileView read(@AuthenticationPrincipal Employee me, HttpServletRequest request)
      throws IOException {
    List<PeopleFile.Row> rows = uploads.read(me.id(), request, PeopleFileController::rows);
    LookedAt file = new LookedAt(UUID.randomUUID().toString(), rows, checked(rows, me));
    files.put(me.id(), file);
    return view(file);
  }

  private static List<PeopleFile.Row> rows(Path file) throws IOException {
    try (Reader text = TextFile.open(file)) {
      return PeopleFile.read(text);
    }
  }

  private List<Checked> checked(List<PeopleFile.Row> rows, Employee me) {
    return new PeopleCheck(office.now(), entries(), me.id()).check(rows);
  }

  private PeopleFileView view(LookedAt file) {
    Map<PersonId, PersonEntry> before = entries();
    return new PeopleFileView(
        file.id,
        new PeopleFileCounts(
            of(file, Kind.NEW).size(),
            of(file, Kind.CHANGED).size(),
            of(file, Kind.SAME).size(),
            of(file, Kind.BAD).size()),
        of(file, Kind.NEW).stream().limit(MOST_SHOWN).map(each -> each.entry().name()).toList(),
        of(file, Kind.CHANGED).stream()
            .limit(MOST_SHOWN)
            .map(each -> new PersonChange(shown(before.get(each.person())), shown(each.entry())))
            .toList(),
        of(file, Kind.BAD).stream()
            .limit(MOST_SHOWN)
            .flatMap(
                each ->
                    each.findings().stream()
                        .map(f -> new BadLine(each.line(), f.code(), f.text(), f.name())))
            .toList());
  }

  private static String written(@Nullable PhoneNumber number) {
    return number == null ? "" : number.e164();
  }

  /** With the numbers as people here write them. */
  private PersonEntry shown(PersonEntry entry) {
    return entry.writing(e164 -> office.region().show(new PhoneNumber(e164)));
  }

  private static List<Checked> of(LookedAt file, Kind kind) {
    return file.checked.stream().filter(each -> each.kind() == kind).toList();
  }

  /**
   * @param password the first one of everybody who is new; absent when nobody is
   */
  record TakeOverPeople(@Schema(nullable = true) @Size(max = 200) @Nullable String password) {}

  /** Take it over: everything that is right, at once. */
  @PostMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void take(
      @AuthenticationPrincipal Employee me,
      @PathVariable String id,
      @Valid @NotNull @RequestBody TakeOverPeople body) {
    LookedAt file = files.get(me.id());
    if (file == null || !file.id.equals(id)) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_FILE");
    }
    String hash = of(file, Kind.NEW).isEmpty() ? "" : hash(body.password(), me);
    Map<PersonId, PersonEntry> before = entries();
    office.change(
        () -> {
          if (!checked(file.rows, me).equals(file.checked)) {
            throw new Problem(HttpStatus.CONFLICT, "OFFICE_CHANGED_MEANWHILE");
          }
          taking.take(file.checked, hash);
        });
    files.remove(me.id(), file);
    of(file, Kind.CHANGED).stream()
        .filter(each -> !before.get(each.person()).role().equals(each.entry().role()))
        .forEach(each -> signIns.endAll(each.person()));
  }

  private String hash(@Nullable String password, Employee me) {
    return passwords.hash(password == null ? "" : password, null, List.of(), me.signInName());
  }
}
