package oficina.server;

import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * How this installation runs.
 *
 * @param standIns whether simulated colleagues and a simulated outside network take part
 * @param demo whether an empty database begins with the demo office
 * @param callers whether simulated subscribers call in by themselves from the start
 * @param bookingsPort where the stand-in for a booking system listens, on the loopback address; 0
 *     for not at all
 */
@ConfigurationProperties("oficina")
public record OficinaProperties(
    @DefaultValue("true") boolean standIns,
    @DefaultValue("false") boolean demo,
    @DefaultValue("false") boolean callers,
    @DefaultValue("0") int bookingsPort) {}
