package oficina.server.cards;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import oficina.core.contacts.ContactId;
import oficina.core.people.PersonId;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The groups into which people have put contacts, each person for themselves. */
@Repository
class GroupStore {
  private final JdbcClient jdbc;

  GroupStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** The person's groups, by name. The favourites have none and are not among them. */
  List<String> of(PersonId person) {
    return jdbc.sql(
            "select distinct name from contact_group where person_id = ? and name <> '' order by name")
        .param(person.value())
        .query(String.class)
        .list();
  }

  /** Those of the person's groups in which this contact is. */
  List<String> of(PersonId person, ContactId contact) {
    return jdbc.sql(
            "select name from contact_group where person_id = ? and contact_id = ? order by name")
        .params(person.value(), contact.value())
        .query(String.class)
        .list();
  }

  /** Who is in one of the person's groups. */
  Set<ContactId> in(PersonId person, String group) {
    return jdbc
        .sql("select contact_id from contact_group where person_id = ? and name = ?")
        .params(person.value(), group)
        .query(Long.class)
        .list()
        .stream()
        .map(ContactId::new)
        .collect(Collectors.toSet());
  }
}
