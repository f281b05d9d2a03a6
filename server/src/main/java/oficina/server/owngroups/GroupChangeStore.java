package oficina.server.owngroups;

import oficina.core.people.PersonId;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Changes who is in which of somebody's groups. */
@Repository
public class GroupChangeStore {
  /** Who can be put into groups. */
  public enum Kind {
    CONTACT("contact_group", "contact_id"),
    COLLEAGUE("colleague_group", "colleague_id");

    private final String table;
    private final String member;

    Kind(String table, String member) {
      this.table = table;
      this.member = member;
    }
  }

  private final JdbcClient jdbc;

  GroupChangeStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * Changes in which of the person's groups somebody is. Names that differ in nothing but capitals
   * or accents are one to the database; that is why those left are left first.
   */
  @Transactional
  public void change(PersonId person, Kind kind, long member, GroupChange change) {
    change
        .outOf()
        .forEach(
            name ->
                jdbc.sql(
                        "delete from %s where person_id = ? and name = ? and %s = ?"
                            .formatted(kind.table, kind.member))
                    .params(person.value(), name.strip(), member)
                    .update());
    change
        .into()
        .forEach(
            name ->
                jdbc.sql(
                        "insert ignore into %s (person_id, name, %s) values (?, ?, ?)"
                            .formatted(kind.table, kind.member))
                    .params(person.value(), name.strip(), member)
                    .update());
  }
}
