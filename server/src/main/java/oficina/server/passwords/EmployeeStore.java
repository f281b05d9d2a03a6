package oficina.server.passwords;

import java.util.Optional;
import oficina.core.decision.Permissions;
import oficina.core.people.PersonId;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Who may sign in, and with what. */
@Repository
public class EmployeeStore {
  private final JdbcClient jdbc;

  EmployeeStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * An employee and what their password is checked against.
   *
   * @param passwordHash by bcrypt
   */
  record Account(Employee employee, String passwordHash) {}

  /** By name or extension, in any case; accents do not count. */
  Optional<Account> account(String nameOrExtension) {
    return account("(sign_in_name = :who or extension = :who)", nameOrExtension);
  }

  /** Nobody who has left, and no room. */
  public Optional<Employee> employee(PersonId person) {
    return account("id = :who", person.value()).map(Account::employee);
  }

  private Optional<Account> account(String whose, Object who) {
    return jdbc.sql(
            """
            select id, sign_in_name, password_hash, role, must_change_password from person
            where %s and not has_left
            """
                .formatted(whose))
        .param("who", who)
        .query(
            (row, n) ->
                new Account(
                    new Employee(
                        new PersonId(row.getLong("id")),
                        row.getString("sign_in_name"),
                        Employee.role(row.getString("role")),
                        row.getBoolean("must_change_password")),
                    row.getString("password_hash")))
        .optional()
        .filter(each -> Permissions.maySignIn(each.employee().role()));
  }

  /** Whose this name or extension is. */
  public Optional<String> signInName(String nameOrExtension) {
    return account(nameOrExtension).map(each -> each.employee().signInName());
  }

  public void password(PersonId person, String hash) {
    jdbc.sql("update person set password_hash = ?, must_change_password = false where id = ?")
        .params(hash, person.value())
        .update();
  }

  /** Whether the first-run tips were put away; nobody is shown them while the database is away. */
  public boolean tipsSeen(PersonId person) {
    try {
      return jdbc.sql("select tips_seen from person where id = ?")
          .param(person.value())
          .query(Boolean.class)
          .single();
    } catch (DataAccessException e) {
      return true;
    }
  }

  public void tipsSeen(PersonId person, boolean seenThem) {
    jdbc.sql("update person set tips_seen = ? where id = ?")
        .params(seenThem, person.value())
        .update();
  }
}
