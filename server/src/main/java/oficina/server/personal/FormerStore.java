package oficina.server.personal;

import static oficina.server.personal.Trace.gone;
import static oficina.server.personal.Trace.nameless;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import oficina.core.call.Owner;
import oficina.core.people.PersonId;
import oficina.core.people.Words;
import oficina.server.keeping.SoundStore;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/**
 * Everything that is known of an employee who has left. What was theirs goes; in what is others'
 * they stay as somebody without a name.
 */
@Repository
class FormerStore {
  private static final List<Trace> TRACES =
      List.of(
          gone("entries", "history", "person_id = :person"),
          gone("notes", "call_note", "person_id = :person"),
          gone("followUps", "follow_up", "assignee = :person or made_by = :person"),
          gone("messages", "message", "mailbox = :key"),
          gone("recordings", "recording", "owner = :person"),
          gone("greetings", "greeting", "mailbox = :key"),
          gone(
              "cardsBefore",
              "contact_change",
              "contact_id in (select id from contact where owner = :person)"),
          gone("cards", "contact", "owner = :person"),
          gone("speedDials", "speed_dial", "person_id = :person or (kind = 'PERSON' and of = :id)"),
          gone("phrases", "stock_phrase", "person_id = :person"),
          gone("attempts", "block_attempt", "person_id = :person or called = :key"),
          gone("blocks", "block", "person_id = :person"),
          gone("rules", "call_rules", "owner_key = :key"),
          gone("toReturn", "to_return", "list = :key or caller = :key"),
          gone("toReturn", "call_return", "person_id = :person or caller = :key"),
          gone("phones", "phone_keys", "person_id = :person"),
          gone("phones", "phone_secret", "owner_id = :person"),
          gone("phones", "device_choice", "person_id = :person"),
          gone("signIns", "sign_in", "person_id = :person"),
          gone("signIns", "known_browser", "person_id = :person"),
          gone("signIns", "recovery_code", "person_id = :person"),
          gone("signIns", "second_factor", "person_id = :person"),
          gone("signIns", "passkey", "person_id = :person"),
          gone("signIns", "provider_subject", "person_id = :person"),
          gone("signIns", "password_link", "person_id = :person"),
          gone("signIns", "failed_sign_in", "person_id = :person"),
          nameless(
              "person",
              "person",
              "id = :person",
              "name = '', mail = '', site = '', outside_phone = null, pin_hash = null,"
                  + " hidden_slots = '', sign_in_name = concat('-', id)"));

  /** Rows that hang on others, and go before them. */
  private static final List<Trace> BEFORE =
      List.of(
          gone("", "message_word", "mailbox = :key"),
          gone(
              "",
              "contact_picture",
              "contact_id in (select id from contact where owner = :person)"),
          gone(
              "",
              "contact_group",
              "person_id = :person or contact_id in (select id from contact where owner = :person)"),
          gone(
              "",
              "contact_chosen",
              "person_id = :person or contact_id in (select id from contact where owner = :person)"),
          gone("", "colleague_group", "person_id = :person or colleague_id = :person"),
          gone("", "recording_share", "person = :person"),
          gone("", "history_search_word", "person_id = :person"),
          gone("", "history_search", "person_id = :person"),
          // By their name nobody finds them any more, in entries and messages of others.
          gone(
              "",
              "history_search_word",
              "word in (:words) and search_id in"
                  + " (select search_id from history where other_key = :key)"),
          gone(
              "",
              "message_word",
              "word in (:words) and message_id in (select id from message where caller like :like)"));

  private final TraceStore traces;
  private final SoundStore sounds;

  FormerStore(TraceStore traces, SoundStore sounds) {
    this.traces = traces;
    this.sounds = sounds;
  }

  List<Trace> traces() {
    return TRACES;
  }

  /** What the traces of somebody are found by. */
  Map<String, Object> about(PersonId person, String name) {
    Map<String, Object> about = new HashMap<>();
    about.put("person", person.value());
    about.put("id", person.toString());
    about.put("key", Owner.key(person));
    about.put("like", "%\"is\":\"Employee\",\"id\":{\"value\":" + person + "}%");
    List<String> words = new ArrayList<>(Words.of(name));
    words.add("-"); // a list in SQL is never empty
    about.put("words", words);
    return about;
  }

  Map<String, Long> count(Map<String, Object> about) {
    return traces.count(TRACES, about);
  }

  /** All of it with the sound, unless somebody else has a copy; or nothing. Says how many. */
  @Transactional
  public Map<String, Long> erase(Map<String, Object> about) {
    List<Long> heard =
        new ArrayList<>(
            traces.column("select sound_id from message where mailbox = :key", about, Long.class));
    heard.addAll(
        traces.column("select sound_id from recording where owner = :person", about, Long.class));
    traces.erase(BEFORE, about);
    withoutName(about);
    Map<String, Long> counts = traces.erase(TRACES, about);
    sounds.forget(heard);
    return counts;
  }

  /** Entries of others are found by all their words but the name. */
  private void withoutName(Map<String, Object> about) {
    List<?> name = (List<?>) about.get("words");
    for (long id :
        traces.column(
            "select distinct search_id from history where other_key = :key", about, Long.class)) {
      String words =
          traces
              .column(
                  "select words from history_search where id = :search",
                  Map.of("search", id),
                  String.class)
              .stream()
              .flatMap(all -> Stream.of(all.split(" ")))
              .filter(word -> !name.contains(word))
              .collect(Collectors.joining(" "));
      traces.erase(
          List.of(nameless("", "history_search", "id = :search", "words = :left")),
          Map.of("search", id, "left", words));
    }
  }
}
