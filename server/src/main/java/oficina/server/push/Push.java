package oficina.server.push;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import oficina.server.people.PersonView;
import oficina.server.topics.Topic;
import org.jspecify.annotations.Nullable;

/**
 * What a page is told over its WebSocket. The first message after connecting has an item of every
 * topic; later ones of what has changed, each whole.
 *
 * @param now time of the server's clock, by which the page counts
 * @param run which start of the server this is: another one than before tells of a restart
 */
@Schema(name = "Push")
public record Push(Instant now, String run, List<Item> items) {

  /**
   * One topic.
   *
   * @param data what is to be known of it; absent when the page asks for it if it shows it
   */
  public record Item(Topic topic, @Schema(nullable = true) @Nullable Object data) {}

  /**
   * Colleagues.
   *
   * @param whole whether these are all, in their order, or only those whose state has changed
   */
  public record Board(boolean whole, List<PersonView> people) {}

  /**
   * Who speaks in a call.
   *
   * @param legs numbers of the members, as in {@code conference}
   */
  public record Speaking(String call, List<Integer> legs) {}

  /**
   * How the service stands.
   *
   * @param behind whether events wait for the database
   * @param refused how many commands led to something that the database has refused
   * @param full whether what is recorded waits for a disk that takes nothing
   */
  public record Service(boolean behind, int refused, boolean full) {}
}
