package oficina.server.push;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Function;
import oficina.core.people.PersonId;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;

/**
 * One open page. What has changed is only marked here; the message is drawn up when the page can
 * take it, from how things are then. A slow page therefore gets fewer messages, never old ones, and
 * keeps nobody waiting.
 */
final class Page {
  private final WebSocketSession socket;
  private final PersonId person;
  private final Executor senders;
  private final Function<Changes, String> write;
  private final Set<Topic> topics = ConcurrentHashMap.newKeySet();
  private final Set<PersonId> people = ConcurrentHashMap.newKeySet();
  private final ConcurrentLinkedQueue<Notice> notices = new ConcurrentLinkedQueue<>();
  private final AtomicBoolean sending = new AtomicBoolean();

  /** What a page can be told of. */
  enum Topic {
    EVERYTHING,
    CALLS,
    SHELF,
    PEOPLE,
    HISTORY,
    WORKLIST,
    OUTSIDE,
    SERVICE
  }

  /** What is to be told now. */
  record Changes(Page page, Set<Topic> topics, Set<PersonId> people, List<Notice> notices) {}

  Page(
      WebSocketSession socket, PersonId person, Executor senders, Function<Changes, String> write) {
    this.socket = socket;
    this.person = person;
    this.senders = senders;
    this.write = write;
  }

  PersonId person() {
    return person;
  }

  String httpSession() {
    return (String) socket.getAttributes().get(PushConfig.HTTP_SESSION);
  }

  void tell(Topic topic) {
    topics.add(topic);
    send();
  }

  void tellOf(PersonId changed) {
    people.add(changed);
    tell(Topic.PEOPLE);
  }

  void tell(Notice notice) {
    notices.add(notice);
    send();
  }

  private void send() {
    if (sending.compareAndSet(false, true)) {
      senders.execute(this::drain);
    }
  }

  private void drain() {
    try {
      while (!topics.isEmpty() || !notices.isEmpty()) {
        socket.sendMessage(new TextMessage(write.apply(take())));
      }
    } catch (IOException | IllegalStateException e) {
      close(CloseStatus.SESSION_NOT_RELIABLE);
      return; // never again to be sent to
    }
    sending.set(false);
    if (!topics.isEmpty() || !notices.isEmpty()) {
      send();
    }
  }

  /** Marks are taken away before the state is read, so that no change falls between. */
  private Changes take() {
    Set<Topic> nowTopics = Set.copyOf(topics);
    topics.removeAll(nowTopics);
    Set<PersonId> nowPeople = Set.copyOf(people);
    people.removeAll(nowPeople);
    List<Notice> nowNotices = new ArrayList<>();
    for (Notice next = notices.poll(); next != null; next = notices.poll()) {
      nowNotices.add(next);
    }
    return new Changes(this, nowTopics, nowPeople, nowNotices);
  }

  void close(CloseStatus why) {
    try {
      socket.close(why);
    } catch (IOException e) {
      // It is gone already.
    }
  }
}
