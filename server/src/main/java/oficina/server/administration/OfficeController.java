package oficina.server.administration;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import oficina.core.numbers.NumberRange;
import oficina.core.numbers.PhoneNumber;
import oficina.core.numbers.Region;
import oficina.core.office.Claims;
import oficina.core.office.Missing;
import oficina.core.office.Office;
import oficina.core.office.Settings;
import oficina.core.people.GroupId;
import oficina.server.office.OfficeData;
import oficina.server.office.OfficeStore;
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What the office is called, where it is, and by which numbers it is reached. */
@RestController
@RequestMapping("/api/office/identity")
class OfficeController {
  private static final int MOST_RANGES = 50;
  private static final int FREE_SHOWN = 20;

  /** More than an office has people and lines. */
  private static final int LARGEST_RANGE = 10_000;

  private final OfficeData office;
  private final OfficeStore store;

  OfficeController(OfficeData office, OfficeStore store) {
    this.office = office;
    this.store = store;
  }

  /**
   * The office.
   *
   * @param region country whose numbering it dials by (ISO 3166-1 alpha-2)
   * @param zone of its clocks, as in the IANA database
   * @param mainNumber by which it is known; empty when it has none
   * @param ranges public numbers it has been given besides, as people here write them; none when it
   *     has not said
   * @param accessCode digit that used to be dialled for an outside line; empty for none
   * @param outsideLines how many calls with outsiders there can be at once
   * @param frontDesk line that gets calls nobody else took; absent for none
   * @param voicemailExtension where people listen to their messages; empty for nowhere
   * @param voicemailNumber the public number of that; empty when it has none
   */
  record OfficeIdentity(
      @NotNull @Size(max = 80) String name,
      @NotNull @Pattern(regexp = "[A-Z]{2}") String region,
      @NotNull @Size(max = 60) String zone,
      @NotNull @Size(max = 40) String mainNumber,
      @NotNull @Size(max = MOST_RANGES) List<@NotNull @Size(min = 1, max = 80) String> ranges,
      @NotNull @Pattern(regexp = "[0-9]?") String accessCode,
      @Min(1) @Max(9999) int outsideLines,
      @Schema(nullable = true) @Nullable Long frontDesk,
      @NotNull @Pattern(regexp = "([0-9]{2,6})?") String voicemailExtension,
      @NotNull @Size(max = 40) String voicemailNumber) {}

  /**
   * The office, and what it has not said yet.
   *
   * @param version is given back by whoever changes it
   * @param free numbers of the ranges that are nobody's yet, the first of them
   * @param freeCount how many there are of those
   * @param regions countries to choose from
   * @param zones to choose from
   */
  record OfficeRegister(
      OfficeIdentity identity,
      int version,
      List<Missing> missing,
      List<String> free,
      long freeCount,
      List<String> regions,
      List<String> zones) {}

  /** The office as it is now. */
  @GetMapping
  OfficeRegister now() {
    OfficeIdentity identity = identity();
    return new OfficeRegister(
        identity,
        Shown.version(identity),
        Missing.of(office.now()),
        new Claims(office.now()).free().limit(FREE_SHOWN).map(this::shown).toList(),
        new Claims(office.now()).freeCount(),
        Region.all(),
        ZoneId.getAvailableZoneIds().stream().filter(zone -> zone.contains("/")).sorted().toList());
  }

  private OfficeIdentity identity() {
    Office now = office.now();
    Long frontDesk = now.settings().frontDesk() == null ? null : now.settings().frontDesk().value();
    String readOut = now.settings().voicemail().extension();
    return new OfficeIdentity(
        now.identity().name(),
        now.identity().region().code(),
        now.identity().zone().getId(),
        shown(now.identity().mainNumber()),
        now.identity().ranges().stream().map(this::shown).toList(),
        now.identity().accessCode(),
        now.settings().limits().outsideLines(),
        frontDesk,
        readOut == null ? "" : readOut,
        shown(now.settings().voicemail().number()));
  }

  private String shown(NumberRange range) {
    return range.size() == 1
        ? shown(range.first())
        : shown(range.first()) + " – " + shown(range.last());
  }

  private String shown(@Nullable PhoneNumber number) {
    return number == null ? "" : office.region().show(number);
  }

  /**
   * Change it.
   *
   * @param version of what was shown before; absent to replace whatever there is
   */
  @PutMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void change(
      @RequestParam(required = false) @Nullable Integer version,
      @Valid @RequestBody OfficeIdentity body) {
    check(body);
    Region region = new Region(body.region());
    List<NumberRange> ranges =
        body.ranges().stream().map(each -> range(region, each)).distinct().toList();
    PhoneNumber main = Given.number(region, body.mainNumber());
    PhoneNumber voicemail = Given.number(region, body.voicemailNumber());
    String readOut = body.voicemailExtension();
    office.change(
        () -> {
          Shown.check(version, identity());
          Office.Identity was = office.now().identity();
          refuseTaken(
              office
                  .now()
                  .with(
                      new Office.Identity(
                          was.name(), main, was.zone(), region, was.accessCode(), ranges)),
              readOut,
              voicemail);
          store.set("office-name", body.name().strip());
          store.set("region", body.region());
          store.set("zone", body.zone());
          store.set("access-code", body.accessCode());
          store.set("outside-lines", Integer.toString(body.outsideLines()));
          store.setOrForget("main-number", main == null ? null : main.e164());
          store.set(
              "number-ranges",
              ranges.stream().map(NumberRange::toString).collect(Collectors.joining(" ")));
          store.setOrForget(
              "front-desk", body.frontDesk() == null ? null : body.frontDesk().toString());
          store.setOrForget("voicemail-extension", readOut.isEmpty() ? null : readOut);
          store.setOrForget("voicemail-number", voicemail == null ? null : voicemail.e164());
        });
  }

  /** What messages are read out at belongs to nobody else. */
  private void refuseTaken(Office then, String extension, @Nullable PhoneNumber number) {
    Settings.Voicemail before = office.settings().voicemail();
    Given given = new Given(then);
    if (!extension.isEmpty() && !extension.equals(before.extension())) {
      given.extension(extension, null);
    }
    if (number != null && !number.equals(before.number())) {
      given.number(number.e164(), null);
    }
  }

  private static NumberRange range(Region region, String typed) {
    NumberRange range = NumberRange.of(region, typed);
    if (range == null || range.size() > LARGEST_RANGE) {
      throw problem("RANGE_UNREADABLE", typed.strip());
    }
    return range;
  }

  private void check(OfficeIdentity body) {
    if (!Region.all().contains(body.region())) {
      throw problem("NO_SUCH_REGION", body.region());
    }
    if (!ZoneId.getAvailableZoneIds().contains(body.zone())) {
      throw problem("NO_SUCH_ZONE", body.zone());
    }
    if (body.frontDesk() != null
        && office.directory().group(new GroupId(body.frontDesk())).isEmpty()) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_LINE");
    }
  }

  private static Problem problem(String code, String text) {
    return new Problem(HttpStatus.UNPROCESSABLE_CONTENT, code, Map.of("text", text));
  }
}
