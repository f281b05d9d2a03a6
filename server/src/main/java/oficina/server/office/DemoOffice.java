package oficina.server.office;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;
import oficina.core.call.Party;
import oficina.core.office.ParkSlot;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.queueing.Queue;
import oficina.core.rules.CallRules;
import oficina.server.OficinaProperties;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/** The invented office that a new database is filled with: Fennick Isles Ferries. */
@Component
public class DemoOffice {
  /** Numbers of teams are lower. */
  private static final long FIRST_QUEUE = 101;

  /** Everybody's password until they change it. */
  public static final String PASSWORD = "harbour-light";

  private static final CSVFormat CSV =
      CSVFormat.DEFAULT.builder().setHeader().setSkipHeaderRecord(true).setNullString("").get();

  private final OfficeStore store;
  private final DirectionsStore directions;
  private final int bookingsPort;
  private final PasswordEncoder passwords;

  DemoOffice(
      OfficeStore store,
      DirectionsStore directions,
      PasswordEncoder passwords,
      OficinaProperties properties) {
    bookingsPort = properties.bookingsPort();
    this.store = store;
    this.directions = directions;
    this.passwords = passwords;
  }

  /** The lines of a file that ships with the application. */
  public static List<CSVRecord> read(String file) {
    try (Reader reader =
        new InputStreamReader(
            DemoOffice.class.getResourceAsStream("/demo/" + file), StandardCharsets.UTF_8)) {
      return CSV.parse(reader).getRecords();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Adds all of it to an empty database. */
  void add() {
    store.set("office-name", "Fennick Isles Ferries");
    store.set("main-number", "+441914980100");
    store.set("region", "GB");
    store.set("zone", "Europe/London");
    store.set("access-code", "9");
    store.set("outside-lines", "8");
    store.set("front-desk", "1");
    store.set("voicemail-extension", "290");
    store.set("voicemail-number", "+441914980290");
    int slots = 0;
    for (CSVRecord slot : read("park-slots.csv")) {
      String label = Objects.requireNonNullElse(slot.get("label"), "");
      store.addParkSlot(++slots, new ParkSlot(slot.get("number"), label));
    }
    Map<String, Long> groups = new HashMap<>();
    for (CSVRecord team : read("teams.csv")) {
      long id = store.teamNamed(team.get("name"));
      if (team.get("extension") != null) {
        groups.put(team.get("name"), id);
        store.addGroup(id, team.get("name"), team.get("extension"), team.get("number"));
      }
    }
    String hash = passwords.encode(PASSWORD); // slow on purpose, so once for all of them
    int position = 0;
    Map<String, PersonId> ids = new HashMap<>();
    for (CSVRecord person : read("people.csv")) {
      String team = person.get("team");
      PersonId id = store.addPerson(employee(person, hash));
      ids.put(person.get("sign_in"), id);
      if (groups.containsKey(team)) {
        store.addMember(groups.get(team), id, ++position);
      }
    }
    read("people.csv").forEach(person -> delegates(person, ids));
    long line = FIRST_QUEUE;
    for (CSVRecord queue : read("queues.csv")) {
      queue(line++, queue, ids);
    }
  }

  /** A line that keeps callers, whose members belong to teams of their own besides. */
  private void queue(long id, CSVRecord queue, Map<String, PersonId> ids) {
    store.addGroup(id, queue.get("name"), queue.get("extension"), queue.get("number"));
    int position = 0;
    for (String member : queue.get("members").split(" ")) {
      store.addMember(id, ids.get(member), ++position);
    }
    Set<PersonId> leads = Set.of(ids.get(queue.get("leads")));
    directions.keep(new GroupId(id), asking(queue).ledBy(leads));
  }

  /** Whoever asks callers for a number asks the booking system what it knows of it. */
  private Queue asking(CSVRecord queue) {
    String asks = queue.get("asks");
    if (asks == null) {
      return Queue.DEFAULT;
    }
    Queue.Told told = Queue.DEFAULT.told();
    Queue.Question question = new Queue.Question(asks, Integer.parseInt(queue.get("digits")));
    String address =
        bookingsPort == 0
            ? ""
            : "http://127.0.0.1:%d/bookings?number={number}&booking={digits}"
                .formatted(bookingsPort);
    return Queue.DEFAULT
        .telling(new Queue.Told(told.place(), told.time(), told.every(), question))
        .showing(new Queue.Shown(List.of(Queue.Field.NOTE), address));
  }

  /** A meeting room is somebody whom a few may act for, at the telephone that stands in it. */
  private void delegates(CSVRecord person, Map<String, PersonId> ids) {
    String signIns = person.get("acted_for_by");
    if (signIns != null) {
      List<PersonId> delegates = Stream.of(signIns.split(" ")).map(ids::get).toList();
      directions.keep(
          new Party.Employee(ids.get(person.get("sign_in"))),
          new CallRules(List.of(), List.of(), null, delegates, false));
    }
  }

  private NewPerson employee(CSVRecord person, String hash) {
    String extension = person.get("extension");
    return new NewPerson(
        person.get("name"),
        person.get("sign_in"),
        hash,
        person.get("role"),
        extension,
        "+441914980" + extension,
        store.teamNamed(person.get("team")),
        person.get("site"),
        person.get("sign_in") + "@fennick-isles.example",
        person.get("mobile"),
        Boolean.parseBoolean(person.get("call_waiting")),
        StandIn.valueOf(person.get("stand_in")));
  }
}
