package oficina.server.blocks;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import oficina.core.blocking.Block;
import oficina.core.people.PersonId;
import oficina.server.database.Times;
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Who is blocked, and who has tried all the same, in the database. */
@Repository
class BlockStore {
  /** All of them are in memory, where a call finds them. */
  static final int MOST_OF_AN_OWNER = 100_000;

  private static final int MOST = 300_000;
  private static final int AT_ONCE = 500;

  private final JdbcClient jdbc;

  BlockStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * A block with what came of it.
   *
   * @param last when somebody tried last; null when nobody has
   */
  record Kept(Block block, int attempts, @Nullable Instant last) {}

  /**
   * An attempt of somebody who is blocked.
   *
   * @param number of whoever called, in E.164; empty when withheld
   * @param called the key of whoever was called; empty for the number at which messages are read
   *     out
   */
  record Attempt(
      long block,
      @Nullable PersonId owner,
      String call,
      String number,
      String called,
      Instant at) {}

  /**
   * Which of them.
   *
   * @param beginning how the number begins; empty for any
   * @param words a part of the note; empty for any
   * @param numbers with words, those that are meant besides
   */
  record Wanted(String beginning, String words, List<String> numbers) {}

  /** Those of a person, or of the office, latest first. */
  List<Kept> of(@Nullable PersonId owner, Wanted wanted, int most) {
    String which =
        wanted.words().isEmpty()
            ? "b.number like :beginning"
            : "(b.note like :words or b.number in (:numbers))";
    return jdbc.sql(
            """
            select b.*, count(a.id) as attempts, max(a.at) as last from block b
            left join block_attempt a on a.block_id = b.id
            where b.person_id <=> :owner and %s
            group by b.id order by b.id desc limit :most
            """
                .formatted(which))
        .param("owner", owner == null ? null : owner.value())
        .param("beginning", wanted.beginning() + "%")
        .param("words", "%" + wanted.words().replaceAll("[%_\\\\]", "\\\\$0") + "%")
        .param("numbers", wanted.numbers().isEmpty() ? List.of("-") : wanted.numbers())
        .param("most", most)
        .query(BlockStore::kept)
        .list();
  }

  int count(@Nullable PersonId owner) {
    return jdbc.sql("select count(*) from block where person_id <=> ?")
        .param(owner == null ? null : owner.value())
        .query(Integer.class)
        .single();
  }

  private int countAll() {
    return jdbc.sql("select count(*) from block").query(Integer.class).single();
  }

  private static Kept kept(ResultSet row, int n) throws SQLException {
    long person = row.getLong("person_id");
    PersonId owner = row.wasNull() ? null : new PersonId(person);
    LocalDateTime last = row.getObject("last", LocalDateTime.class);
    return new Kept(
        new Block(
            row.getLong("id"),
            owner,
            Block.Kind.valueOf(row.getString("kind")),
            row.getString("number"),
            Block.Answer.valueOf(row.getString("answer")),
            row.getString("note")),
        row.getInt("attempts"),
        last == null ? null : Times.instant(last));
  }

  /** The block, if it is one of this owner's. */
  Optional<Block> one(@Nullable PersonId owner, long id) {
    return jdbc.sql(
            """
            select b.*, 0 as attempts, null as last from block b
            where b.id = ? and b.person_id <=> ?
            """)
        .params(id, owner == null ? null : owner.value())
        .query(BlockStore::kept)
        .optional()
        .map(Kept::block);
  }

  /**
   * Adds blocks of one owner, each in the place of one of the same caller.
   *
   * @return how many were not there before
   * @throws Problem when there are too many, of which then none is added
   */
  @Transactional
  int add(List<Block> blocks, @Nullable PersonId owner, PersonId by, Instant at) {
    int before = count(owner);
    for (int from = 0; from < blocks.size(); from += AT_ONCE) {
      addAtOnce(blocks.subList(from, Math.min(blocks.size(), from + AT_ONCE)), by, at);
    }
    int after = count(owner);
    if (after > before && (after > MOST_OF_AN_OWNER || countAll() > MOST)) {
      throw new Problem(
          HttpStatus.CONFLICT, "BLOCKS_FULL", Map.of("limit", Integer.toString(MOST_OF_AN_OWNER)));
    }
    return after - before;
  }

  /** One statement for all of them: a file can have very many. */
  private void addAtOnce(List<Block> blocks, PersonId by, Instant at) {
    List<@Nullable Object> values = new ArrayList<>();
    for (Block block : blocks) {
      values.add(block.owner() == null ? null : block.owner().value());
      values.addAll(
          List.of(
              block.kind().name(),
              block.number(),
              block.answer().name(),
              block.note(),
              by.value(),
              Times.utc(at)));
    }
    jdbc.sql(
            "insert into block (person_id, kind, number, answer, note, made_by, made_at) values "
                + String.join(", ", Collections.nCopies(blocks.size(), "(?, ?, ?, ?, ?, ?, ?)"))
                + " on duplicate key update answer = values(answer), note = values(note)")
        .params(values)
        .update();
  }

  void change(long id, Block.Answer answer, String note) {
    jdbc.sql("update block set answer = ?, note = ? where id = ?")
        .params(answer.name(), note, id)
        .update();
  }

  void remove(long id) {
    jdbc.sql("delete from block where id = ?").param(id).update();
  }

  /** Notes an attempt, once for each call. */
  void attempted(Attempt attempt) {
    jdbc.sql(
            """
            insert ignore into block_attempt (block_id, person_id, call_id, number, called, at)
            values (?, ?, ?, ?, ?, ?)
            """)
        .params(
            attempt.block(),
            attempt.owner() == null ? null : attempt.owner().value(),
            attempt.call(),
            attempt.number(),
            attempt.called(),
            Times.utc(attempt.at()))
        .update();
  }

  /** The last attempts against the blocks of a person, or of the office, latest first. */
  List<Attempt> attempts(@Nullable PersonId owner, int most) {
    return jdbc.sql(
            """
            select block_id, call_id, number, called, at from block_attempt
            where person_id <=> ? order by at desc limit ?
            """)
        .params(owner == null ? null : owner.value(), most)
        .query(
            (row, n) ->
                new Attempt(
                    row.getLong("block_id"),
                    owner,
                    row.getString("call_id"),
                    row.getString("number"),
                    row.getString("called"),
                    Times.instant(row.getObject("at", LocalDateTime.class))))
        .list();
  }
}
