package oficina.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.ReducedMotion;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.locks.LockSupport;
import oficina.core.people.Person;
import oficina.server.Client;
import oficina.server.TestServer;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.office.OfficeData;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import tools.jackson.databind.JsonNode;

/**
 * Browsers of people in a test: each person has their own, all work with the one real server. After
 * a test every call is ended and every page closed.
 */
final class Browsers implements BeforeEachCallback, AfterEachCallback {
  private static final Playwright PLAYWRIGHT = Playwright.create();
  private static final Browser BROWSER =
      PLAYWRIGHT
          .chromium()
          .launch(
              new BrowserType.LaunchOptions()
                  .setExecutablePath(Path.of("/usr/bin/chromium-headless-shell"))
                  .setArgs(
                      List.of(
                          "--no-sandbox",
                          "--disable-gpu",
                          "--disable-quic",
                          "--no-first-run",
                          "--disable-background-networking",
                          "--disable-component-update",
                          "--disable-sync",
                          "--use-fake-device-for-media-stream",
                          "--use-fake-ui-for-media-stream",
                          "--autoplay-policy=no-user-gesture-required")));

  static {
    // Generous: what is wrong stays wrong, and a busy machine is slow.
    PlaywrightAssertions.setDefaultAssertionTimeout(40_000);
  }

  /** What a browser keeps of a sign-in: each person signs in as a user would once in a run. */
  private static final Map<String, String> SIGNED_IN = new ConcurrentHashMap<>();

  /** Browsers at work before: opening them anew for each test would take most of the time. */
  private static final Map<String, Page> WARM = new ConcurrentHashMap<>();

  /** For putting the office in order after a test. */
  private static final Map<String, Client> CLIENTS = new ConcurrentHashMap<>();

  /** What is done to the sound of people whose sound a test does not name. */
  private final String sound;

  private final List<Desk> desks = new ArrayList<>();
  private final Map<String, BrowserContext> contexts = new ConcurrentHashMap<>();

  /** Where people sign in; the server of the run unless a test brings its own. */
  private String address;

  /** The server of a test's own: nothing of it is kept for other tests. */
  private boolean own;

  /** Whose people neither speak nor hear, unless a test gives them a voice. */
  Browsers() {
    this(Ear.none());
  }

  private Browsers(String sound) {
    this.sound = sound;
  }

  /** Whose people all hear, and have a microphone that is silent. */
  static Browsers withSound() {
    return new Browsers(Ear.silence());
  }

  /** From now on people sign in there. */
  void use(String otherAddress) {
    address = otherAddress;
    own = true;
  }

  @Override
  public void beforeEach(ExtensionContext context) {
    address = TestServer.get().address();
  }

  /** A browser at the sign-in page. */
  Page stranger() {
    return open(newContext("stranger"));
  }

  /** This person, signed in as a user would, at their desk. */
  Desk of(String name) {
    Page warm = own ? null : WARM.get(name + sound);
    if (warm == null) {
      Desk desk = at(name, newOptions());
      if (!own) {
        WARM.put(name + sound, desk.page);
      }
      return desk;
    }
    contexts.put(name, warm.context());
    warm.navigate(address);
    Desk desk = new Desk(warm);
    desk.isLive();
    desks.add(desk);
    return desk;
  }

  private void forget(String name) {
    WARM.remove(name + sound);
    SIGNED_IN.remove(name);
  }

