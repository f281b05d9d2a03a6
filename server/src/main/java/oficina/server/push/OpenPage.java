package oficina.server.push;

import jakarta.websocket.SendResult;
import jakarta.websocket.Session;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Function;
import oficina.core.call.DeviceId;
import oficina.core.people.PersonId;
import oficina.server.signin.SignIn;
import oficina.server.topics.Topic;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.adapter.NativeWebSocketSession;

/**
 * One open page. What has changed is only marked here; the message is drawn up when the page has
 * answered to the one before, from how things are then. A slow page therefore gets fewer messages,
 * never old ones, and keeps nobody waiting; one that does not read costs one message.
 */
final class OpenPage {
  private static final Logger LOG = LoggerFactory.getLogger(OpenPage.class);

  /** Tells a page that its sign-in has ended, and not the line. */
  static final CloseStatus SIGNED_OUT = new CloseStatus(4001, "signed out");

  /** A page that takes longer to receive a message is given up; it will connect anew. */
  private static final long SEND_TIMEOUT_MS = 5_000;

  private final WebSocketSession socket;
  private final Session line;
  private final SignIn signIn;
  private final Executor drawers;
  private final Executor firstDrawer;
  private final Function<Changes, String> write;
  private final Set<Topic> topics = ConcurrentHashMap.newKeySet();
  private final Set<PersonId> people = ConcurrentHashMap.newKeySet();
  private final ConcurrentLinkedQueue<NoticeView> notices = new ConcurrentLinkedQueue<>();
  private final AtomicBoolean sending = new AtomicBoolean();

  /** Of the message under way: whether it has left, and whether the page has answered. */
  private final AtomicInteger outstanding = new AtomicInteger();

  private final AtomicBoolean answerOwed = new AtomicBoolean();
  private volatile boolean wholeBoard;
  private volatile boolean drawnBefore;
  private volatile long heardAt = System.nanoTime();

  /**
   * What is to be told now.
   *
   * @param people whose state has changed; empty for everybody
   */
  record Changes(
      OpenPage page, Set<Topic> topics, Set<PersonId> people, List<NoticeView> notices) {}

  /**
   * @param firstDrawer draws the first, whole picture: many who come at once wait for each other
   *     there, and keep no page waiting that is told of changes
   */
  OpenPage(
      WebSocketSession socket,
      SignIn signIn,
      Executor drawers,
      Executor firstDrawer,
      Function<Changes, String> write) {
    this.socket = socket;
    this.line = ((NativeWebSocketSession) socket).getNativeSession(Session.class);
    this.signIn = signIn;
    this.drawers = drawers;
    this.firstDrawer = firstDrawer;
    this.write = write;
    line.getAsyncRemote().setSendTimeout(SEND_TIMEOUT_MS);
    line.getUserProperties()
        .put("org.apache.tomcat.websocket.BLOCKING_SEND_TIMEOUT", SEND_TIMEOUT_MS);
  }

  PersonId person() {
    return signIn.employee().id();
  }

  /** The sign-in it was opened with. */
  SignIn signIn() {
    return signIn;
  }

  /** The window it is. */
  DeviceId device() {
    return (DeviceId) socket.getAttributes().get(PushDoor.DEVICE);
  }

  /** The network address it was opened from. */
  String origin() {
    return (String) socket.getAttributes().get(PushDoor.ORIGIN);
  }

  /** It has said that it is there, which is its answer to what it was told last. */
  void heard() {
    heardAt = System.nanoTime();
    if (answerOwed.compareAndSet(true, false)) {
      oneLessOutstanding();
    }
  }

  /** How long it has said nothing. */
  Duration silentFor() {
    return Duration.ofNanos(System.nanoTime() - heardAt);
  }

  /** Marks everything as changed: the page gets the whole picture. */
  void tellEverything() {
    wholeBoard = true;
    topics.addAll(EnumSet.complementOf(EnumSet.of(Topic.NOTICES)));
    send();
  }

  /** Of people without naming them: everybody. */
  void tell(Topic topic) {
    if (topic == Topic.PEOPLE) {
      wholeBoard = true;
    }
    topics.add(topic);
    send();
  }

  void tellOf(PersonId changed) {
    people.add(changed);
    topics.add(Topic.PEOPLE);
    send();
  }

  void tell(NoticeView notice) {
    notices.add(notice);
    topics.add(Topic.NOTICES);
    send();
  }

  private void send() {
    if (sending.compareAndSet(false, true)) {
      Executor drawer = drawnBefore ? drawers : firstDrawer;
      drawnBefore = true;
      drawer.execute(this::drawUp);
    }
  }

  /** Whatever fails here is this page's alone: it connects anew, and gets the whole picture. */
  private void drawUp() {
    boolean drawn = false;
    try {
      if (topics.isEmpty()) {
        ready();
      } else {
        String message = write.apply(take());
        outstanding.set(2);
        answerOwed.set(true);
        line.getAsyncRemote().sendText(message, this::sent);
      }
      drawn = true;
    } catch (RuntimeException e) {
      if (socket.isOpen()) {
        LOG.warn("What a page of {} is to be told could not be drawn up", person(), e);
      }
    } finally {
      if (!drawn) {
        giveUp();
      }
    }
  }

  /** In a thread of the container, which must not be kept. */
  private void sent(SendResult result) {
    if (result.isOK()) {
      oneLessOutstanding();
    } else {
      giveUp();
    }
  }

  private void oneLessOutstanding() {
    if (outstanding.decrementAndGet() == 0) {
      drawers.execute(this::drawUp);
    }
  }

  private void ready() {
    sending.set(false);
    if (!topics.isEmpty()) {
      send();
    }
  }

  /** Never again to be sent to. */
  private void giveUp() {
    drawers.execute(() -> close(CloseStatus.SESSION_NOT_RELIABLE));
  }

  /**
   * Marks are taken away before the state is read, so that no change falls between; and what
   * belongs to a topic is taken only together with its mark.
   */
  private Changes take() {
    Set<Topic> nowTopics = Set.copyOf(topics);
    topics.removeAll(nowTopics);
    return new Changes(
        this,
        nowTopics,
        nowTopics.contains(Topic.PEOPLE) ? takePeople() : Set.of(),
        nowTopics.contains(Topic.NOTICES) ? takeNotices() : List.of());
  }

  private Set<PersonId> takePeople() {
    boolean whole = wholeBoard;
    wholeBoard = false;
    Set<PersonId> changed = Set.copyOf(people);
    people.removeAll(changed);
    return whole ? Set.of() : changed;
  }

  private List<NoticeView> takeNotices() {
    List<NoticeView> all = new ArrayList<>();
    for (NoticeView next = notices.poll(); next != null; next = notices.poll()) {
      all.add(next);
    }
    return all;
  }

  void signOut() {
    close(SIGNED_OUT);
  }

  /** Ends it. Its window may connect anew, unless it was signed out. */
  void close(CloseStatus why) {
    try {
      socket.close(why);
    } catch (IOException | IllegalStateException e) {
      // It is gone already.
    }
  }
}
