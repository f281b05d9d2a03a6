package oficina.server.push;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import oficina.server.exchange.CallBackView;
import oficina.server.exchange.CallView;
import oficina.server.exchange.SlotView;
import oficina.server.people.PersonView;

/**
 * What a page is told over its WebSocket. The first message after connecting has everything; later
 * ones have what changed, each part whole.
 *
 * @param now time of the server's clock, by which the page counts
 * @param calls all the person's calls in hand
 * @param callBacks colleagues the person waits for, as many as there are
 * @param shelf all park slots
 * @param run which start of the server this is: another one than before tells of a restart
 * @param people everybody in the first message, later those whose state changed
 * @param historyChanged whether the history has new or changed entries
 * @param worklistChanged whether the list of calls to return may have changed
 * @param outsideChanged whether a subscriber this person plays has changed
 * @param behind whether events wait for the database
 */
@Schema(name = "Push")
public record Push(
    Instant now,
    String run,
    @Schema(nullable = true) List<CallView> calls,
    @Schema(nullable = true) List<CallBackView> callBacks,
    @Schema(nullable = true) List<SlotView> shelf,
    @Schema(nullable = true) List<PersonView> people,
    boolean historyChanged,
    boolean worklistChanged,
    boolean outsideChanged,
    boolean behind,
    List<Notice> notices) {}