  /** Puts a browser away for the next test: signed in, but with no page open. */
  private void putAway(String name, BrowserContext context) {
    Page warm = WARM.get(name + sound);
    if (warm == null || warm.context() != context) {
      context.close();
      return;
    }
    List.copyOf(context.pages()).stream().filter(page -> page != warm).forEach(Page::close);
    context.setOffline(false);
    warm.unrouteAll();
    warm.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.LIGHT));
    warm.setViewportSize(1280, 800);
    warm.navigate("about:blank");
  }

  /** Somebody whose microphone hears a tone of this frequency, and nothing else. */
  Desk speaking(String name, int hertz) {
    return at(name, newOptions(), Ear.microphone(hertz));
  }

  Desk at(String name, Browser.NewContextOptions options) {
    return at(name, options, sound);
  }

  /**
   * @param script runs in each page before anything of its own
   */
  Desk at(String name, Browser.NewContextOptions options, String script) {
    String known = own ? null : SIGNED_IN.get(name);
    options.setReducedMotion(ReducedMotion.REDUCE).setLocale("en-GB");
    BrowserContext context =
        BROWSER.newContext(known == null ? options : options.setStorageState(known));
    context.setDefaultTimeout(60_000);
    context.addInitScript(script);
    contexts.put(name, context);
    Desk desk = new Desk(open(context));
    if (known == null) {
      desk.signIn(name, "harbour-light");
    }
    desk.isLive();
    if (!own) {
      SIGNED_IN.computeIfAbsent(name, n -> context.storageState());
    }
    desks.add(desk);
    return desk;
  }

  /** Another window of the browser in which this person is signed in. */
  Desk secondWindow(String name) {
    Desk desk = new Desk(open(contexts.get(name)));
    desk.isLive();
    desks.add(desk);
    return desk;
  }

  private static Browser.NewContextOptions newOptions() {
    return new Browser.NewContextOptions().setViewportSize(1280, 800).setLocale("en-GB");
  }

  private BrowserContext newContext(String name) {
    BrowserContext context = BROWSER.newContext(newOptions());
    contexts.put(name, context);
    return context;
  }

  private Page open(BrowserContext context) {
    Page page = context.newPage();
    page.navigate(address);
    return page;
  }

  /** Lets time pass at the server. */
  void pass(Duration time) {
    TestServer.get().clock().advance(time);
  }

  @Override
  public void afterEach(ExtensionContext context) {
    if (context.getExecutionException().isPresent()) {
      contexts.forEach(Browsers::tell);
      contexts.keySet().forEach(this::forget); // however it left them, others begin anew
    }
    contexts.forEach(this::putAway);
    if (own) {
      return;
    }
    for (String name : contexts.keySet()) {
      if (!name.equals("stranger")) {
        putInOrder(CLIENTS.compute(name, Browsers::signedIn));
      }
    }
    awaitNobody();
  }

  /**
   * What somebody had before them when a test failed: what was expected is not there, but what is?
   */
  private static void tell(String name, BrowserContext context) {
    for (Page page : context.pages()) {
      System.out.printf(
          "%s at %s, writing in %s:%n%s%n",
          name,
          page.url(),
          page.evaluate("() => document.activeElement?.outerHTML.slice(0, 200)"),
          page.locator("body").innerText());
    }
  }

  /** Pages count as gone only after a while; the next test begins without them. */
  private void awaitNobody() {
    ExchangeLoop loop = TestServer.get().bean(ExchangeLoop.class);
    List<Person> people = TestServer.get().bean(OfficeData.class).directory().people();
    do {
      pass(Duration.ofSeconds(11));
      LockSupport.parkNanos(10_000_000);
    } while (loop.ask(() -> people.stream().anyMatch(p -> loop.state().hasWindow(p.id()))).join());
    pass(Duration.ofMinutes(5)); // whatever still waits comes to its end
  }

  /** The client of before, unless a test has signed its person out everywhere else. */
  private static Client signedIn(String name, @Nullable Client before) {
    boolean still = before != null && before.get("/api/desk").status() == 200;
    return still ? before : client(name);
  }

  private static Client client(String name) {
    return Client.withoutPage(TestServer.get().address(), name);
  }

  private static void putInOrder(Client client) {
    JsonNode desk = client.get("/api/desk").body();
    desk.get("callBacks")
        .forEach(wish -> client.delete("/api/calls/call-backs/" + wish.get("id").asString()));
    desk.get("calls").forEach(call -> client.service(call.get("id").asString(), "clear"));
    client.put("/api/lines/part", Map.of("takesPart", true, "reason", ""));
    client.post("/api/queues/finishing", Map.of());
  }
}
