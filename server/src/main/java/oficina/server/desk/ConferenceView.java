package oficina.server.desk;

import java.util.List;
import oficina.server.people.PartyView;

/**
 * A conference as one of its members sees it.
 *
 * @param mine whether the viewer started it and orders it
 * @param limit how many it can have, the viewer included
 * @param members everybody else in it
 */
public record ConferenceView(boolean mine, int limit, List<Member> members) {

  /**
   * Somebody else in the conference.
   *
   * @param leg names them in requests
   * @param muted whether they are heard by nobody
   * @param away whether they have turned to another call
   */
  public record Member(int leg, PartyView who, boolean muted, boolean away) {}
}
