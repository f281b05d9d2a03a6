package oficina.server.signin;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import oficina.core.people.PersonId;
import oficina.server.passwords.Employee;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Sign-ins in the database, so that they outlive the server. */
@Repository
class SignInStore {
  private final JdbcClient jdbc;

  SignInStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  List<SignIn> all() {
    return jdbc.sql(
            """
            select s.id, s.token_hash, s.began, s.last_used, s.place, s.agent,
              p.id as person, p.sign_in_name, p.role, p.must_change_password
            from sign_in s join person p on p.id = s.person_id where not p.has_left
            """)
        .query(
            (row, n) ->
                new SignIn(
                    row.getString("id"),
                    row.getString("token_hash"),
                    new Employee(
                        new PersonId(row.getLong("person")),
                        row.getString("sign_in_name"),
                        Employee.role(row.getString("role")),
                        row.getBoolean("must_change_password")),
                    row.getObject("began", Instant.class),
                    row.getObject("last_used", Instant.class),
                    row.getString("place"),
                    row.getString("agent")))
        .list();
  }

  void add(SignIn signIn) {
    jdbc.sql(
            """
            insert into sign_in (id, token_hash, person_id, began, last_used, place, agent)
            values (?, ?, ?, ?, ?, ?, ?)
            """)
        .params(
            signIn.id(),
            signIn.tokenHash(),
            signIn.employee().id().value(),
            signIn.began(),
            signIn.lastUsed(),
            signIn.place(),
            signIn.agent())
        .update();
  }

  void remove(Collection<String> ids) {
    if (!ids.isEmpty()) {
      jdbc.sql("delete from sign_in where id in (:ids)").param("ids", ids).update();
    }
  }

  void renew(SignIn signIn) {
    jdbc.sql("update sign_in set token_hash = ?, last_used = ? where id = ?")
        .params(signIn.tokenHash(), signIn.lastUsed(), signIn.id())
        .update();
  }

  void used(SignIn signIn) {
    jdbc.sql("update sign_in set last_used = ? where id = ?")
        .params(signIn.lastUsed(), signIn.id())
        .update();
  }
}
