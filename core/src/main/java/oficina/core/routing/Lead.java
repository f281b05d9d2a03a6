package oficina.core.routing;

import java.util.List;

/**
 * Where a call leads at this moment, and why.
 *
 * @param diversions through whose decisions it went, in order
 * @param ways what comes first when nobody takes it there
 * @param stations everything that was found on the way
 */
public record Lead(
    Route route, List<Diversion> diversions, List<Way> ways, List<Station> stations) {
  public Lead {
    diversions = List.copyOf(diversions);
    ways = List.copyOf(ways);
    stations = List.copyOf(stations);
  }
}
