package oficina.server.desk;

import java.util.List;
import oficina.core.people.PersonId;
import oficina.server.people.PersonView;

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
    PersonView board) {}
