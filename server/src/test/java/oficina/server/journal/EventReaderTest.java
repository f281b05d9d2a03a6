package oficina.server.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.ReachEvent;
import oficina.core.events.TalkEvent;
import oficina.core.history.Part;
import oficina.core.people.PersonId;
import oficina.core.routing.Way;
import oficina.server.json.CoreJson;
import org.junit.jupiter.api.Test;

/**
 * Every kind of event that was ever written is read by this version. Whoever raises a version adds
 * lines of it to {@code journal/events.txt} and never takes any away.
 */
class EventReaderTest {

  private static List<String> lines(String file) throws IOException {
    try (InputStream in = EventReaderTest.class.getResourceAsStream("/journal/" + file)) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8).lines().toList();
    }
  }

  private static List<StoredEvent> golden() throws IOException {
    List<StoredEvent> stored = new ArrayList<>();
    for (String line : lines("events.txt")) {
      String[] parts = line.split("\t");
      stored.add(
          new StoredEvent("line " + stored.size(), parts[0], Integer.parseInt(parts[1]), parts[2]));
    }
    return stored;
  }

  @Test
  void every_event_ever_written_is_read_and_written_anew_reads_the_same() throws IOException {
    List<ExchangeEvent> events = EventReader.read(golden());
    for (ExchangeEvent event : events) {
      assertThat(EventReader.read(List.of(StoredEvent.of(event)))).containsExactly(event);
    }
  }

  @Test
  void the_golden_file_has_every_kind_in_every_version() throws IOException {
    Set<EventKind> missing = EnumSet.allOf(EventKind.class);
    List<StoredEvent> golden = golden();
    missing.removeIf(
        kind ->
            golden.stream()
                    .filter(stored -> stored.kind().equals(kind.stored()))
                    .map(StoredEvent::version)
                    .distinct()
                    .count()
                == kind.version());
    assertThat(missing).isEmpty();
  }

  @Test
  void entries_of_the_history_ever_written_are_read() throws IOException {
    for (String body : lines("history-bodies.txt")) {
      Part part = CoreJson.PART.readValue(body);
      assertThat(CoreJson.JSON.readValue(CoreJson.JSON.writeValueAsString(part), Part.class))
          .isEqualTo(part);
    }
  }

  private static final String SENT_ON =
      "{\"call\":{\"value\":\"c\"},\"at\":\"2026-06-15T08:00:24Z\",\"sent\":{\"by\":{\"value\":3},"
          + "\"to\":{\"is\":\"%s},\"stage\":\"%s\",\"why\":null}}";

  private static List<Way.Reason> ways(String to, String stage) {
    StoredEvent stored = new StoredEvent("c", "SentOn", 1, String.format(SENT_ON, to, stage));
    ReachEvent.SentOn read = (ReachEvent.SentOn) EventReader.read(List.of(stored)).get(0);
    return read.ways().stream().map(Way::reason).toList();
  }

  @Test
  void a_call_sent_on_before_there_were_ways_goes_where_it_would_have_gone() {
    String tomasz = "Employee\",\"id\":{\"value\":5}";
    assertThat(ways(tomasz, "TO_TARGET")).containsExactly(Way.Reason.BACK, Way.Reason.FRONT_DESK);
    assertThat(ways(tomasz, "BACK")).containsExactly(Way.Reason.FRONT_DESK);
    assertThat(ways(tomasz, "FRONT_DESK")).isEmpty();
    assertThat(ways("Slot\",\"number\":\"61\"", "FRONT_DESK"))
        .startsWith(Way.Reason.WAITS_ON, Way.Reason.BACK, Way.Reason.FRONT_DESK);
  }

  private static final String BEGUN =
      "{\"call\":{\"value\":\"aside\"},\"at\":\"2026-06-15T08:00:00Z\",\"leg\":1,\"caller\":"
          + "{\"is\":\"Employee\",\"id\":{\"value\":1}},\"called\":{\"is\":\"Employee\",\"id\":"
          + "{\"value\":2}},\"device\":null,\"callerId\":{\"number\":null},\"afterAnswer\":\"\","
          + "\"announces\":{\"value\":\"room\"}}";

  @Test
  void a_word_aside_that_was_stored_like_an_announcement_is_told_apart() {
    StoredEvent begun = new StoredEvent("aside", "Originated", 1, BEGUN);
    StoredEvent brought =
        StoredEvent.of(
            new TalkEvent.Merged(
                new CallId("aside"),
                Instant.EPOCH,
                new CallId("room"),
                2,
                2,
                new PersonId(1),
                true));
    ReachEvent.Originated aside =
        (ReachEvent.Originated) EventReader.read(List.of(begun, brought)).get(0);
    assertThat(aside.announces()).isNull();
    assertThat(aside.asideOf()).isEqualTo(new CallId("room"));
    ReachEvent.Originated announcing =
        (ReachEvent.Originated) EventReader.read(List.of(begun)).get(0);
    assertThat(announcing.announces()).isEqualTo(new CallId("room"));
    assertThat(announcing.caller()).isEqualTo(new Party.Employee(new PersonId(1)));
  }

  @Test
  void what_a_later_version_has_written_is_refused_with_what_to_do() {
    assertThatThrownBy(
            () -> EventReader.read(List.of(new StoredEvent("c", "CallCleared", 99, "{}"))))
        .hasMessageContaining("later version");
    assertThatThrownBy(() -> EventReader.read(List.of(new StoredEvent("c", "Teleported", 1, "{}"))))
        .hasMessageContaining("Teleported");
  }
}
