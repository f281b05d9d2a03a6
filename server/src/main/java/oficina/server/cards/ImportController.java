package oficina.server.cards;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import oficina.core.contacts.Comparison.Kind;
import oficina.core.contacts.Draft;
import oficina.core.contacts.Draft.Flaw;
import oficina.core.ledger.Entry;
import oficina.core.people.PersonId;
import oficina.server.cards.ContactViews.ContactBefore;
import oficina.server.cards.Imports.Doubtful;
import oficina.server.cards.ReadIn.State;
import oficina.server.ledger.OfficeLog;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
import oficina.server.uploads.Uploads;
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

/** Files of contacts: looked at first, then taken over, with progress and a way to stop. */
@RestController
@RequestMapping("/api/contact-imports")
class ImportController {
  /** So many of each kind are shown; the others are counted. */
  private static final int MOST_SHOWN = 100;

  private static final int MOST_CHOSEN = 1_000;

  private final Uploads uploads;
  private final Imports imports;
  private final ContactViews views;
  private final OfficeLog log;

  ImportController(Uploads uploads, Imports imports, ContactViews views, OfficeLog log) {
    this.uploads = uploads;
    this.imports = imports;
    this.views = views;
    this.log = log;
  }

  /**
   * A file that was read in.
   *
   * @param fresh names of the first of those that are new
   * @param doubtful the first of those of which there may be one already
   * @param bad the first of those that cannot be taken over
   * @param done how many have been taken over, or left
   */
  record ContactImport(
      String id,
      State state,
      ImportCounts counts,
      List<String> fresh,
      List<DoubtfulCard> doubtful,
      List<BadCard> bad,
      int done,
      int of) {}

  record ImportCounts(int fresh, int changed, int same, int doubtful, int bad) {}

  /**
   * A card, and the contact it may be.
   *
   * @param index its place among the doubtful ones
   */
  record DoubtfulCard(int index, ContactBefore incoming, ContactBefore existing) {}

  /**
   * A card that cannot be taken over.
   *
   * @param line of the file on which it begins
   */
  record BadCard(int line, Flaw flaw, String what) {}

  /**
   * Read a file in, to be looked at. Nothing is changed yet.
   *
   * @param own whether the contacts are to be one's own, and nobody else's to see
   */
  @PutMapping(consumes = {"text/vcard", "text/csv"})
  ContactImport read(
      @AuthenticationPrincipal Employee me,
      @RequestParam(defaultValue = "false") boolean own,
      HttpServletRequest request)
      throws IOException {
    boolean csv = request.getContentType().startsWith("text/csv");
    PersonId owner = own ? me.id() : null;
    return view(uploads.read(me.id(), request, file -> imports.read(file, csv, me.id(), owner)));
  }

  /** How far it is. */
  @GetMapping("/{id}")
  ContactImport progress(@AuthenticationPrincipal Employee me, @PathVariable String id) {
    return view(file(me, id));
  }

  /**
   * What becomes of doubtful cards.
   *
   * @param chosen by their place among them
   * @param others of those that were not chosen for
   */
  record TakeOver(
      @NotNull @Size(max = MOST_CHOSEN) Map<@NotNull Integer, @NotNull Doubtful> chosen,
      @NotNull Doubtful others) {}

  /** Take it over. */
  @PostMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void take(
      @AuthenticationPrincipal Employee me,
      @PathVariable String id,
      @Valid @RequestBody TakeOver body) {
    ReadIn file = file(me, id);
    if (!imports.take(file, body.chosen(), body.others())) {
      throw new Problem(HttpStatus.CONFLICT, "IMPORT_BEGUN");
    }
    if (file.owner() == null) {
      log.write(
          new Entry.Deed(
              Entry.Kind.CHANGED, "", "contactsFile", "", Integer.toString(file.size())));
    }
  }

  /** Stop. What has been taken over by then stays. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void cancel(@AuthenticationPrincipal Employee me, @PathVariable String id) {
    file(me, id).stop();
  }

  private ReadIn file(Employee me, String id) {
    ReadIn file = imports.of(me.id(), id);
    if (file == null) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_IMPORT");
    }
    return file;
  }

  private ContactImport view(ReadIn file) {
    List<ReadIn.Compared> doubtful = file.of(Kind.DOUBTFUL);
    ImportCounts counts =
        new ImportCounts(
            file.of(Kind.NEW).size(),
            file.of(Kind.CHANGED).size(),
            file.of(Kind.SAME).size(),
            doubtful.size(),
            file.of(Kind.BAD).size());
    return new ContactImport(
        file.id(),
        file.state(),
        counts,
        file.of(Kind.NEW).stream()
            .limit(MOST_SHOWN)
            .map(each -> each.incoming().card().title())
            .toList(),
        Stream.iterate(
                0, index -> index < Math.min(MOST_SHOWN, doubtful.size()), index -> index + 1)
            .map(index -> doubtful(index, doubtful.get(index)))
            .toList(),
        shown(file.of(Kind.BAD)),
        file.done(),
        file.wanted());
  }

  /** The first ones; and the last when it says that no more was read. */
  private static List<BadCard> shown(List<ReadIn.Compared> bad) {
    List<BadCard> all = bad.stream().map(ImportController::bad).toList();
    return Stream.concat(
            all.stream().limit(MOST_SHOWN),
            all.stream().skip(MOST_SHOWN).filter(each -> each.flaw() == Flaw.REST_NOT_READ))
        .toList();
  }

  private DoubtfulCard doubtful(int index, ReadIn.Compared compared) {
    return new DoubtfulCard(
        index,
        views.before(compared.incoming().card()),
        views.before(compared.comparison().existing().card()));
  }

  private static BadCard bad(ReadIn.Compared compared) {
    Draft.Finding first = compared.incoming().findings().get(0);
    return new BadCard(compared.incoming().line(), first.flaw(), first.what());
  }
}
