package oficina.server.office;

import java.time.Duration;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import oficina.core.numbers.NumberRange;
import oficina.core.numbers.PhoneNumber;
import oficina.core.numbers.Region;
import oficina.core.office.Barring;
import oficina.core.office.Office;
import oficina.core.office.ParkSlot;
import oficina.core.office.Settings;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/** What the office has set, as it stands in the database by name. */
record StoredSettings(Map<String, String> set) {

  /** What is set, and for the rest what usually applies. */
  static Settings of(Map<String, String> set, List<ParkSlot> slots) {
    return new StoredSettings(set).settings(slots);
  }

  /** What the office is known by. */
  static Office.Identity identity(Map<String, String> set) {
    String mainNumber = set.get("main-number");
    return new Office.Identity(
        set.getOrDefault("office-name", ""),
        mainNumber == null ? null : new PhoneNumber(mainNumber),
        ZoneId.of(set.getOrDefault("zone", "UTC")),
        new Region(set.getOrDefault("region", "GB")),
        set.getOrDefault("access-code", ""),
        new StoredSettings(set).listed("number-ranges").map(NumberRange::parse).toList());
  }

  private Settings settings(List<ParkSlot> slots) {
    Settings usual = Settings.DEFAULT;
    String frontDesk = set.get("front-desk");
    String voicemailNumber = set.get("voicemail-number");
    return new Settings(
        new Settings.Limits(
            number("outside-lines", usual.limits().outsideLines()),
            number("calls-in-hand", usual.limits().callsInHand()),
            number("conference-limit", usual.limits().conferenceParties())),
        new Settings.Times(
            seconds("network-patience", usual.times().networkPatience()),
            seconds("hold-reminder", usual.times().holdReminder()),
            seconds("tone-time", usual.times().tone()),
            seconds("call-back-lasts", usual.times().callBack()),
            seconds("unattended", usual.times().unattended())),
        new Settings.Parking(slots, seconds("park-come-back", usual.parking().comeBack())),
        new Settings.Voicemail(
            seconds("longest-message", usual.voicemail().longest()),
            Settings.Unanswered.valueOf(
                set.getOrDefault("unanswered", usual.voicemail().unanswered().name())),
            set.get("voicemail-extension"),
            voicemailNumber == null ? null : new PhoneNumber(voicemailNumber)),
        recording(usual.recording()),
        new Settings.Keeping(days("history"), days("messages"), days("notes"), days("log")),
        frontDesk == null ? null : new GroupId(Long.parseLong(frontDesk)),
        Settings.PickUp.valueOf(set.getOrDefault("pick-up", usual.pickUp().name())),
        new Barring(
            listed("barred-numbers").toList(),
            listed("barred-exempt")
                .map(id -> new PersonId(Long.parseLong(id)))
                .collect(Collectors.toSet())));
  }

  private Settings.Recording recording(Settings.Recording usual) {
    return new Settings.Recording(
        Settings.Policy.valueOf(set.getOrDefault("recording", usual.policy().name())),
        Settings.Announced.valueOf(
            set.getOrDefault("recording-announced", usual.announced().name())),
        flag("recording-emergencies", usual.emergencies()),
        Duration.ofDays(number("recordings-kept-days", (int) usual.kept().toDays())),
        flag("recordings-may-be-removed", usual.mayDelete()),
        flag("recordings-may-be-kept", usual.mayKeep()));
  }

  /** How recording is set, as it stands in the database. */
  static Map<String, String> stored(Settings.Recording recording) {
    return Map.of(
        "recording", recording.policy().name(),
        "recording-announced", recording.announced().name(),
        "recording-emergencies", Boolean.toString(recording.emergencies()),
        "recordings-kept-days", Long.toString(recording.kept().toDays()),
        "recordings-may-be-removed", Boolean.toString(recording.mayDelete()),
        "recordings-may-be-kept", Boolean.toString(recording.mayKeep()));
  }

  private Stream<String> listed(String name) {
    return Stream.of(set.getOrDefault(name, "").split(" ")).filter(each -> !each.isEmpty());
  }

  /** How calls are handled, as it stands in the database. */
  static Map<String, String> stored(Settings settings) {
    Settings.Times times = settings.times();
    return Map.ofEntries(
        Map.entry("pick-up", settings.pickUp().name()),
        Map.entry("unanswered", settings.voicemail().unanswered().name()),
        Map.entry("network-patience", seconds(times.networkPatience())),
        Map.entry("hold-reminder", seconds(times.holdReminder())),
        Map.entry("call-back-lasts", seconds(times.callBack())),
        Map.entry("park-come-back", seconds(settings.parking().comeBack())),
        Map.entry("longest-message", seconds(settings.voicemail().longest())),
        Map.entry("calls-in-hand", Integer.toString(settings.limits().callsInHand())),
        Map.entry("conference-limit", Integer.toString(settings.limits().conferenceParties())),
        Map.entry("barred-numbers", String.join(" ", settings.barring().beginnings())),
        Map.entry(
            "barred-exempt",
            settings.barring().exempt().stream()
                .map(PersonId::toString)
                .sorted()
                .collect(Collectors.joining(" "))));
  }

  private static String seconds(Duration time) {
    return Long.toString(time.toSeconds());
  }

  private @Nullable Duration days(String kept) {
    String days = set.get(keptDays(kept));
    return days == null ? null : Duration.ofDays(Long.parseLong(days));
  }

  /** The name of the setting that says for how many days something is kept. */
  private static String keptDays(String kept) {
    return kept + "-kept-days";
  }

  /** How long things are kept, as it stands in the database; null for what has no end. */
  static Map<String, @Nullable String> stored(Settings.Keeping keeping) {
    Map<String, @Nullable String> stored = new HashMap<>();
    for (Settings.Kept each : Settings.Kept.values()) {
      Duration kept = keeping.of(each);
      stored.put(
          keptDays(each.name().toLowerCase(Locale.ROOT)),
          kept == null ? null : Long.toString(kept.toDays()));
    }
    return stored;
  }

  private boolean flag(String name, boolean usual) {
    return set.containsKey(name) ? Boolean.parseBoolean(set.get(name)) : usual;
  }

  private int number(String name, int usual) {
    return set.containsKey(name) ? Integer.parseInt(set.get(name)) : usual;
  }

  private Duration seconds(String name, Duration usual) {
    return Duration.ofSeconds(number(name, (int) usual.toSeconds()));
  }
}
