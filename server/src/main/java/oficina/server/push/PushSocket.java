package oficina.server.push;

import jakarta.annotation.PreDestroy;
import java.util.Collection;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import oficina.server.devices.Windows;
import oficina.server.door.RequestLimits;
import oficina.server.problems.Problem;
import oficina.server.signin.SignIn;
import oficina.server.signin.SignInEnded;
import oficina.server.signin.SignInRenewed;
import oficina.server.signin.SignIns;
import oficina.server.threads.Threads;
import oficina.server.topics.Topic;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.handler.TextWebSocketHandler;

/**
 * The WebSocket of the pages: one each, for telling them what changed. A page answers to what it is
 * told, with anything; one that no longer does is not there, however open its line may be.
 */
@Component
public class PushSocket extends TextWebSocketHandler {
  private static final Logger LOG = LoggerFactory.getLogger(PushSocket.class);

  /** Often enough for a page to notice within ten seconds that the line is lost. */
  private static final long HEARTBEAT_SECONDS = 3;

  /** How long a page may say nothing: a suspended one is given up before half a minute is over. */
  private static final long LONGEST_SILENCE_SECONDS = 12;

  /** Pages are drawn up here; sending waits for nobody. */
  private static final int DRAWERS = 2;

  private static final long RENEWAL_SECONDS = 1;

  private static final int LONGEST_ANSWER = 16;

  private final Pushes pushes;
  private final Windows windows;
  private final SignIns signIns;
  private final RequestLimits limits;
  private final Map<String, OpenPage> pages = new ConcurrentHashMap<>();
  private final ExecutorService drawers =
      Executors.newFixedThreadPool(DRAWERS, Threads.named("desks"));
  private final ExecutorService firstDrawer =
      Executors.newSingleThreadExecutor(Threads.named("first-desks"));
  private final ScheduledExecutorService heart =
      Executors.newSingleThreadScheduledExecutor(Threads.named("heart"));

  PushSocket(Pushes pushes, Windows windows, SignIns signIns, RequestLimits limits) {
    this.pushes = pushes;
    this.windows = windows;
    this.signIns = signIns;
    this.limits = limits;
    heart.scheduleWithFixedDelay(
        this::beat, HEARTBEAT_SECONDS, HEARTBEAT_SECONDS, TimeUnit.SECONDS);
  }

  /** Nothing that goes wrong with one page may stop the heart of all. */
  private void beat() {
    for (OpenPage page : pages.values()) {
      try {
        if (!signIns.use(page.signIn())) {
          page.signOut();
        } else if (page.silentFor().toSeconds() >= LONGEST_SILENCE_SECONDS) {
          page.close(CloseStatus.SESSION_NOT_RELIABLE);
        } else {
          page.tell(Topic.SERVICE);
        }
      } catch (RuntimeException e) {
        LOG.error("A page of {} could not be looked at", page.person(), e);
      }
    }
  }

  @Override
  public void afterConnectionEstablished(WebSocketSession socket) {
    SignIn signIn = (SignIn) socket.getAttributes().get(PushDoor.SIGN_IN);
    OpenPage page = new OpenPage(socket, signIn, drawers, firstDrawer, pushes::write);
    pages.put(socket.getId(), page);
    windows.connected(page.person(), page.device());
    pushes.add(page);
  }

  @Override
  protected void handleTextMessage(WebSocketSession socket, TextMessage message) {
    OpenPage page = pages.get(socket.getId());
    if (page == null) {
      return;
    }
    if (message.getPayloadLength() > LONGEST_ANSWER) {
      page.close(CloseStatus.TOO_BIG_TO_PROCESS);
      return;
    }
    try (RequestLimits.UnderWay counted = limits.signedIn(page.signIn().id())) {
      page.heard();
    } catch (Problem tooMany) {
      page.close(CloseStatus.POLICY_VIOLATION);
    }
  }

  @Override
  public void afterConnectionClosed(WebSocketSession socket, CloseStatus status) {
    OpenPage page = pages.remove(socket.getId());
    if (page != null) {
      pushes.remove(page);
      boolean forGood = status.getCode() == OpenPage.SIGNED_OUT.getCode();
      windows.lost(page.person(), page.device(), forGood);
    }
  }

  /** Closes the pages of a sign-in that has ended. */
  @EventListener
  void ended(SignInEnded event) {
    pushes.opened(page -> event.id().equals(page.signIn().id())).forEach(OpenPage::signOut);
  }

  /**
   * Pages of a sign-in that has another secret connect anew with it; a moment later, when their
   * browser has learnt of it.
   */
  @EventListener
  void renewed(SignInRenewed event) {
    Collection<OpenPage> before = pushes.opened(page -> event.id().equals(page.signIn().id()));
    heart.schedule(
        () -> before.forEach(page -> page.close(CloseStatus.SERVICE_RESTARTED)),
        RENEWAL_SECONDS,
        TimeUnit.SECONDS);
  }

  @PreDestroy
  void stop() {
    heart.shutdownNow();
    drawers.shutdownNow();
    firstDrawer.shutdownNow();
  }
}
