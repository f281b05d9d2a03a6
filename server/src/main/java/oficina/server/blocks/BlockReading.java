package oficina.server.blocks;

import java.util.Map;
import oficina.core.blocking.Block;
import oficina.core.blocking.BlockList;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import oficina.server.office.OfficeData;
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Reads what somebody wants blocked: a number, the beginning of numbers, those that are withheld.
 */
@Component
class BlockReading {
  private static final String AND_SO_ON = "*";

  /** Whoever blocks less than a country and a digit blocks half the world by mistake. */
  private static final int SHORTEST = 5;

  private final OfficeData office;

  BlockReading(OfficeData office) {
    this.office = office;
  }

  /**
   * The block that is meant.
   *
   * @param text a number in any notation, its beginning with a star behind it, or nothing
   * @throws Problem when it is neither, or would keep one's own office out
   */
  Block block(String text, @Nullable PersonId owner, Block.Answer answer, String note) {
    Block block = read(text.strip(), owner, answer, note.strip());
    if (!BlockList.hit(block, office.now().ownNumbers()).isEmpty()) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "BLOCKS_OWN_OFFICE");
    }
    return block;
  }

  private Block read(String text, @Nullable PersonId owner, Block.Answer answer, String note) {
    if (text.isEmpty()) {
      return new Block(0, owner, Block.Kind.WITHHELD, "", answer, note);
    }
    if (text.endsWith(AND_SO_ON)) {
      String beginning = office.region().beginning(text);
      if (beginning.length() < SHORTEST) {
        throw new Problem(
            HttpStatus.UNPROCESSABLE_CONTENT, "BEGINNING_TOO_SHORT", Map.of("text", text));
      }
      return new Block(0, owner, Block.Kind.BEGINNING, beginning, answer, note);
    }
    PhoneNumber number = office.plan().outsideNumber(text);
    if (number == null) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "NO_SUCH_NUMBER", Map.of("text", text));
    }
    return new Block(0, owner, Block.Kind.NUMBER, number.e164(), answer, note);
  }
}
