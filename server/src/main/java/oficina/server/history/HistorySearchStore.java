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
import oficina.server.database.JournalDatabase;
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
          rows.addAll(List.of(sought.id(), sought.person().value(), sought.kind().name(), last));
          if (!known.contains(sought.id())) {
            sought
                .words()
                .forEach(
                    word -> words.add(new Object[] {sought.id(), word, sought.person().value()}));
          }
        });
    batch.update(
        "insert into history_search (id, person_id, kind, last) values "
            + String.join(", ", Collections.nCopies(began.size(), "(?, ?, ?, ?)"))
            + " on duplicate key update last = greatest(last, values(last))",
        rows.toArray());
    if (!words.isEmpty()) {
      batch.batchUpdate(
          "insert ignore into history_search_word (search_id, word, person_id) values (?, ?, ?)",
          words);
    }
  }

  private List<Long> known(Collection<Long> ids) {
    return inJournal
        .sql("select id from history_search where id in (:ids)")
        .param("ids", ids)
        .query(Long.class)
        .list();
  }

  /** How many of a person's search rows a word finds, counted no further than this. */
  private int hits(PersonId person, String word, int most) {
    return jdbc.sql(
            """
            select count(*) from (
              select 1 from history_search_word where person_id = ? and word like ? limit ?) found
            """)
        .params(person.value(), beginning(word), most)
        .query(Integer.class)
        .single();
  }

  /**
   * What of these kinds is found by all words, with the time of its last entry; null when it is
   * more than can be looked up one by one.
   */
  @Nullable Map<Long, Instant> find(
      PersonId person, Collection<Kind> kinds, List<String> words, int most) {
    String rarest = null;
    int fewest = Integer.MAX_VALUE;
    for (String word : words) {
      int hits = hits(person, word, most);
      if (hits < fewest) {
        fewest = hits;
        rarest = word;
      }
    }
    if (fewest >= most) {
      return null;
    }
    String first = rarest;
    List<String> others = words.stream().filter(word -> !word.equals(first)).toList();
    Map<Long, Instant> found = new LinkedHashMap<>();
    JdbcClient.StatementSpec query =
        jdbc.sql(
                """
                select distinct s.id, s.last from history_search_word w
                join history_search s on s.id = w.search_id
                where w.person_id = :person and w.word like :word and s.kind in (:kinds)
                """
                    + alsoFoundBy("s.id", others.size()))
            .param("person", person.value())
            .param("word", beginning(first))
            .param("kinds", kinds.stream().map(Kind::name).toList());
    for (int i = 0; i < others.size(); i++) {
      query = query.param("word" + i, beginning(others.get(i)));
    }
    query.query(
        row -> {
          found.put(row.getLong("id"), Times.instant(row.getObject("last", LocalDateTime.class)));
        });
    return found;
  }

  /** A condition that as many words, {@code :word0} and so on, begin words of this search row. */
  static String alsoFoundBy(String id, int words) {
    StringBuilder condition = new StringBuilder();
    for (int i = 0; i < words; i++) {
      condition.append(
          " and exists (select 1 from history_search_word w%d where w%d.search_id = %s and w%d.word like :word%d)"
              .formatted(i, i, id, i, i));
    }
    return condition.toString();
  }

  /** What a word is compared with. Words have neither of the signs that mean something here. */
  static String beginning(String word) {
    return word + "%";
  }
}
