package oficina.server.contacts;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import oficina.core.contacts.Contact;
import oficina.core.contacts.Contact.Card;
import oficina.core.contacts.ContactId;
import oficina.core.people.PersonId;
import oficina.server.database.Times;
import oficina.server.json.CoreJson;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Contacts in the database, with who changed what. */
@Repository
public class ContactStore {
  private static final int READ_AT_ONCE = 500;

  private final JdbcClient jdbc;
  private final JdbcTemplate batch;

  /** Identities are given here: only one server writes, and many are added at once. */
  private final AtomicLong last;

  ContactStore(JdbcClient jdbc, JdbcTemplate batch) {
    this.jdbc = jdbc;
    this.batch = batch;
    this.last =
        new AtomicLong(
            jdbc.sql("select coalesce(max(id), 0) from contact").query(Long.class).single());
  }

  /** Everything there is but what was removed. */
  void all(Consumer<Contact> to) {
    JdbcTemplate inPieces = new JdbcTemplate(batch.getDataSource());
    inPieces.setFetchSize(READ_AT_ONCE);
    inPieces.query(
        """
        select c.id, c.owner, c.uid, c.card, p.contact_id as picture
        from contact c left join contact_picture p on p.contact_id = c.id
        where c.removed_at is null
        """,
        row -> {
          to.accept(contact(row));
        });
  }

  private static Contact contact(ResultSet row) throws SQLException {
    Long owner = row.getObject("owner", Long.class);
    return new Contact(
        new ContactId(row.getLong("id")),
        owner == null ? null : new PersonId(owner),
        row.getString("uid"),
        card(row.getString("card")),
        row.getObject("picture") != null);
  }

  private static Card card(String json) {
    return CoreJson.JSON.readValue(json, Card.class);
  }

  private static String json(Card card) {
    return CoreJson.JSON.writeValueAsString(card);
  }

  /** Adds contacts, all of the same owner, and returns their identities in the same order. */
  @Transactional
  List<ContactId> add(
      @Nullable PersonId owner, List<NewContact> contacts, PersonId by, Instant at) {
    List<ContactId> ids =
        contacts.stream().map(each -> new ContactId(last.incrementAndGet())).toList();
    List<Object[]> rows = new ArrayList<>(contacts.size());
    List<Object[]> notes = new ArrayList<>(contacts.size());
    for (int i = 0; i < ids.size(); i++) {
      NewContact each = contacts.get(i);
      long id = ids.get(i).value();
      rows.add(
          new Object[] {id, owner == null ? null : owner.value(), each.uid(), json(each.card())});
      notes.add(new Object[] {id, by.value(), Times.utc(at), Change.ADDED.name()});
    }
    batch.batchUpdate("insert into contact (id, owner, uid, card) values (?, ?, ?, ?)", rows);
    batch.batchUpdate(
        "insert into contact_change (contact_id, person_id, at, what) values (?, ?, ?, ?)", notes);
    return ids;
  }

  @Transactional
  void change(Contact before, Card card, PersonId by, Instant at) {
    jdbc.sql("update contact set card = ? where id = ?")
        .params(json(card), before.id().value())
        .update();
    noted(before.id(), by, at, Change.CHANGED, json(before.card()));
  }

  @Transactional
  void remove(Contact contact, PersonId by, Instant at) {
    jdbc.sql("update contact set removed_at = ? where id = ?")
        .params(Times.utc(at), contact.id().value())
        .update();
    noted(contact.id(), by, at, Change.REMOVED, json(contact.card()));
  }

  /** Brings back what was removed after this time and may be known to this person. */
  @Transactional
  Optional<Contact> restore(ContactId id, PersonId by, Instant removedAfter, Instant at) {
    int restored =
        jdbc.sql(
                """
                update contact set removed_at = null
                where id = ? and removed_at > ? and (owner is null or owner = ?)
                """)
            .params(id.value(), Times.utc(removedAfter), by.value())
            .update();
    if (restored == 0) {
      return Optional.empty();
    }
    noted(id, by, at, Change.RESTORED, null);
    return one(id);
  }

  private Optional<Contact> one(ContactId id) {
    return jdbc.sql(
            """
            select c.id, c.owner, c.uid, c.card, p.contact_id as picture
            from contact c left join contact_picture p on p.contact_id = c.id where c.id = ?
            """)
        .param(id.value())
        .query((row, n) -> contact(row))
        .optional();
  }

  /** Forgets for good what was removed before this time. */
  @Transactional
  void forget(Instant removedBefore) {
    for (String table : List.of("contact_picture", "contact_change", "contact_group")) {
      jdbc.sql(
              "delete t from "
                  + table
                  + " t join contact c on c.id = t.contact_id where c.removed_at < ?")
          .param(Times.utc(removedBefore))
          .update();
    }
    jdbc.sql("delete from contact where removed_at < ?").param(Times.utc(removedBefore)).update();
  }

  /** What somebody did with a contact. */
  public enum Change {
    ADDED,
    CHANGED,
    REMOVED,
    RESTORED
  }

  /**
   * Who did what.
   *
   * @param before the card as it was before; null when there was none
   */
  public record Changed(PersonId by, Instant at, Change what, @Nullable Card before) {}

  private void noted(ContactId id, PersonId by, Instant at, Change what, @Nullable String before) {
    jdbc.sql(
            """
            insert into contact_change (contact_id, person_id, at, what, before_it)
            values (?, ?, ?, ?, ?)
            """)
        .params(id.value(), by.value(), Times.utc(at), what.name(), before)
        .update();
  }

  /** What was done with it, latest first. */
  List<Changed> changes(ContactId id, int limit) {
    return jdbc.sql(
            """
            select person_id, at, what, before_it from contact_change
            where contact_id = ? order by id desc limit ?
            """)
        .params(id.value(), limit)
        .query(
            (row, n) ->
                new Changed(
                    new PersonId(row.getLong("person_id")),
                    Times.instant(row.getObject("at", LocalDateTime.class)),
                    Change.valueOf(row.getString("what")),
                    row.getString("before_it") == null ? null : card(row.getString("before_it"))))
        .list();
  }

  Optional<byte[]> picture(ContactId id) {
    return jdbc.sql("select jpeg from contact_picture where contact_id = ?")
        .param(id.value())
        .query(byte[].class)
        .optional();
  }

  void picture(ContactId id, byte @Nullable [] picture) {
    if (picture == null) {
      jdbc.sql("delete from contact_picture where contact_id = ?").param(id.value()).update();
    } else {
      jdbc.sql("replace into contact_picture (contact_id, jpeg) values (?, ?)")
          .params(id.value(), picture)
          .update();
    }
  }
}
