package oficina.server.office;

import java.net.ConnectException;
import java.sql.SQLTransientConnectionException;
import java.time.Duration;
import java.util.concurrent.locks.LockSupport;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.internal.exception.FlywaySqlException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Has a server that is started while its database is away wait for it, and say so. */
@Configuration
class DatabaseWait {
  private static final Logger LOG = LoggerFactory.getLogger(DatabaseWait.class);

  /** The tables are brought up to date before anything else asks for them. */
  @Bean
  FlywayMigrationStrategy migrateWhenThere() {
    return DatabaseWait::migrate;
  }

  private static final Duration PAUSE = Duration.ofMillis(500);

  private static void migrate(Flyway flyway) {
    for (boolean said = false; ; said = true) {
      try {
        flyway.migrate();
        return;
      } catch (FlywaySqlException e) {
        if (!isAway(e)) {
          throw e;
        }
        if (!said) {
          LOG.warn("The database is away. Waiting for it; the server starts when it is back.");
        }
        LockSupport.parkNanos(PAUSE.toNanos());
      }
    }
  }

  /** Whether there was no connection at all, and not an error on one. */
  private static boolean isAway(FlywaySqlException e) {
    for (Throwable cause = e; cause != null; cause = cause.getCause()) {
      // Too slow to answer counts as away as well: the pool has given up waiting for a connection.
      if (cause instanceof ConnectException || cause instanceof SQLTransientConnectionException) {
        return true;
      }
    }
    return false;
  }
}
