package oficina.server.administration;

import oficina.core.office.ParkSlot;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Changes where calls can wait. */
@Repository
class SlotStore {
  private final JdbcClient jdbc;

  SlotStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** Adds a park slot before another one; behind all of them where there is no such one. */
  void add(ParkSlot slot, @Nullable String before) {
    int place =
        jdbc.sql(
                """
                select coalesce(min(if(number = ?, position, null)), max(position) + 1, 1)
                from park_slot
                """)
            .param(before)
            .query(Integer.class)
            .single();
    jdbc.sql("update park_slot set position = position + 1 where position >= ?")
        .param(place)
        .update();
    jdbc.sql("insert into park_slot (number, label, position) values (?, ?, ?)")
        .params(slot.number(), slot.label(), place)
        .update();
  }

  void remove(String number) {
    jdbc.sql("delete from park_slot where number = ?").param(number).update();
  }

  /** Gives the slot with this number this label. */
  void label(ParkSlot slot) {
    jdbc.sql("update park_slot set label = ? where number = ?")
        .params(slot.label(), slot.number())
        .update();
  }
}
