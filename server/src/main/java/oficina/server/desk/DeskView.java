package oficina.server.desk;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import oficina.core.people.PersonId;
import oficina.server.people.PersonView;
import oficina.server.topics.Topic;
import org.jspecify.annotations.Nullable;

/**
 * How one person's desk looks.
 *
 * @param calls their calls in hand, in the order in which they came; theirs alone to see
 * @param callBacks colleagues they wait for; theirs alone to see
 * @param others calls of colleagues that concern them by delegation
 * @param leaving who leaves a message in a mailbox of theirs right now
 * @param lines those of their shared lines at which something goes on
 * @param board what everybody sees of them on the people board
 */
public record DeskView(
    PersonId person,
    List<CallView> calls,
    List<CallBackView> callBacks,
    List<LeavingView> leaving,
    List<OthersCallView> others,
    List<LineUseView> lines,
    PersonView board) {

  /** Of what its person is to be told, as it was shown differently before. */
  public Set<Topic> differsIn(@Nullable DeskView before) {
    Set<Topic> topics = EnumSet.noneOf(Topic.class);
    add(topics, Topic.CALLS, before, DeskView::calls);
    add(topics, Topic.CALL_BACKS, before, DeskView::callBacks);
    add(topics, Topic.LEAVING, before, DeskView::leaving);
    add(topics, Topic.OTHERS_CALLS, before, DeskView::others);
    add(topics, Topic.LINES, before, DeskView::lines);
    return topics;
  }

  private void add(
      Set<Topic> topics, Topic topic, @Nullable DeskView before, Function<DeskView, List<?>> part) {
    if (before == null || !part.apply(before).equals(part.apply(this))) {
      topics.add(topic);
    }
  }
}
