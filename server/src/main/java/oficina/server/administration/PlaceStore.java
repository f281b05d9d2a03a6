package oficina.server.administration;

import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Teams and sites, as everybody who is there. */
@Repository
class PlaceStore {
  private final JdbcClient jdbc;

  PlaceStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * A team is called so from now on; where another one is called so already, everybody is of that.
   */
  void team(long team, String becomes) {
    Optional<Long> other =
        jdbc.sql("select id from team where name = ? and id <> ?")
            .params(becomes, team)
            .query(Long.class)
            .optional();
    if (other.isEmpty()) {
      jdbc.sql("update team set name = ? where id = ?").params(becomes, team).update();
      return;
    }
    jdbc.sql("update person set team_id = ? where team_id = ?").params(other.get(), team).update();
    jdbc.sql("delete from team where id = ?").param(team).update();
  }

  void site(String site, String becomes) {
    jdbc.sql("update person set site = ? where site = ?").params(becomes, site).update();
  }
}
