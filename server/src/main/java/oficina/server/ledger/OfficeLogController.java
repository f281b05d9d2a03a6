package oficina.server.ledger;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.Size;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import oficina.core.files.Cells;
import oficina.core.ledger.Entry;
import oficina.core.ledger.Entry.Kind;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The log of the office. Everything below /api/office is open to administrators only. */
@RestController
@RequestMapping("/api/office")
class OfficeLogController {
  private static final int PAGE = 100;
  private static final int MOST = 100_000;
  private static final List<String> COLUMNS =
      List.of("number", "at", "who", "from", "kind", "about", "what", "before", "after");

  private final OfficeLogStore store;
  private final OfficeLog log;

  OfficeLogController(OfficeLogStore store, OfficeLog log) {
    this.store = store;
    this.log = log;
  }

  /**
   * A line of the log.
   *
   * @param who the name they sign in with; empty for nobody of the office, or the server itself
   * @param origin the network address it came from; empty for none
   * @param about whom or what it concerns; empty for the office
   * @param what which part of it; empty for the whole
   */
  @Schema(name = "LogLine")
  record LogLine(
      long number,
      Instant at,
      String who,
      String origin,
      Kind kind,
      String about,
      String what,
      String before,
      String after) {}

  /**
   * The log, the latest first.
   *
   * @param kind absent for any
   * @param text in a name or what was done; empty for any
   * @param who the name they sign in with who did it; empty for anybody
   * @param from its first day; absent from the beginning
   * @param to its last day, included; absent until now
   * @param zone in which these days begin
   * @param below only lines with a smaller number; absent from the latest
   */
  @GetMapping("/log")
  List<LogLine> log(
      @RequestParam(required = false) @Nullable Kind kind,
      @RequestParam(defaultValue = "") @Size(max = 100) String text,
      @RequestParam(defaultValue = "") @Size(max = 60) String who,
      @RequestParam(required = false) @Nullable LocalDate from,
      @RequestParam(required = false) @Nullable LocalDate to,
      @RequestParam(defaultValue = "UTC") ZoneId zone,
      @RequestParam(defaultValue = "9223372036854775807") long below) {
    return store.find(wanted(kind, text, who, from, to, zone, below), PAGE).stream()
        .map(OfficeLogController::line)
        .toList();
  }

  /** The same as a file, all of it up to a hundred thousand lines; that is written down too. */
  @GetMapping(path = "/log-file", produces = "text/csv")
  ResponseEntity<byte[]> file(
      @RequestParam(required = false) @Nullable Kind kind,
      @RequestParam(defaultValue = "") @Size(max = 100) String text,
      @RequestParam(defaultValue = "") @Size(max = 60) String who,
      @RequestParam(required = false) @Nullable LocalDate from,
      @RequestParam(required = false) @Nullable LocalDate to,
      @RequestParam(defaultValue = "UTC") ZoneId zone) {
    log.write(Entry.Deed.of(Kind.SAVED, "log"));
    List<List<Object>> rows =
        store.find(wanted(kind, text, who, from, to, zone, Long.MAX_VALUE), MOST).stream()
            .map(OfficeLogController::line)
            .<List<Object>>map(
                each ->
                    List.of(
                        each.number,
                        each.at,
                        each.who,
                        each.origin,
                        each.kind,
                        each.about,
                        each.what,
                        each.before,
                        each.after))
            .toList();
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename("log.csv").build().toString())
        .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
        .body(Cells.csv(COLUMNS, rows).getBytes(StandardCharsets.UTF_8));
  }

  private static OfficeLogStore.Wanted wanted(
      @Nullable Kind kind,
      String text,
      String who,
      @Nullable LocalDate from,
      @Nullable LocalDate to,
      ZoneId zone,
      long below) {
    return new OfficeLogStore.Wanted(
        kind,
        text.strip(),
        who,
        from == null ? null : from.atStartOfDay(zone).toInstant(),
        to == null ? null : to.plusDays(1).atStartOfDay(zone).toInstant(),
        below);
  }

  private static LogLine line(Entry entry) {
    Entry.Deed deed = entry.deed();
    return new LogLine(
        entry.number(),
        entry.at(),
        entry.name(),
        entry.origin(),
        deed.kind(),
        deed.about(),
        deed.what(),
        deed.before(),
        deed.after());
  }
}
