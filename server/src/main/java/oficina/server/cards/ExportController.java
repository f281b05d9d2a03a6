package oficina.server.cards;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Collectors;
import oficina.core.contacts.Contact;
import oficina.core.contacts.CsvFile;
import oficina.core.contacts.VCardFile;
import oficina.core.ledger.Entry.Deed;
import oficina.core.ledger.Entry.Kind;
import oficina.server.contacts.Contacts;
import oficina.server.ledger.OfficeLog;
import oficina.server.passwords.Employee;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Contacts as files that other programs read, and that go in again as they came out. */
@RestController
class ExportController {
  private final Contacts contacts;
  private final OfficeLog log;

  ExportController(Contacts contacts, OfficeLog log) {
    this.contacts = contacts;
    this.log = log;
  }

  /** What kind of file. */
  enum Format {
    VCARD3("text/vcard", "vcf"),
    VCARD4("text/vcard", "vcf"),
    CSV("text/csv", "csv");

    private final String type;
    private final String ending;

    Format(String type, String ending) {
      this.type = type;
      this.ending = ending;
    }
  }

  /**
   * All contacts one may see, as a file.
   *
   * @param own whether only one's own are wanted, or only those of the office
   */
  @GetMapping(
      path = "/api/contacts/file",
      produces = {"text/vcard", "text/csv"})
  ResponseEntity<byte[]> save(
      @AuthenticationPrincipal Employee me,
      @RequestParam Format format,
      @RequestParam(defaultValue = "false") boolean own) {
    List<Contact> all =
        contacts.ask(
            book ->
                book.page(
                    me.id(), "", null, each -> (each.owner() != null) == own, Integer.MAX_VALUE));
    String file =
        switch (format) {
          case CSV -> CsvFile.write(all);
          case VCARD3 -> cards(all, VCardFile.Version.V3);
          case VCARD4 -> cards(all, VCardFile.Version.V4);
        };
    log.write(Deed.of(Kind.SAVED, own ? "own contacts" : "contacts"));
    String name = "contacts." + format.ending;
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(name).build().toString())
        .contentType(new MediaType(MediaType.parseMediaType(format.type), StandardCharsets.UTF_8))
        .body(file.getBytes(StandardCharsets.UTF_8));
  }

  private String cards(List<Contact> all, VCardFile.Version version) {
    return all.stream()
        .map(
            each ->
                VCardFile.write(
                    each,
                    version,
                    each.picture() ? contacts.picture(each.id()).orElse(null) : null))
        .collect(Collectors.joining());
  }
}
