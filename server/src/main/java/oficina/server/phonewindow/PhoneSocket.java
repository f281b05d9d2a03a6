package oficina.server.phonewindow;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import oficina.core.handset.Key;
import oficina.core.people.PersonId;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.handset.Handsets;
import oficina.server.handset.Secrets;
import oficina.server.threads.Threads;
import oficina.server.time.MovableClock;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.handler.TextWebSocketHandler;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * The line of simulated telephones. The first that one says is its secret; who says nothing, or
 * nothing that is right, is hung up on. What takes time is done in threads of its own, of each
 * telephone one after the other.
 */
@Component
@ConditionalOnProperty("oficina.stand-ins")
class PhoneSocket extends TextWebSocketHandler {
  private static final Logger LOG = LoggerFactory.getLogger(PhoneSocket.class);
  private static final int LONGEST_MESSAGE = 24_000;
  private static final int MOST_PHONES = 500;

  /** So many of one network address may not have said yet who they are: an office at its start. */
  private static final int MOST_UNPROVED = 50;

  private static final int MOST_UNPROVED_TOGETHER = 200;
  private static final long PLUGGING_SECONDS = 10;
  private static final long LONGEST_SILENCE_SECONDS = 10;

  /** Tells a telephone that its secret is of no use. */
  static final CloseStatus UNKNOWN = new CloseStatus(4003, "unknown telephone");

  private final Handsets handsets;
  private final Secrets secrets;
  private final ExchangeLoop loop;
  private final JsonMapper json;
  private final MovableClock clock;
  private final Map<String, PhoneWindow> phones = new ConcurrentHashMap<>();
  private final ExecutorService work =
      Executors.newFixedThreadPool(2, Threads.named("phone-windows"));
  private final ScheduledExecutorService heart =
      Executors.newSingleThreadScheduledExecutor(Threads.named("phone-windows"));

  PhoneSocket(
      Handsets handsets, Secrets secrets, ExchangeLoop loop, JsonMapper json, MovableClock clock) {
    this.clock = clock;
    this.handsets = handsets;
    this.secrets = secrets;
    this.loop = loop;
    this.json = json;
    heart.scheduleWithFixedDelay(this::lookAfter, 2, 2, TimeUnit.SECONDS);
  }

  /**
   * What a telephone says. One of these at a time.
   *
   * @param secret by which it shows who it is
   * @param inPlaceOf with the secret: whether another one with this identity is to make room
   * @param key kind of the key that is pressed
   * @param number with the key: which of its kind
   * @param sdp its sound, as WebRTC offers it
   */
  record Said(
      @Nullable String secret,
      @Nullable Boolean inPlaceOf,
      @Nullable String key,
      @Nullable Integer number,
      @Nullable String sdp) {}

  @Override
  public void afterConnectionEstablished(WebSocketSession socket) {
    if (!makeRoom(PhoneWindow.origin(socket))) {
      PhoneWindow.close(socket, CloseStatus.SERVICE_OVERLOAD);
      return;
    }
    socket.setTextMessageSizeLimit(LONGEST_MESSAGE);
    PhoneWindow phone = new PhoneWindow(socket, json, clock);
    phones.put(socket.getId(), phone);
    heart.schedule(
        () -> {
          if (phone.owner() == null) {
            phone.close(UNKNOWN);
          }
        },
        PLUGGING_SECONDS,
        TimeUnit.SECONDS);
  }

  /**
   * Whoever has not said yet who they are gives way to the next one, the oldest first: honest ones
   * say so at once.
   *
   * @return false when there are too many that have
   */
  private boolean makeRoom(String origin) {
    List<PhoneWindow> unproved =
        phones.values().stream()
            .filter(each -> each.owner() == null)
            .sorted(Comparator.comparingLong(PhoneWindow::since))
            .toList();
    List<PhoneWindow> ofOrigin =
        unproved.stream().filter(each -> each.origin().equals(origin)).toList();
    if (ofOrigin.size() >= MOST_UNPROVED) {
      giveWay(ofOrigin.get(0));
    } else if (unproved.size() >= MOST_UNPROVED_TOGETHER) {
      giveWay(unproved.get(0));
    }
    return phones.size() - unproved.size() < MOST_PHONES;
  }

  private void giveWay(PhoneWindow phone) {
    phones.values().remove(phone);
    phone.close(CloseStatus.SERVICE_OVERLOAD);
  }

  @Override
  protected void handleTextMessage(WebSocketSession socket, TextMessage message) {
    PhoneWindow phone = phones.get(socket.getId());
    if (phone == null) {
      return;
    }
    if (message.getPayloadLength() > LONGEST_MESSAGE || !phone.maySpeak()) {
      phone.close(CloseStatus.POLICY_VIOLATION);
      return;
    }
    try {
      understand(phone, json.readValue(message.getPayload(), Said.class));
    } catch (JacksonException e) {
      phone.close(CloseStatus.BAD_DATA);
    }
  }

  private void understand(PhoneWindow phone, Said said) {
    if (said.secret() != null) {
      work.execute(() -> plug(phone, said.secret(), Boolean.TRUE.equals(said.inPlaceOf())));
    } else if (phone.owner() != null && said.key() != null) {
      Key key = Key.reported(said.key(), said.number() == null ? 0 : said.number());
      if (key == null) {
        phone.close(CloseStatus.BAD_DATA);
      } else {
        loop.post(() -> handsets.pressed(phone.owner(), phone, key));
      }
    } else if (phone.owner() != null && said.sdp() != null) {
      work.execute(() -> hear(phone, said.sdp()));
    }
  }

  private void plug(PhoneWindow phone, String secret, boolean inPlaceOf) {
    PersonId owner;
    try {
      owner = secrets.ownerOf(secret);
    } catch (DataAccessException e) {
      phone.close(CloseStatus.SERVICE_OVERLOAD); // it tries again, until the database is back
      return;
    }
    if (owner == null) {
      phone.close(UNKNOWN);
      return;
    }
    loop.post(
        () -> {
          if (!phones.containsValue(phone)) {
            return; // hung up meanwhile
          }
          boolean reloaded =
              phones.values().stream().anyMatch(each -> secret.equals(each.secret()));
          phone.isOf(owner, secret); // before it is told anything: keys may follow at once
          if (!handsets.plug(owner, phone, inPlaceOf || reloaded)) {
            phone.isOf(null, null);
            phone.send(Map.of("inUse", true));
          }
        });
  }

  private void hear(PhoneWindow phone, String sdp) {
    try {
      phone.send(Map.of("sdp", handsets.hears(phone.owner(), phone, sdp)));
    } catch (RuntimeException e) {
      LOG.warn("The sound of a telephone could not be connected", e);
      phone.close(CloseStatus.BAD_DATA);
    }
  }

  @Override
  public void afterConnectionClosed(WebSocketSession socket, CloseStatus status) {
    PhoneWindow phone = phones.remove(socket.getId());
    if (phone != null) {
      loop.post(
          () -> {
            if (phone.owner() != null) {
              handsets.unplug(phone.owner(), phone);
            }
          });
    }
  }

  /** One whose network is gone says nothing any more, and is as good as unplugged. */
  private void lookAfter() {
    for (PhoneWindow phone : phones.values()) {
      if (phone.silentSeconds() >= LONGEST_SILENCE_SECONDS) {
        phone.close(CloseStatus.SESSION_NOT_RELIABLE);
      }
    }
  }
}
