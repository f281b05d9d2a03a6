package oficina.server.history;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import oficina.core.history.Segment;
import oficina.core.people.PersonId;
import oficina.server.people.Parties;
import org.jspecify.annotations.Nullable;

/**
 * One piece of a call's cord.
 *
 * @param who names of those it concerns but for the viewer
 * @param mine whether the viewer had a part in it
 * @param to null while it lasts
 */
public record SegmentView(
    Segment.Kind kind,
    List<String> who,
    boolean mine,
    Instant from,
    @Schema(nullable = true) @Nullable Instant to) {

  /** The segment as this person sees it. */
  public static SegmentView of(Segment segment, PersonId viewer, Parties parties) {
    return new SegmentView(
        segment.kind(),
        segment.who().stream()
            .filter(party -> !viewer.equals(party.employee()))
            .map(party -> parties.name(party, viewer))
            .toList(),
        segment.who().stream().anyMatch(party -> viewer.equals(party.employee())),
        segment.from(),
        segment.to());
  }
}
