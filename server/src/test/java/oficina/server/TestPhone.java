package oficina.server;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.WebSocket;
import java.util.Map;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import oficina.server.json.CoreJson;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** A desk phone at the end of its line, as equipment is. */
public final class TestPhone implements WebSocket.Listener {
  private final BlockingQueue<JsonNode> told = new LinkedBlockingQueue<>();
  private final BlockingQueue<Integer> closed = new LinkedBlockingQueue<>();
  private final StringBuilder part = new StringBuilder();
  private final WebSocket socket;
  private volatile long toldAt;

  public TestPhone(@Nullable Object first) {
    String address = TestServer.get().address().replace("http", "ws") + "/api/handset";
    socket =
        HttpClient.newHttpClient()
            .newWebSocketBuilder()
            .buildAsync(URI.create(address), this)
            .join();
    if (first != null) {
      say(first);
    }
  }

  public void say(Object what) {
    socket.sendText(CoreJson.JSON.writeValueAsString(what), /* last= */ true).join();
  }

  public void press(String key, int number) {
    say(Map.of("key", key, "number", number));
  }

  @Override
  public CompletionStage<?> onText(WebSocket from, CharSequence text, boolean last) {
    part.append(text);
    if (last) {
      toldAt = System.nanoTime();
      told.add(CoreJson.JSON.readTree(part.toString()));
      part.setLength(0);
    }
    from.request(1);
    return null;
  }

  @Override
  public CompletionStage<?> onClose(WebSocket from, int code, String reason) {
    closed.add(code);
    return null;
  }

  public boolean isTold() {
    return !told.isEmpty();
  }

  /** When it was told something last, by {@link System#nanoTime}. */
  public long toldAt() {
    return toldAt;
  }

  /** Waits until something it is told has this in it. */
  public JsonNode hears(String text) {
    JsonNode last = null;
    try {
      for (JsonNode next = told.poll(10, TimeUnit.SECONDS);
          next != null;
          next = told.poll(10, TimeUnit.SECONDS)) {
        last = next;
        if (next.toString().contains(text)) {
          return next;
        }
      }
      throw new AssertionError("it was never told of " + text + ", at last of " + last);
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  public int closes() {
    return closes(10_000);
  }

  /** With which code its line is closed within this time; 0 when it is not. */
  public int closes(int millis) {
    try {
      Integer code = closed.poll(millis, TimeUnit.MILLISECONDS);
      return code == null ? 0 : code;
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  public void unplug() {
    socket.abort();
  }
}
