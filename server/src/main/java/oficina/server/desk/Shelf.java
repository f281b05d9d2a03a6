package oficina.server.desk;

import java.util.List;
import oficina.core.decision.Permissions;
import oficina.core.events.ParkedCall;
import oficina.core.office.Office;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/** All park slots as they are now; not everybody reads every note. */
public record Shelf(List<Slot> slots) {
  public static final Shelf EMPTY = new Shelf(List.of());

  public Shelf {
    slots = List.copyOf(slots);
  }

  /**
   * A slot.
   *
   * @param whole as somebody sees it who may see everything
   * @param parking of the call in it; null when it is free
   */
  record Slot(SlotView whole, @Nullable ParkedCall parking) {}

  /** The slots as this person sees them. */
  public List<SlotView> seenBy(PersonId viewer, Office office) {
    return slots.stream().map(slot -> seenBy(slot, viewer, office)).toList();
  }

  private static SlotView seenBy(Slot slot, PersonId viewer, Office office) {
    SlotView whole = slot.whole();
    if (slot.parking() == null || whole.waiting() == null) {
      return whole;
    }
    return new SlotView(
        whole.slot(),
        whole.label(),
        whole
            .waiting()
            .seen(
                Permissions.mayReadNote(office, slot.parking(), viewer),
                Permissions.takesUnasked(slot.parking(), viewer)));
  }
}
