package oficina.server.voicemail;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The words by which messages are found, for certain mailboxes. */
@Repository
class MessageWordStore {
  /** So many are asked for one by one; more are looked through in their order. */
  private static final int FEW = 500;

  /** Joined to a query of messages for each word that is left: the beginning of one of theirs. */
  static final String HAS_WORD =
      " and exists (select 1 from message_word w where w.message_id = message.id and w.word like ?)";

  private final JdbcClient jdbc;

  MessageWordStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** From now on the message is found by these too. */
  void keep(long id, String mailbox, Collection<String> words) {
    if (words.isEmpty()) {
      return;
    }
    List<Object> values = new ArrayList<>();
    words.forEach(word -> values.addAll(List.of(mailbox, word, id)));
    jdbc.sql(
            "insert ignore into message_word (mailbox, word, message_id) values "
                + String.join(", ", Collections.nCopies(words.size(), "(?, ?, ?)")))
        .params(values)
        .update();
  }

  /** A copy is found by what the original is found by. */
  void copy(long id, long copy, String mailbox) {
    jdbc.sql(
            """
            insert ignore into message_word (mailbox, word, message_id)
            select ?, word, ? from message_word where message_id = ?
            """)
        .params(mailbox, copy, id)
        .update();
  }

  /** Nothing is found by these messages any more. */
  void forget(Collection<Long> ids) {
    jdbc.sql("delete from message_word where message_id in (:ids)").param("ids", ids).update();
  }

  /** What a word is compared with. Words have neither of the signs that mean something here. */
  static String beginning(String word) {
    return word + "%";
  }

  /**
   * The messages that have the first of these words that few have, and takes it out of them; null
   * when each finds too much for that.
   */
  @Nullable Set<Long> few(Collection<String> mailboxes, List<String> words) {
    for (String word : List.copyOf(words)) {
      List<Long> found =
          jdbc.sql(
                  """
                  select distinct message_id from message_word
                  where mailbox in (:mailboxes) and word like :beginning limit :most
                  """)
              .param("mailboxes", mailboxes)
              .param("beginning", beginning(word))
              .param("most", FEW + 1)
              .query(Long.class)
              .list();
      if (found.size() <= FEW) {
        words.remove(word);
        return new HashSet<>(found);
      }
    }
    return null;
  }
}
