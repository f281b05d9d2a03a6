package oficina.server;

import java.io.IOException;
import java.io.InputStream;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.WebSocket;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.Predicate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** One person's browser as far as the server can tell: cookies, HTTP requests, a WebSocket. */
public final class Client implements AutoCloseable {
  private static final JsonMapper JSON = new JsonMapper();

  private final String address;
  private final CookieManager cookies = new CookieManager();
  private final HttpClient http = HttpClient.newBuilder().cookieHandler(cookies).build();
  private final BlockingQueue<JsonNode> pushes = new LinkedBlockingQueue<>();
  private WebSocket socket;
  private volatile boolean listening = true;
  private volatile boolean forgetting;
  private volatile long lastPushAt;
  private volatile CompletableFuture<Integer> closed = new CompletableFuture<>();
  private String window = "";

  public Client(String address) {
    this.address = address;
  }

  /** A browser in which this person has signed in and has a page open. */
  public static Client signedIn(String name) {
    return signedIn(TestServer.get().address(), name);
  }

  public static Client signedIn(String address, String name) {
    Client client = withoutPage(address, name);
    client.connect();
    return client;
  }

  /** Signed in, but with no page open at which calls would ring. */
  public static Client withoutPage(String address, String name) {
    Client client = new Client(address);
    client.signIn(name, "harbour-light").done();
    return client;
  }

  /** Tries a password, again when the machine has been too busy to check it. */
  public Answer signIn(String name, String password) {
    Answer answer;
    do {
      answer = post("/api/session", Map.of("name", name, "password", password));
    } while (answer.status() == 503);
    return answer;
  }

  /** What the server answered. */
  public record Answer(int status, JsonNode body, HttpResponse<String> response) {
    public String code() {
      return body.path("code").asString("");
    }

    /** What was answered to something that is done; otherwise the test ends with the refusal. */
    public JsonNode done() {
      if (status < 300) {
        return body;
      }
      throw new AssertionError(status + " " + body);
    }
  }

  public Answer get(String path) {
    return send("GET", path, null);
  }

  public Answer post(String path, Object body) {
    return send("POST", path, JSON.writeValueAsString(body));
  }

  public Answer put(String path, Object body) {
    return send("PUT", path, JSON.writeValueAsString(body));
  }

  public Answer delete(String path) {
    return send("DELETE", path, null);
  }

  /** A request with any body, well-formed or not. */
  public Answer send(String method, String path, String body, String... headers) {
    if (!method.equals("GET") && cookie("XSRF-TOKEN").isEmpty()) {
      get("/api/session");
    }
    return sendWithoutToken(method, path, body, headers);
  }

  /** What is sent there as a file. */
  public HttpResponse<byte[]> bytes(String path, String... headers) {
    return receive(path, HttpResponse.BodyHandlers.ofByteArray(), headers);
  }

  /** What is sent there as a file, of which one reads as much as one likes. */
  public HttpResponse<InputStream> stream(String path, String... headers) {
    return receive(path, HttpResponse.BodyHandlers.ofInputStream(), headers);
  }

