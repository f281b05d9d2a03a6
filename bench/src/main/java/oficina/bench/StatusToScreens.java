package oficina.bench;

import java.io.IOException;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import oficina.server.Client;
import oficina.server.ServerProcess;
import tools.jackson.databind.JsonNode;

/** How long it takes from somebody's saying what they are until 500 pages have been told. */
final class StatusToScreens {
  private static final int PEOPLE = 100;
  private static final int PAGES_EACH = 5;
  private static final int WARM_UP = 10;
  private static final int TIMES = 40;
  private static final String SIGN_IN = "oficina-sign-in";

  private StatusToScreens() {}

  static void measure() throws SQLException, IOException, InterruptedException {
    try (ServerProcess server = BenchOffice.server(PEOPLE)) {
      measure(pages(server.address()));
    }
  }

  private static List<Client> pages(String address) {
    List<Client> pages = new ArrayList<>();
    for (int i = 0; i < PEOPLE; i++) {
      Client first = Client.signedIn(address, "bench" + i);
      pages.add(first);
      for (int j = 1; j < PAGES_EACH; j++) {
        Client another = new Client(address);
        another.show(SIGN_IN, first.cookie(SIGN_IN));
        another.connect("window-" + j);
        pages.add(another);
      }
    }
    return pages;
  }

  private static void measure(List<Client> pages) {
    List<Double> times = new ArrayList<>();
    for (int i = -WARM_UP; i < TIMES; i++) {
      String text = "round " + i;
      long said = System.nanoTime();
      Map<String, Object> status =
          Map.of("kind", "DO_NOT_DISTURB", "text", text, "untilOpening", false);
      if (pages.get(0).put("/api/status", status).status() != 204) {
        throw new IllegalStateException("refused");
      }
      for (Client page : pages) {
        page.await(push -> says(push, text));
        if (i >= 0) {
          times.add((page.lastPushAt() - said) / 1e6);
        }
      }
    }
    List<Double> sorted = times.stream().sorted().toList();
    Main.row(
        "status to everybody's screen, " + pages.size() + " pages, p50",
        "%.1f ms",
        sorted.get(sorted.size() / 2));
    Main.row("  p95 (aim 50)", "%.1f ms", sorted.get(sorted.size() * 95 / 100));
  }

  private static boolean says(JsonNode push, String text) {
    for (JsonNode person : push.path("people")) {
      if (person.path("said").path("text").asString("").equals(text)) {
        return true;
      }
    }
    return false;
  }
}
