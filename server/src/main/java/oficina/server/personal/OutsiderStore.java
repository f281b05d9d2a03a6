package oficina.server.personal;

import static oficina.server.personal.Trace.gone;
import static oficina.server.personal.Trace.nameless;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import oficina.server.journal.JournalStore;
import oficina.server.keeping.SoundStore;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Everything that is known of one number outside. */
@Repository
class OutsiderStore {
  /** As a party of whom nothing is known any more. */
  private static final String NAMELESS = "'{\"is\":\"Outside\",\"number\":null}'";

  private static final String WITHOUT_NUMBER = "replace(body, :party, '\"number\":null')";

  private static final List<Trace> TRACES =
      List.of(
          gone("cardsBefore", "contact_change", "before_it like :like or contact_id in (:cards)"),
          gone("cards", "contact", "id in (:cards)"),
          gone("entries", "history", "other_key = :number"),
          gone("courses", "call_course", "call_id in (:calls)"),
          gone("notes", "call_note", "other_key = :number or call_id in (:calls)"),
          gone("followUps", "follow_up", "other_key = :number or call_id in (:calls)"),
          gone("messages", "message", "caller like :like"),
          gone("recordings", "recording", "other like :like or call_id in (:calls)"),
          nameless("recordingLog", "recording_log", "other like :like", "other = " + NAMELESS),
          nameless("waits", "queue_wait", "number = :number", "number = null"),
          nameless("queueLog", "queue_log", "caller = :number", "caller = null"),
          gone("attempts", "block_attempt", "number = :number"),
          gone("toReturn", "to_return", "caller = :number"),
          gone("toReturn", "call_return", "caller = :number"),
          gone("events", "journal", "subject in (:calls)"),
          gone(
              "speedDials", "speed_dial", "of = :number or (kind = 'CONTACT' and of in (:cards))"));

  /** What others have decided, and goes on counting. */
  private static final List<Trace> STAYING =
      List.of(
          gone("blocks", "block", "number = :number"),
          gone("rules", "call_rules", "body like :like"),
          gone("phones", "person", "outside_phone = :number and not has_left"));

  /** Rows that hang on others, and go before them. */
  private static final List<Trace> BEFORE =
      List.of(
          gone("", "contact_picture", "contact_id in (:cards)"),
          gone("", "contact_group", "contact_id in (:cards)"),
          gone("", "contact_chosen", "contact_id in (:cards) or call_id in (:calls)"),
          gone("", "message_word", "message_id in (:taken)"));

  /** What is left of them in entries of others, and by what entries were found that are gone. */
  private static final List<Trace> AFTER =
      List.of(
          nameless("", "history", "body like :like", "body = " + WITHOUT_NUMBER),
          gone(
              "", "history_search", "id in (:found) and id not in (select search_id from history)"),
          gone(
              "",
              "history_search_word",
              "search_id in (:found) and search_id not in (select id from history_search)"));

  /** A list in SQL is never empty. */
  private static final List<Long> NONE = List.of(-1L);

  private final TraceStore traces;
  private final SoundStore sounds;

  OutsiderStore(TraceStore traces, SoundStore sounds) {
    this.traces = traces;
    this.sounds = sounds;
  }

  List<Trace> traces() {
    return TRACES;
  }

  /**
   * What the traces of a number are found by.
   *
   * @param number in E.164; anything else for nobody's
   * @param cards of contacts that are meant besides those with this number
   */
  Map<String, Object> about(String number, List<Long> cards) {
    Map<String, Object> about = new HashMap<>();
    about.put("number", number);
    about.put("like", "%\"" + number + "\"%");
    about.put("party", "\"number\":{\"e164\":\"" + number + "\",\"short\":false}");
    Set<Long> all = new HashSet<>(cards);
    all.addAll(traces.column("select id from contact where card like :like", about, Long.class));
    about.put("cards", all.isEmpty() ? NONE : List.copyOf(all));
    about.put("calls", calls(about));
    return about;
  }

  /**
   * The calls in which they were: all that is known of these and not somebody else's entry goes.
   */
  private List<String> calls(Map<String, Object> about) {
    Set<String> calls = new HashSet<>();
    for (String sql :
        List.of(
            "select subject from journal where body like :like",
            "select call_id from history where other_key = :number",
            "select call_id from call_course where body like :like")) {
      calls.addAll(traces.column(sql, about, String.class));
    }
    calls.add("-");
    return List.copyOf(calls);
  }

  /** Whether a call that is up has to do with them, or came from one that had. */
  boolean isUp(Map<String, Object> about) {
    return !traces
        .column(
            JournalStore.UNENDED + "select subject from wanted where subject in (:calls)",
            about,
            String.class)
        .isEmpty();
  }

  Map<String, Long> count(Map<String, Object> about) {
    return traces.count(TRACES, about);
  }

  Map<String, Long> staying(Map<String, Object> about) {
    return traces.count(STAYING, about);
  }

  /** All of it with the sound, unless somebody else has a copy; or nothing. Says how many. */
  @Transactional
  public Map<String, Long> erase(Map<String, Object> of) {
    Map<String, Object> about = new HashMap<>(of);
    about.put("found", ids("select search_id from history where other_key = :number", of));
    about.put("taken", ids("select id from message where caller like :like", of));
    List<Long> heard =
        new ArrayList<>(ids("select sound_id from message where caller like :like", of));
    heard.addAll(
        ids("select sound_id from recording where other like :like or call_id in (:calls)", of));
    traces.erase(BEFORE, about);
    Map<String, Long> counts = traces.erase(TRACES, about);
    traces.erase(AFTER, about);
    sounds.forget(heard);
    return counts;
  }

  private List<Long> ids(String sql, Map<String, Object> about) {
    List<Long> ids = traces.column(sql, about, Long.class);
    return ids.isEmpty() ? NONE : ids;
  }
}
