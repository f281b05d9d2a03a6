package oficina.server.exchange;

import java.util.List;
import oficina.core.history.Part;
import oficina.core.notices.Notice;

/**
 * What one command led to, on its way to the database and then to the desks.
 *
 * @param parts entries of the history that are new or have changed
 * @param desks how the desks of everybody concerned look afterwards
 * @param shelf how the park slots look afterwards; null when none has changed
 * @param notices what people should be told once
 * @param confirm answers whoever gave the command
 */
public record Batch(
    List<JournalStore.Entry> entries,
    List<Part> parts,
    List<DeskView> desks,
    List<SlotView> shelf,
    List<Notice> notices,
    Runnable confirm) {

  /** Something that is only to be shown. */
  static Batch ofDesks(List<DeskView> desks, List<SlotView> shelf) {
    return new Batch(List.of(), List.of(), desks, shelf, List.of(), () -> {});
  }
}
