package oficina.core.contacts;

import java.util.ArrayList;
import java.util.List;
import oficina.core.contacts.Draft.Flaw;
import oficina.core.files.Lines;

/**
 * What has been read of a file so far. It ends where there is more than anybody has use for: of
 * findings, which somebody has to go through, far sooner than of cards.
 */
final class Collected {
  /** As many cards as an office has contacts. */
  static final int MOST = 100_000;

  private final List<Incoming> all = new ArrayList<>();
  private int bad;

  /**
   * Adds what has been read.
   *
   * @return false when nothing more is to be read, which is then the last finding
   */
  boolean add(Incoming each) {
    boolean full = all.size() >= MOST || bad >= Lines.MOST_WRONG;
    bad += each.card() == null ? 1 : 0;
    all.add(full ? Incoming.bad(each.line(), Flaw.REST_NOT_READ, each.beginning()) : each);
    return !full;
  }

  List<Incoming> all() {
    return all;
  }
}
