package oficina.server.push;

import java.time.Instant;
import java.util.List;
import oficina.server.desk.CallBackView;
import oficina.server.desk.CallView;
import oficina.server.desk.LeavingView;
import oficina.server.desk.LineUseView;
import oficina.server.desk.OthersCallView;
import oficina.server.desk.SlotView;
import oficina.server.people.PersonView;

/** Everything a page shows of calls and people, for whoever does without the WebSocket. */
public record DeskPicture(
    Instant now,
    List<CallView> calls,
    List<CallBackView> callBacks,
    List<LeavingView> leaving,
    List<OthersCallView> others,
    List<LineUseView> lines,
    List<SlotView> shelf,
    List<PersonView> people,
    Push.Service service) {}
