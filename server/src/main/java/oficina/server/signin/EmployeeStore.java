package oficina.server.signin;

import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import oficina.core.people.PersonId;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.stereotype.Repository;

/**
 * Who may sign in. Remembers whom it has seen, so that somebody already signed in stays so while
 * the database is away.
 */
@Repository
class EmployeeStore implements UserDetailsService {
  private final JdbcClient jdbc;
  private final Map<String, Employee> seen = new ConcurrentHashMap<>();

  EmployeeStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** By name or extension, in any case. */
  @Override
  public UserDetails loadUserByUsername(String nameOrExtension) {
    try {
      Employee employee =
          find(nameOrExtension)
              .orElseThrow(() -> new UsernameNotFoundException("nobody of that name"));
      seen.put(employee.signInName(), employee);
      return employee;
    } catch (DataAccessResourceFailureException e) {
      Employee known = seen.get(nameOrExtension);
      if (known == null) {
        throw e;
      }
      return known;
    }
  }

  private Optional<Employee> find(String nameOrExtension) {
    return jdbc.sql(
            """
            select id, sign_in_name, password_hash, role from person
            where sign_in_name = :name or extension = :name
            """)
        .param("name", nameOrExtension)
        .query(
            (row, n) ->
                new Employee(
                    new PersonId(row.getLong("id")),
                    row.getString("sign_in_name"),
                    row.getString("password_hash"),
                    row.getString("role")))
        .optional();
  }

  void password(PersonId person, String hash) {
    jdbc.sql("update person set password_hash = ? where id = ?")
        .params(hash, person.value())
        .update();
  }

  boolean tipsSeen(PersonId person) {
    return jdbc.sql("select tips_seen from person where id = ?")
        .param(person.value())
        .query(Boolean.class)
        .single();
  }

  void tipsSeen(PersonId person, boolean seenThem) {
    jdbc.sql("update person set tips_seen = ? where id = ?")
        .params(seenThem, person.value())
        .update();
  }
}
