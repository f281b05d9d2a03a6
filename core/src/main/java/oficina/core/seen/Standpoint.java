package oficina.core.seen;

import java.util.List;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;

/** How a call stands: for one who is in it, and as a whole. */
public final class Standpoint {
  private Standpoint() {}

  /** How it stands for somebody. */
  public enum Phase {
    /** It is being set up. */
    DIALLING,
    /** It rings at the other end, or somebody there is asked for a key. */
    CALLING,
    /** It rings here. */
    RINGING,
    TALKING,
    /** They put it on hold. */
    HELD,
    /** The other end put it on hold, or parked it. */
    WAITING,
    /** Nobody is at the other end any more. */
    UNATTENDED,
    /** It cannot be completed. */
    FAILED,
    /** They leave a message in a mailbox. */
    MESSAGE,
    /** They have sent it on, and nobody has answered yet. */
    SENT
  }

  /** How it stands for nobody in particular. */
  public enum Whole {
    FAILED,
    MESSAGE,
    /** A machine welcomes whoever called. */
    WELCOMED,
    PARKED,
    /** More than two talk. */
    CONFERENCE,
    DIALLING,
    RINGING,
    UNATTENDED,
    /** One of both is on hold. */
    HELD,
    TALKING
  }

  /**
   * How a call stands for whoever has this connection.
   *
   * @param own a connection of the call
   */
  public static Phase of(Call call, Connection own) {
    if (own.rings()) {
      return Phase.RINGING;
    }
    Whole whole = whole(call);
    if (whole == Whole.FAILED || whole == Whole.MESSAGE) {
      return whole == Whole.FAILED ? Phase.FAILED : Phase.MESSAGE;
    }
    if (own.state() == ConnectionState.HOLD && call.answered() != null) {
      return Phase.HELD;
    }
    if (call.parked() != null) {
      return Phase.WAITING;
    }
    return call.conversation() ? amongOthers(call, own) : ahead(whole);
  }

  private static Phase ahead(Whole whole) {
    return whole == Whole.RINGING ? Phase.CALLING : Phase.DIALLING;
  }

  private static Phase amongOthers(Call call, Connection own) {
    List<Connection> others =
        call.connections().stream()
            .filter(each -> each.leg() != own.leg() && each.answered())
            .toList();
    if (others.stream().noneMatch(Connection::attended)) {
      return Phase.UNATTENDED;
    }
    boolean held = others.stream().allMatch(each -> each.state() == ConnectionState.HOLD);
    return held ? Phase.WAITING : Phase.TALKING;
  }

  /** How a call stands as a whole. */
  public static Whole whole(Call call) {
    if (call.failure() != null) {
      return Whole.FAILED;
    }
    if (call.mailbox() != null) {
      return Whole.MESSAGE;
    }
    if (call.standIn() != null) {
      return Whole.WELCOMED;
    }
    if (call.waitsInSlot()) {
      return Whole.PARKED;
    }
    if (call.conference()) {
      return Whole.CONFERENCE;
    }
    if (!call.conversation()) {
      boolean rings = call.connections().stream().anyMatch(Connection::rings);
      return rings ? Whole.RINGING : Whole.DIALLING;
    }
    if (call.connections().stream().anyMatch(each -> !each.attended())) {
      return Whole.UNATTENDED;
    }
    boolean held =
        call.connections().stream().anyMatch(each -> each.state() == ConnectionState.HOLD);
    return held ? Whole.HELD : Whole.TALKING;
  }
}
