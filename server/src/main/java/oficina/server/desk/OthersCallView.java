package oficina.server.desk;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import oficina.core.seen.Standpoint.Phase;
import oficina.core.services.ActedFor;
import oficina.server.people.PartyView;
import org.jspecify.annotations.Nullable;

/**
 * A call in a colleague's hand that concerns somebody by delegation.
 *
 * @param holder the colleague at whom it is
 * @param mine whether it is in the reader's own name; otherwise it is one of somebody for whom they
 *     act
 * @param other whom the colleague has to do with
 * @param since when its present phase began
 * @param service what can be done with it now; absent when it can only be seen
 */
public record OthersCallView(
    String call,
    PartyView holder,
    boolean mine,
    PartyView other,
    Phase phase,
    Instant since,
    @Schema(nullable = true) ActedFor.@Nullable Service service) {}
