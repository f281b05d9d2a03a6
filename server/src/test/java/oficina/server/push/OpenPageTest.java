package oficina.server.push;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.contains;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;
import static org.mockito.Mockito.withSettings;

import jakarta.websocket.RemoteEndpoint;
import jakarta.websocket.SendHandler;
import jakarta.websocket.SendResult;
import jakarta.websocket.Session;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import oficina.core.people.PersonId;
import oficina.core.people.Role;
import oficina.server.Client;
import oficina.server.TestServer;
import oficina.server.passwords.Employee;
import oficina.server.signin.SignIn;
import oficina.server.topics.Topic;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.mockito.ArgumentCaptor;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.adapter.NativeWebSocketSession;

/** What goes wrong with one page is that page's alone. */
@ExtendWith(TestServer.class)
class OpenPageTest {
  private static final SendResult SENT = new SendResult((Session) null);

  private final RemoteEndpoint.Async remote = mock(RemoteEndpoint.Async.class);
  private final WebSocketSession socket =
      mock(WebSocketSession.class, withSettings().extraInterfaces(NativeWebSocketSession.class));

  private OpenPage page(Function<OpenPage.Changes, String> write) {
    Session line = mock(Session.class);
    when(line.getAsyncRemote()).thenReturn(remote);
    when(((NativeWebSocketSession) socket).getNativeSession(Session.class)).thenReturn(line);
    SignIn signIn =
        new SignIn(
            "s",
            "hash",
            new Employee(new PersonId(1), "ines", Role.EMPLOYEE, false),
            Instant.EPOCH,
            Instant.EPOCH,
            "127.0.0.1",
            "");
    return new OpenPage(socket, signIn, Runnable::run, Runnable::run, write);
  }

  @Test
  void a_page_that_cannot_be_drawn_is_closed_so_that_it_gets_the_whole_picture_anew()
      throws Exception {
    OpenPage page =
        page(
            changes -> {
              throw new IllegalStateException("not to be drawn");
            });
    page.tell(Topic.CALLS);
    verify(socket).close(CloseStatus.SESSION_NOT_RELIABLE);
    page.tell(Topic.CALLS);
    verify(remote, never()).sendText(any(), any());
  }

  @Test
  void an_error_of_the_machine_leaves_no_page_silent_either() throws Exception {
    OpenPage page =
        page(
            changes -> {
              throw new StackOverflowError();
            });
    try {
      page.tell(Topic.CALLS);
    } catch (StackOverflowError e) {
      // the thread's own business
    }
    verify(socket).close(CloseStatus.SESSION_NOT_RELIABLE);
  }

  @Test
  void half_a_surrogate_pair_from_wherever_is_sent_as_what_can_be_sent() {
    Pushes pushes = TestServer.get().bean(Pushes.class);
    OpenPage page = page(pushes::write);
    page.tell(new NoticeView("MISSED", Map.of("name", "\ud800!"), null));
    verify(remote).sendText(contains("\ufffd!"), any());
  }

  @Test
  void nothing_more_is_drawn_for_a_page_before_it_has_answered() {
    List<Set<Topic>> drawn = new ArrayList<>();
    OpenPage page =
        page(
            changes -> {
              drawn.add(changes.topics());
              return "";
            });
    ArgumentCaptor<SendHandler> sent = ArgumentCaptor.forClass(SendHandler.class);
    page.heard(); // answers to nothing
    page.tell(Topic.CALLS);
    verify(remote).sendText(any(), sent.capture());
    sent.getValue().onResult(SENT);
    page.tell(Topic.SHELF);
    page.tell(Topic.SERVICE);
    assertThat(drawn).containsExactly(Set.of(Topic.CALLS));
    page.heard();
    Set<Topic> meanwhile = Set.of(Topic.SHELF, Topic.SERVICE);
    assertThat(drawn).containsExactly(Set.of(Topic.CALLS), meanwhile);
    page.heard(); // read before the container says that the message has left
    page.heard(); // once too often
    page.tell(Topic.CALLS);
    assertThat(drawn).hasSize(2);
    sent.getValue().onResult(SENT);
    assertThat(drawn).hasSize(3);
  }

  @Test
  void a_page_that_does_not_answer_delays_nobody_and_is_given_up_until_it_connects_anew() {
    Pushes pushes = TestServer.get().bean(Pushes.class);
    try (Client silent = Client.withoutPage(TestServer.get().address(), "priya");
        Client ines = Client.signedIn("ines")) {
      silent.connectSilently();
      String call = ines.call("999");
      TestServer.get().clock().advance(Duration.ofSeconds(4));
      ines.awaitCall("TALKING");
      PersonId priya = new PersonId(silent.get("/api/session").done().get("id").asLong());
      long begun = System.nanoTime();
      do {
        assertThat(ines.service(call, "hold").status()).isEqualTo(204);
        assertThat(ines.service(call, "retrieve").status()).isEqualTo(204);
      } while (!pushes.opened(page -> page.person().equals(priya)).isEmpty());
      assertThat(Duration.ofNanos(System.nanoTime() - begun)).isLessThan(Duration.ofSeconds(30));
      silent.connect();
      ines.service(call, "clear");
      silent.await(push -> push.path("people").toString().contains("Ines Calloway"));
    }
  }
}
