package oficina.server.push;

import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import oficina.core.people.PersonId;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.people.Presence;
import oficina.server.signin.Employee;
import oficina.server.signin.SignedOut;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Component;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.handler.TextWebSocketHandler;

/** The WebSocket of the pages: one each, for telling them what changed. */
@Component
public class PushSocket extends TextWebSocketHandler {
  /** How long a page may be away, as during a reload, before its owner counts as gone. */
  private static final Duration GRACE = Duration.ofSeconds(10);

  private static final CloseStatus SIGNED_OUT = new CloseStatus(4001, "signed out");

  /** A page that takes longer to receive a message is given up; it will connect anew. */
  private static final long SEND_TIMEOUT_MS = 5_000;

  /** Often enough for a page to notice soon that the line is lost. */
  private static final long HEARTBEAT_SECONDS = 10;

  private final Pushes pushes;
  private final Presence presence;
  private final ExchangeLoop loop;
  private final ApplicationEventPublisher events;
  private final Map<String, Page> pages = new ConcurrentHashMap<>();
  private final ExecutorService senders = Executors.newCachedThreadPool();
  private final ScheduledExecutorService heart = Executors.newSingleThreadScheduledExecutor();

  PushSocket(
      Pushes pushes, Presence presence, ExchangeLoop loop, ApplicationEventPublisher events) {
    this.pushes = pushes;
    this.presence = presence;
    this.loop = loop;
    this.events = events;
    heart.scheduleAtFixedRate(
        pushes::sayAlive, HEARTBEAT_SECONDS, HEARTBEAT_SECONDS, TimeUnit.SECONDS);
  }

  @Override
  public void afterConnectionEstablished(WebSocketSession socket) {
    Employee me = (Employee) ((Authentication) socket.getPrincipal()).getPrincipal();
    socket
        .getAttributes()
        .put("org.apache.tomcat.websocket.BLOCKING_SEND_TIMEOUT", SEND_TIMEOUT_MS);
    Page page = new Page(socket, me.id(), senders, pushes::write);
    pages.put(socket.getId(), page);
    if (presence.pageCame(me.id())) {
      loop.presenceChanged(me.id());
    }
    pushes.add(page);
  }

  @Override
  public void afterConnectionClosed(WebSocketSession socket, CloseStatus status) {
    Page page = pages.remove(socket.getId());
    if (page == null) {
      return;
    }
    pushes.remove(page);
    PersonId person = page.person();
    if (status.getCode() == SIGNED_OUT.getCode()) {
      went(person);
    } else {
      loop.ask(
          () -> {
            loop.later(GRACE, () -> went(person));
            return null;
          });
    }
  }

  private void went(PersonId person) {
    if (presence.pageWent(person)) {
      loop.presenceChanged(person);
      events.publishEvent(new LastPageClosed(person));
    }
  }

  /** Closes the pages of a session that has signed out. */
  @EventListener
  void signedOut(SignedOut event) {
    pushes.opened(event.httpSession()).forEach(page -> page.close(SIGNED_OUT));
  }

  @PreDestroy
  void stop() {
    heart.shutdownNow();
    senders.shutdownNow();
  }
}