  private <T> HttpResponse<T> receive(
      String path, HttpResponse.BodyHandler<T> body, String... headers) {
    HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path));
    if (headers.length > 0) {
      request.headers(headers);
    }
    try {
      return http.send(request.build(), body);
    } catch (IOException e) {
      throw new AssertionError(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new AssertionError(e);
    }
  }

  /** Puts a file of sound there. */
  public Answer upload(String path, byte[] file) {
    return upload(path, file, "audio/wav");
  }

  /** Puts a file of this kind there. */
  public Answer upload(String path, byte[] file, String type) {
    get("/api/session");
    return sendWithoutToken("PUT", path, HttpRequest.BodyPublishers.ofByteArray(file), type);
  }

  /** A request with an identity of its own, which counts once however often it is sent. */
  public Answer submit(String identity, String path, Object body) {
    return send("POST", path, JSON.writeValueAsString(body), "Idempotency-Key", identity);
  }

  /** A request as a forger would have a browser send it, unless the cookie is there. */
  Answer sendWithoutToken(String method, String path, String body, String... headers) {
    HttpRequest.BodyPublisher sent =
        body == null
            ? HttpRequest.BodyPublishers.noBody()
            : HttpRequest.BodyPublishers.ofString(body);
    return sendWithoutToken(method, path, sent, "application/json", headers);
  }

  private Answer sendWithoutToken(
      String method, String path, HttpRequest.BodyPublisher body, String type, String... headers) {
    HttpRequest.Builder request =
        HttpRequest.newBuilder(URI.create(address + path))
            .header("Content-Type", type)
            .header("X-XSRF-TOKEN", cookie("XSRF-TOKEN"))
            .method(method, body);
    if (headers.length > 0) {
      request.headers(headers);
    }
    try {
      HttpResponse<String> response =
          http.send(request.build(), HttpResponse.BodyHandlers.ofString());
      String text = response.body();
      return new Answer(
          response.statusCode(),
          text.startsWith("{") || text.startsWith("[")
              ? JSON.readTree(text)
              : JSON.createObjectNode(),
          response);
    } catch (IOException e) {
      throw new AssertionError(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new AssertionError(e);
    }
  }

  public String cookie(String name) {
    // A copy: several threads may use this client at once.
    return cookies.getCookieStore().get(URI.create(address)).stream()
        .filter(cookie -> cookie.getName().equals(name))
        .map(HttpCookie::getValue)
        .findFirst()
        .orElse("");
  }

  /** Shows this cookie from now on, as whoever has copied it would. */
  public void show(String name, String value) {
    HttpCookie copied = new HttpCookie(name, value);
    copied.setPath("/");
    copied.setVersion(0);
    cookies.getCookieStore().add(URI.create(address), copied);
  }

  public void forget(String cookie) {
    cookies.getCookieStore().getCookies().stream()
        .filter(each -> each.getName().equals(cookie))
        .toList()
        .forEach(each -> cookies.getCookieStore().remove(null, each));
  }

  /** Opens the page's WebSocket and waits for the first message. */
  public JsonNode connect() {
    pushes.clear(); // what an earlier one was told is of no use any more
    listening = true;
    open();
    return await(push -> push.has("calls") && push.has("people"));
  }

  /** The same as another window of the person's. */
  public JsonNode connect(String device) {
    window = "?device=" + device;
    return connect();
  }

  /** Opens another window of theirs, of which nothing is taken in but that it is there. */
  public void connectAnother(String device) {
    http.newWebSocketBuilder()
        .buildAsync(
            URI.create(address.replace("http:", "ws:") + "/api/push?device=" + device),
            new WebSocket.Listener() {
              @Override
              public CompletionStage<?> onText(WebSocket from, CharSequence text, boolean last) {
                from.request(1);
                return last ? from.sendText("here", /* last= */ true) : null;
              }
            })
        .join();
  }

  private void open() {
    closed = new CompletableFuture<>();
    CompletableFuture<Integer> mine = closed;
    socket =
        http.newWebSocketBuilder()
            .buildAsync(
                URI.create(address.replace("http:", "ws:") + "/api/push" + window),
                new WebSocket.Listener() {
                  private final StringBuilder text = new StringBuilder();
                  private CompletableFuture<?> answered = CompletableFuture.completedFuture(null);

                  @Override
                  public void onOpen(WebSocket webSocket) {
                    if (listening) {
                      webSocket.request(1);
                    }
                  }

                  @Override
                  public CompletionStage<?> onClose(WebSocket webSocket, int code, String why) {
                    mine.complete(code);
                    return null;
                  }

                  @Override
                  public void onError(WebSocket webSocket, Throwable e) {
                    mine.complete(1006);
                  }

                  @Override
                  public CompletionStage<?> onText(
                      WebSocket webSocket, CharSequence data, boolean last) {
                    text.append(data);
                    if (last) {
                      lastPushAt = System.nanoTime();
                      if (!forgetting) {
                        pushes.add(sideBySide(JSON.readTree(text.toString())));
                      }
                      text.setLength(0);
                      // As a page does, which is not there any more when it stops.
                      answered = answered.thenCompose(sent -> webSocket.sendText("here", true));
                    }
                    webSocket.request(1);
                    return null;
                  }
                })
            .join();
  }

  /** What a push tells of its topics, side by side, as {@code /api/desk} has it. */
  private static JsonNode sideBySide(JsonNode push) {
    ObjectNode all = JSON.createObjectNode();
    for (JsonNode item : push.get("items")) {
      JsonNode data = item.path("data");
      String topic = item.get("topic").asString().toLowerCase(Locale.ROOT);
      switch (topic) {
        case "service" -> all.setAll((ObjectNode) data);
        case "people" -> all.set(topic, data.get(topic));
        case "others_calls" -> all.set("others", data);
        default -> all.set(topic, data);
      }
    }
    return all;
  }

  /** Opens the page's WebSocket and takes nothing in, as a page that hangs. */
  public void connectSilently() {
    listening = false;
    open();
  }

  /** From now on takes in what is sent and keeps nothing of it, for a long time of many pushes. */
  public void takeInAndForget() {
    forgetting = true;
    pushes.clear();
  }

  /** Takes everything in that has been sent meanwhile, and goes on listening. */
  public void listenAgain() {
    listening = true;
    socket.request(1);
  }

  /** The code with which the server closes the WebSocket, 1006 without one (RFC 6455). */
  public int awaitClosed() {
    return closed.orTimeout(40, TimeUnit.SECONDS).join();
  }

  /** The first push like this; earlier ones are dropped. */
  public JsonNode await(Predicate<JsonNode> wanted) {
    try {
      long patience = System.nanoTime() + TimeUnit.SECONDS.toNanos(40);
      JsonNode last = null;
      while (true) {
        JsonNode push = pushes.poll(patience - System.nanoTime(), TimeUnit.NANOSECONDS);
        if (push == null) {
          throw new AssertionError("no such push; the last was " + last);
        }
        if (wanted.test(push)) {
          return push;
        }
        last = push;
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new AssertionError(e);
    }
  }

  /** When the last push arrived, in {@link System#nanoTime}. */
  public long lastPushAt() {
    return lastPushAt;
  }

  /** The only call in hand, as soon as it is in this phase. */
  public JsonNode awaitCall(String phase) {
    return await(
            push ->
                push.path("calls").size() == 1
                    && push.get("calls").get(0).get("phase").asString().equals(phase))
        .get("calls")
        .get(0);
  }

  public void awaitNoCalls() {
    await(push -> push.has("calls") && push.get("calls").isEmpty());
  }

  /** Calls what is typed and returns the call's identity. */
  public String call(String to) {
    return post("/api/calls", Map.of("to", to, "device", "test")).done().get("id").asString();
  }

  public Answer service(String call, String service) {
    return post("/api/calls/" + call + "/" + service, Map.of("device", "test"));
  }

  /** Ends all calls in hand and withdraws all wishes to be called back. */
  public void hangUp() {
    JsonNode desk = get("/api/desk").body();
    for (JsonNode wish : desk.get("callBacks")) {
      delete("/api/calls/call-backs/" + wish.get("id").asString());
    }
    for (JsonNode left : desk.get("calls")) {
      service(left.get("id").asString(), "clear");
    }
  }

  public void disconnect() {
    socket.abort();
  }

  @Override
  public void close() {
    delete("/api/session");
    if (socket != null) {
      socket.abort();
    }
  }
}
