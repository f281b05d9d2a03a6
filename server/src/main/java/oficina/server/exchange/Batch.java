package oficina.server.exchange;

import java.util.List;
import oficina.core.history.Part;

/**
 * What one command led to, on its way to the database and then to the desks.
 *
 * @param desks how the desks of everybody concerned look afterwards
 * @param confirm answers whoever gave the command
 */
record Batch(
    List<JournalStore.Entry> entries, List<Part> parts, List<DeskView> desks, Runnable confirm) {}
