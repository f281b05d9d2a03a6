package oficina.server.desk;

import java.time.Instant;

/**
 * A colleague somebody waits for.
 *
 * @param until when the exchange gives up waiting
 */
public record CallBackView(String id, String name, Instant until) {}
