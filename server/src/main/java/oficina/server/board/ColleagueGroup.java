package oficina.server.board;

import java.util.List;

/**
 * Colleagues whom somebody has put together for themselves.
 *
 * @param name empty for the favourites
 * @param people identities of the colleagues
 */
record ColleagueGroup(String name, List<Long> people) {}
