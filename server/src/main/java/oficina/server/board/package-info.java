/**
 * How people order the board of their colleagues for themselves. Begin with {@link
 * oficina.server.board.ColleagueGroupController}. What somebody has put where is seen by nobody
 * else.
 */
@NullMarked
package oficina.server.board;

import org.jspecify.annotations.NullMarked;
