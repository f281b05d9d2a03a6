package oficina.server.history;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedSet;
import oficina.core.call.Party;
import oficina.core.history.Part;
import oficina.core.history.SearchWords;
import oficina.core.people.PersonId;
import oficina.core.people.Words;
import oficina.server.database.JournalDatabase;
import oficina.server.database.Times;
import oficina.server.people.Parties;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/**
 * By which words entries of the history are found. One person's entries of one kind that are found
 * by the same words share what is written here; there are far fewer of these than entries.
 */
@Repository
class HistorySearchStore {
  /** Words that find more than this are looked for in the entries themselves. */
  private static final int MOST_LOOKED_UP = 500;

  /** So few need no other word that finds fewer. */
  private static final int FEW = 100;

  private static final int HEX_DIGITS_OF_AN_IDENTITY = 15;

  private final JdbcTemplate batch;
  private final JdbcClient inJournal;
  private final JdbcClient jdbc;
  private final Parties parties;

  HistorySearchStore(JournalDatabase journal, JdbcClient jdbc, Parties parties) {
    this.batch = journal.jdbc();
    this.inJournal = JdbcClient.create(batch);
    this.jdbc = jdbc;
    this.parties = parties;
  }

  /**
   * What an entry is found by.
   *
   * @param id the same for the same words, kind and person
   */
  record Sought(long id, PersonId person, Kind kind, SortedSet<String> words) {}

  Sought of(Part part) {
    List<@Nullable String> texts = new ArrayList<>(texts(part.other()));
    if (part.line() != null) {
      texts.addAll(texts(part.line()));
    }
    SortedSet<String> words = SearchWords.of(texts);
    Kind kind = Kind.of(part);
    return new Sought(
        identity(part.person() + "|" + kind + "|" + words), part.person(), kind, words);
  }

  private List<@Nullable String> texts(Party party) {
    return Arrays.asList(
        parties.name(party), parties.number(party), parties.dial(party), parties.place(party));
  }

  private static long identity(String of) {
    try {
      byte[] hash =
          MessageDigest.getInstance("SHA-256").digest(of.getBytes(StandardCharsets.UTF_8));
      return Long.parseLong(
          HexFormat.of().formatHex(hash).substring(0, HEX_DIGITS_OF_AN_IDENTITY), 16);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e); // every Java has it
    }
  }

  /**
   * Keeps what these entries are found by.
   *
   * @param began when the last of the entries with it began
   */
  void write(Map<Sought, Instant> began) {
    Set<Long> known = new HashSet<>(known(began.keySet().stream().map(Sought::id).toList()));
    List<Object> rows = new ArrayList<>();
    List<Object[]> words = new ArrayList<>();
    began.forEach(
        (sought, last) -> {
          rows.addAll(
              List.of(
                  sought.id(),
                  sought.person().value(),
                  sought.kind().name(),
                  last,
                  String.join(" ", sought.words())));
          if (!known.contains(sought.id())) {
            sought
                .words()
                .forEach(
                    word -> words.add(new Object[] {sought.id(), word, sought.person().value()}));
          }
        });
    batch.update(
        "insert into history_search (id, person_id, kind, last, words) values "
            + String.join(", ", Collections.nCopies(began.size(), "(?, ?, ?, ?, ?)"))
            + " on duplicate key update last = greatest(last, values(last))",
        rows.toArray());
    if (!words.isEmpty()) {
      batch.batchUpdate(
          "insert ignore into history_search_word (search_id, word, person_id) values (?, ?, ?)",
          words);
    }
  }

  /** Locked, so that none of them goes before it is written that there is one more. */
  private List<Long> known(Collection<Long> ids) {
    return inJournal
        .sql("select id from history_search where id in (:ids) for update")
        .param("ids", ids)
        .query(Long.class)
        .list();
  }

  /**
   * What of these kinds is found by all words, with the time of its last entry; null when each word
   * finds too much for that.
   */
  @Nullable Map<Long, Instant> find(PersonId person, Collection<Kind> kinds, List<String> words) {
    List<Long> fewest = null;
    for (String word : words) {
      List<Long> found = foundBy(person, word);
      if (found.size() < MOST_LOOKED_UP && (fewest == null || found.size() < fewest.size())) {
        fewest = found;
      }
      if (found.size() < FEW) {
        break;
      }
    }
    if (fewest == null) {
      return null;
    }
    Map<Long, Instant> last = new LinkedHashMap<>();
    if (!fewest.isEmpty()) {
      jdbc.sql("select id, last, words from history_search where id in (:ids) and kind in (:kinds)")
          .param("ids", fewest)
          .param("kinds", kinds.stream().map(Kind::name).toList())
          .query(
              row -> {
                if (SearchWords.finds(words, words(row.getString("words")))) {
                  Instant began = Times.instant(row.getObject("last", LocalDateTime.class));
                  last.put(row.getLong("id"), began);
                }
              });
    }
    return last;
  }

  /** The words of a search row as they are stored beside each other, the oldest with accents. */
  static Set<String> words(String stored) {
    boolean plain = stored.chars().allMatch(c -> c < 128);
    return Set.copyOf(plain ? Arrays.asList(stored.split(" ")) : Words.of(stored));
  }

  private List<Long> foundBy(PersonId person, String word) {
    return jdbc.sql(
            """
            select distinct search_id from history_search_word
            where person_id = ? and word like ? limit ?
            """)
        .params(person.value(), beginning(word), MOST_LOOKED_UP)
        .query(Long.class)
        .list();
  }

  /** What a word is compared with. Words have neither of the signs that mean something here. */
  private static String beginning(String word) {
    return word + "%";
  }
}
