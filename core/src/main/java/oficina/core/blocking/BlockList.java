package oficina.core.blocking;

import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * Everybody who is blocked by anybody. Immutable. What it costs to look a caller up does not depend
 * on how many there are.
 */
public final class BlockList {
  /** Nobody is blocked. */
  public static final BlockList EMPTY = new BlockList(List.of());

  /** Nobody's, which is the office's. */
  private static final long OFFICE = 0;

  private final Map<Long, Own> byOwner = new HashMap<>();

  /** What one owner has blocked. */
  private static final class Own {
    private final Map<String, Block> numbers = new HashMap<>();
    private final Map<String, Block> beginnings = new HashMap<>();
    private final Set<Integer> lengths = new TreeSet<>(Comparator.reverseOrder());
    private @Nullable Block withheld;

    void add(Block block) {
      switch (block.kind()) {
        case NUMBER -> numbers.put(block.number(), block);
        case BEGINNING -> {
          beginnings.put(block.number(), block);
          lengths.add(block.number().length());
        }
        case WITHHELD -> withheld = block;
      }
    }

    @Nullable Block find(@Nullable PhoneNumber caller) {
      if (caller == null) {
        return withheld;
      }
      String number = caller.e164();
      Block exact = numbers.get(number);
      if (exact != null) {
        return exact;
      }
      for (int length : lengths) {
        Block beginning =
            length <= number.length() ? beginnings.get(number.substring(0, length)) : null;
        if (beginning != null) {
          return beginning;
        }
      }
      return null;
    }
  }

  public BlockList(Collection<Block> blocks) {
    for (Block block : blocks) {
      byOwner.computeIfAbsent(key(block.owner()), owner -> new Own()).add(block);
    }
  }

  private static long key(@Nullable PersonId owner) {
    return owner == null ? OFFICE : owner.value();
  }

  /**
   * The block that keeps this caller from whom they call; the office's first, then the nearest.
   *
   * @param caller null when they do not show their number
   * @param called whom they call; null when it is nobody alone
   * @return null when they are let through
   */
  public @Nullable Block find(@Nullable PhoneNumber caller, @Nullable PersonId called) {
    Block office = find(caller, OFFICE);
    return office != null || called == null ? office : find(caller, called.value());
  }

  private @Nullable Block find(@Nullable PhoneNumber caller, long owner) {
    Own own = byOwner.get(owner);
    return own == null ? null : own.find(caller);
  }

  /** Which of these numbers a block would keep out. */
  public static Set<PhoneNumber> hit(Block block, Collection<PhoneNumber> numbers) {
    Own alone = new Own();
    alone.add(block);
    Set<PhoneNumber> hit = new HashSet<>();
    for (PhoneNumber number : numbers) {
      if (alone.find(number) != null) {
        hit.add(number);
      }
    }
    return hit;
  }
}
