package oficina.server.voicemail;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import oficina.core.history.SearchWords;
import oficina.core.people.PersonId;
import oficina.server.database.Times;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What people do with the messages of their mailboxes. */
@Repository
public class MessageMarkStore {
  private final JdbcClient jdbc;
  private final MessageStore messages;
  private final MessageWordStore words;

  MessageMarkStore(JdbcClient jdbc, MessageStore messages, MessageWordStore words) {
    this.jdbc = jdbc;
    this.messages = messages;
    this.words = words;
  }

  /** Changes one message of these mailboxes and says whether there was one. */
  private boolean change(String set, long id, Collection<String> mine, List<?> values) {
    List<Object> all = new ArrayList<>(values);
    all.add(id);
    all.addAll(mine);
    return jdbc.sql(
                "update message set "
                    + set
                    + " where id = ? and removed_at is null and mailbox in ("
                    + String.join(", ", Collections.nCopies(mine.size(), "?"))
                    + ")")
            .params(all)
            .update()
        > 0;
  }

  /** The first who hears it counts. */
  public boolean heard(long id, Collection<String> mine, PersonId by, Instant at) {
    return change(
        "heard_by = coalesce(heard_by, ?), heard_at = coalesce(heard_at, ?)",
        id,
        mine,
        List.of(by.value(), Times.utc(at)));
  }

  /** It is new again. */
  boolean unheard(long id, Collection<String> mine) {
    return change(
        "heard_by = null, heard_at = null, dealt_by = null, dealt_at = null", id, mine, List.of());
  }

  boolean dealt(long id, Collection<String> mine, PersonId by, Instant at) {
    return change("dealt_by = ?, dealt_at = ?", id, mine, List.of(by.value(), Times.utc(at)));
  }

  boolean notDealt(long id, Collection<String> mine) {
    return change("dealt_by = null, dealt_at = null", id, mine, List.of());
  }

  boolean note(long id, Collection<String> mine, String note) {
    return change("note = ?", id, mine, List.of(note));
  }

  boolean correct(long id, Collection<String> mine, String text) {
    if (!change("corrected = nullif(?, '')", id, mine, List.of(text))) {
      return false;
    }
    messages
        .message(id, mine)
        .ifPresent(m -> words.keep(id, m.mailbox(), SearchWords.of(List.of(text))));
    return true;
  }

  /** Removes messages, or brings them back. */
  public void remove(Collection<Long> ids, Collection<String> mine, @Nullable Instant at) {
    jdbc.sql("update message set removed_at = :at where id in (:ids) and mailbox in (:mine)")
        .param("at", at == null ? null : Times.utc(at))
        .param("ids", ids)
        .param("mine", mine)
        .update();
  }
}
