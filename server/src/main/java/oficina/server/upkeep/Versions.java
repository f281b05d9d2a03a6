package oficina.server.upkeep;

import java.util.Objects;
import oficina.server.OficinaApplication;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/** What runs here. */
@Component
class Versions {
  private final SchemaStore store;

  /** It stays the same while the server runs; read when the database first answers. */
  private volatile InstallationState.@Nullable Version known;

  Versions(SchemaStore store) {
    this.store = store;
  }

  InstallationState.Version now() {
    InstallationState.Version version = known;
    if (version != null) {
      return version;
    }
    try {
      version = version(store.server(), store.schema());
      known = version;
      return version;
    } catch (DataAccessException e) {
      return version("", "");
    }
  }

  private static InstallationState.Version version(String database, String schema) {
    String built = OficinaApplication.class.getPackage().getImplementationVersion();
    return new InstallationState.Version(
        Objects.requireNonNullElse(built, "development"),
        System.getProperty("java.version"),
        database,
        schema);
  }
}
