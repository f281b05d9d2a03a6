package oficina.server.blocks;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import oficina.core.blocking.Block;
import oficina.core.blocking.BlockList;
import oficina.core.numbers.Dialled;
import oficina.core.numbers.NumberRange;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import oficina.server.office.OfficeData;
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Reads what somebody wants blocked: a number, the beginning of numbers, all from one to another,
 * those that are withheld.
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
   * The blocks that are meant; several for a range.
   *
   * @param text a number in any notation, its beginning with a star behind it, "first - last", or
   *     nothing
   * @throws Problem when it is none of these, or would keep one's own office out
   */
  List<Block> blocks(String text, @Nullable PersonId owner, Block.Answer answer, String note) {
    List<Block> blocks =
        read(text.strip())
            .map(each -> new Block(0, owner, each.kind(), each.number(), answer, note.strip()))
            .toList();
    if (blocks.stream()
        .anyMatch(each -> !BlockList.hit(each, office.now().ownNumbers()).isEmpty())) {
      throw refused("BLOCKS_OWN_OFFICE", text);
    }
    return blocks;
  }

  private record Meant(Block.Kind kind, String number) {}

  private Stream<Meant> read(String text) {
    if (text.isEmpty()) {
      return Stream.of(new Meant(Block.Kind.WITHHELD, ""));
    }
    NumberRange.Ends ends = NumberRange.ends(text);
    if (ends != null) {
      return range(text, ends);
    }
    if (text.endsWith(AND_SO_ON)) {
      return Stream.of(beginning(office.region().beginning(text), text));
    }
    return Stream.of(new Meant(Block.Kind.NUMBER, number(text).e164()));
  }

  private Stream<Meant> range(String text, NumberRange.Ends ends) {
    PhoneNumber first = number(ends.first());
    NumberRange range = NumberRange.between(first, last(first, ends.last()));
    if (range == null) {
      throw refused("NO_SUCH_RANGE", text);
    }
    int whole = first.e164().length();
    return range.beginnings().stream()
        .map(
            each ->
                each.length() == whole
                    ? new Meant(Block.Kind.NUMBER, each)
                    : beginning(each, text));
  }

  /** Of the last number only the digits in which it differs may have been typed. */
  private PhoneNumber last(PhoneNumber first, String typed) {
    PhoneNumber whole = office.plan().outsideNumber(typed);
    PhoneNumber last = whole == null ? NumberRange.lastOf(first, typed) : whole;
    return last == null ? number(typed) : last;
  }

  private static Meant beginning(String beginning, String text) {
    if (beginning.length() < SHORTEST) {
      throw refused("BEGINNING_TOO_SHORT", text);
    }
    return new Meant(Block.Kind.BEGINNING, beginning);
  }

  private PhoneNumber number(String text) {
    PhoneNumber number = office.plan().outsideNumber(text);
    if (number == null) {
      throw refused(whyNot(office.plan().interpret(text)), text);
    }
    return number;
  }

  private static String whyNot(Dialled dialled) {
    if (dialled instanceof Dialled.Internal) {
      return "BLOCKS_OWN_OFFICE";
    }
    return dialled instanceof Dialled.Emergency ? "BLOCKS_EMERGENCY" : "BLOCKS_NO_NUMBER";
  }

  private static Problem refused(String code, String text) {
    return new Problem(HttpStatus.UNPROCESSABLE_CONTENT, code, Map.of("text", text));
  }
}
