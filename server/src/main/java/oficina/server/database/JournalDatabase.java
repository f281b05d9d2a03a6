package oficina.server.database;

import com.zaxxer.hikari.HikariDataSource;
import jakarta.annotation.PreDestroy;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The database as the journal has it: two connections of its own, which no slow list can use up,
 * and on which an answer that takes longer than two seconds counts as none. A database that is
 * frozen is therefore soon known to be away, and calls go on.
 */
@Component
public class JournalDatabase {
  private static final int CONNECTIONS = 2;
  private static final int PATIENCE_MS = 2_000;

  private final HikariDataSource connections = new HikariDataSource();
  private final JdbcTemplate jdbc;
  private final TransactionTemplate transactions;

  JournalDatabase(
      @Value("${oficina.database}") String url,
      @Value("${spring.datasource.username}") String user,
      @Value("${spring.datasource.password}") String password) {
    connections.setPoolName("journal");
    connections.setJdbcUrl(
        url + "&useBulkStmts=true&connectTimeout=" + PATIENCE_MS + "&socketTimeout=" + PATIENCE_MS);
    connections.setUsername(user);
    connections.setPassword(password);
    connections.setMaximumPoolSize(CONNECTIONS);
    connections.setConnectionTimeout(PATIENCE_MS);
    connections.setValidationTimeout(PATIENCE_MS / 2);
    connections.setInitializationFailTimeout(-1);
    jdbc = new JdbcTemplate(connections);
    transactions = new TransactionTemplate(new JdbcTransactionManager(connections));
  }

  /** For what is read and written there. */
  public JdbcTemplate jdbc() {
    return jdbc;
  }

  /** All of it or nothing. */
  public void inTransaction(Runnable writes) {
    transactions.executeWithoutResult(status -> writes.run());
  }

  @PreDestroy
  void close() {
    connections.close();
  }
}
