package oficina.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.ReducedMotion;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import oficina.server.Client;
import oficina.server.TestServer;
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
                  .setExecutablePath(Path.of("/usr/bin/chromium"))
                  .setArgs(
                      List.of(
                          "--no-sandbox",
                          "--disable-quic",
                          "--no-first-run",
                          "--disable-background-networking",
                          "--disable-component-update",
                          "--disable-sync",
                          "--autoplay-policy=no-user-gesture-required")));

  static {
    PlaywrightAssertions.setDefaultAssertionTimeout(10_000);
  }

  private final List<Desk> desks = new ArrayList<>();
  private final Map<String, BrowserContext> contexts = new ConcurrentHashMap<>();

  @Override
  public void beforeEach(ExtensionContext context) {
    TestServer.get();
  }

  /** A browser at the sign-in page. */
  Page stranger() {
    return open(newContext("stranger"));
  }

  /** This person, signed in as a user would, at their desk. */
  Desk of(String name) {
    return at(name, new Browser.NewContextOptions().setViewportSize(1280, 800));
  }

  Desk at(String name, Browser.NewContextOptions options) {
    BrowserContext context = BROWSER.newContext(options.setReducedMotion(ReducedMotion.REDUCE));
    contexts.put(name, context);
    Desk desk = new Desk(open(context));
    desk.signIn(name, "harbour-light");
    desk.isLive();
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

  private BrowserContext newContext(String name) {
    BrowserContext context =
        BROWSER.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800));
    contexts.put(name, context);
    return context;
  }

  private static Page open(BrowserContext context) {
    Page page = context.newPage();
    page.navigate(TestServer.get().address());
    return page;
  }

  /** Lets time pass at the server. */
  void pass(Duration time) {
    TestServer.get().clock().advance(time);
  }

  @Override
  public void afterEach(ExtensionContext context) {
    contexts.values().forEach(BrowserContext::close);
    for (String name : List.of("ines", "tomasz", "adaeze", "bram")) {
      endCalls(name);
    }
    // Pages count as gone only after a while; the next test begins without them.
    pass(Duration.ofMinutes(10));
  }

  private void endCalls(String name) {
    try (Client client = Client.signedIn(name)) {
      for (JsonNode call : client.get("/api/desk").body().get("calls")) {
        client.service(call.get("id").asString(), "clear");
      }
    }
  }
}
