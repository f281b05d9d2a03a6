package oficina.server.rules;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import oficina.core.rules.Opening;
import oficina.server.office.DirectionsStore;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
import oficina.server.rules.RulesBody.Hours;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import oficina.server.uploads.Uploads;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** When the office is open, and its holidays. */
@RestController
class OpeningController {
  private static final int MOST_HOLIDAYS = 400;

  private final Uploads uploads;
  private final OfficeData office;
  private final DirectionsStore store;
  private final Topics topics;

  OpeningController(Uploads uploads, OfficeData office, DirectionsStore store, Topics topics) {
    this.uploads = uploads;
    this.office = office;
    this.store = store;
    this.topics = topics;
  }

  record Holiday(@NotNull LocalDate day, @NotNull @Size(max = 120) String name) {}

  /**
   * @param hours of the week; absent when it is never closed
   * @param showsCaller whether an outside number to which a call is forwarded is shown the number
   *     of whoever called, instead of one of the office
   */
  record OpeningBody(
      @Schema(nullable = true) @Nullable @Valid Hours hours,
      @NotNull @Size(max = MOST_HOLIDAYS) List<@NotNull @Valid Holiday> holidays,
      boolean showsCaller) {}

  /** When the office is open. */
  @GetMapping("/api/opening")
  OpeningBody opening() {
    Opening opening = office.now().directions().opening();
    return new OpeningBody(
        Hours.of(opening.hours()),
        opening.holidays().entrySet().stream()
            .sorted(Map.Entry.comparingByKey())
            .map(each -> new Holiday(each.getKey(), each.getValue()))
            .toList(),
        office.now().directions().showsCaller());
  }

  /** Say when the office is open. For administrators. */
  @PutMapping("/api/office/opening")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void keep(@Valid @RequestBody OpeningBody body) {
    Map<LocalDate, String> holidays = new HashMap<>();
    body.holidays().forEach(each -> holidays.put(each.day(), each.name().strip()));
    office.change(
        () -> {
          store.keepHours(Hours.timetable(body.hours()), body.showsCaller());
          store.keepHolidays(holidays);
        });
    topics.tellAll(Topic.RULES);
  }

  record ReadHolidays(int added) {}

  /** Add the days of a calendar (RFC 5545) to the office's holidays. For administrators. */
  @PutMapping(path = "/api/office/holidays", consumes = "text/calendar")
  ReadHolidays read(@AuthenticationPrincipal Employee me, HttpServletRequest request)
      throws IOException {
    Map<LocalDate, String> read = uploads.read(me.id(), request, HolidayFile::read);
    if (read.isEmpty()) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "CALENDAR_WITHOUT_DAYS");
    }
    Map<LocalDate, String> all = new HashMap<>(office.now().directions().opening().holidays());
    all.putAll(read);
    if (all.size() > MOST_HOLIDAYS) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "TOO_MANY_HOLIDAYS",
          Map.of("limit", Integer.toString(MOST_HOLIDAYS)));
    }
    office.change(() -> store.keepHolidays(all));
    topics.tellAll(Topic.RULES);
    return new ReadHolidays(read.size());
  }
}
