package oficina.server.phonewindow;

import jakarta.websocket.Session;
import java.io.IOException;
import java.util.ArrayDeque;
import java.util.Map;
import java.util.Queue;
import oficina.core.handset.Panel;
import oficina.core.people.PersonId;
import oficina.server.door.PerSecond;
import oficina.server.handset.Handset;
import oficina.server.time.MovableClock;
import org.jspecify.annotations.Nullable;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.adapter.NativeWebSocketSession;
import tools.jackson.databind.json.JsonMapper;

/**
 * One simulated telephone at the end of its line. Sends one thing after the other, never waiting.
 */
final class PhoneWindow implements Handset {
  /** What a window that takes nothing in may have outstanding. */
  private static final int MOST_WAITING = 200;

  private static final int KEYS_PER_SECOND = 40;

  private final WebSocketSession socket;
  private final Session line;
  private final JsonMapper json;
  private final MovableClock clock;
  private final Queue<String> waiting = new ArrayDeque<>();
  private final long since = System.nanoTime();
  private boolean sending;
  private volatile long heardAt = System.nanoTime();
  private final PerSecond speaking = new PerSecond(KEYS_PER_SECOND);

  private volatile @Nullable PersonId owner;
  private volatile @Nullable String secret;

  PhoneWindow(WebSocketSession socket, JsonMapper json, MovableClock clock) {
    this.socket = socket;
    this.line = ((NativeWebSocketSession) socket).getNativeSession(Session.class);
    this.json = json;
    this.clock = clock;
  }

  /** When it connected, by a clock of its own. */
  long since() {
    return since;
  }

  /** From which network address it comes. */
  String origin() {
    return origin(socket);
  }

  static String origin(WebSocketSession socket) {
    return socket.getRemoteAddress() == null
        ? ""
        : socket.getRemoteAddress().getAddress().getHostAddress();
  }

  @Override
  public void show(Panel panel) {
    send(Map.of("panel", panel, "now", clock.instant()));
  }

  /** It hangs up by itself: a line that is closed while something is sent may say no reason. */
  @Override
  public void replaced() {
    send(Map.of("replaced", true));
  }

  /** It has shown whose telephone it is; nobody's when there is another one. */
  void isOf(@Nullable PersonId whose, @Nullable String by) {
    owner = whose;
    secret = by;
  }

  /** Whose telephone it is; null before it has shown its secret. */
  @Nullable PersonId owner() {
    return owner;
  }

  /** By which it has shown that; the same again when its window is reloaded. */
  @Nullable String secret() {
    return secret;
  }

  /** Whether it says no more than fingers can press. */
  boolean maySpeak() {
    heardAt = System.nanoTime();
    return speaking.allows();
  }

  long silentSeconds() {
    return (System.nanoTime() - heardAt) / 1_000_000_000;
  }

  synchronized void send(Map<String, ?> message) {
    waiting.add(json.writeValueAsString(message));
    if (waiting.size() > MOST_WAITING) {
      close(CloseStatus.SESSION_NOT_RELIABLE);
    } else if (!sending) {
      next();
    }
  }

  private synchronized void next() {
    String message = waiting.poll();
    sending = message != null;
    if (!sending) {
      return;
    }
    try {
      line.getAsyncRemote()
          .sendText(
              message,
              result -> {
                if (result.isOK()) {
                  next();
                }
              });
    } catch (IllegalStateException hungUp) {
      waiting.clear(); // whoever listens for it is told that it is gone
    }
  }

  void close(CloseStatus why) {
    close(socket, why);
  }

  static void close(WebSocketSession socket, CloseStatus why) {
    try {
      socket.close(why);
    } catch (IOException | IllegalStateException e) {
      // It is gone already.
    }
  }
}
