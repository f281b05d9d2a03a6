package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Predicate;
import java.util.function.Supplier;
import oficina.core.blocking.Block;
import oficina.core.call.CallId;
import oficina.core.commands.MachineCommand;
import oficina.core.commands.NetworkCommand;
import oficina.core.numbers.PhoneNumber;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.office.OfficeData;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** What people decide about their calls, over HTTP: whose it is, what is refused, what it does. */
class RulesOverHttpTest {
  @RegisterExtension static final TestServer SERVER = new TestServer();

  private static final Duration PATIENCE = Duration.ofSeconds(20);
  private static final String RULES = "/api/rules";
  private static final PhoneNumber SELLER = new PhoneNumber("+441134960123");
  private static final PhoneNumber CALLER = new PhoneNumber("+441214960177");
  private final Client lotte = Client.signedIn("lotte");
  private final Client joss = Client.signedIn("joss");
  private final Client mirela = Client.signedIn("mirela");
  private int calls;

  @AfterEach
  void leaveNothing() {
    lotte.put(RULES, rules());
    joss.put(RULES, rules());
    mirela.put(RULES + "?line=1", rules());
    say(lotte, "FREE");
    for (Client each : List.of(lotte, mirela)) {
      for (String which : List.of("", "?ofOffice=true")) {
        each.get("/api/blocks" + which)
            .body()
            .get("blocks")
            .forEach(block -> each.delete("/api/blocks/" + block.get("id").asLong()));
      }
    }
    List.of(CALLER, SELLER).forEach(this::isSpokenWith);
    List.of(lotte, joss, mirela).forEach(Client::close);
  }

  /** Whom somebody has spoken with is on nobody's list of calls to return. */
  private void isSpokenWith(PhoneNumber caller) {
    String call = arrive(caller, "+441914980233");
    lotte.service(call, "answer");
    lotte.service(call, "clear");
  }

  @SafeVarargs
  private static Map<String, Object> rules(Map<String, Object>... all) {
    return Map.of(
        "rules", List.of(all), "rings", List.of(), "delegates", List.of(), "welcome", false);
  }

  private static Map<String, Object> rule(String when, String callers, String kind, String dial) {
    Map<String, Object> whose = new HashMap<>();
    whose.put("kind", callers);
    whose.put("people", List.of());
    whose.put("numbers", List.of());
    whose.put("companies", List.of());
    return Map.of(
        "id", 0, "when", when, "callers", whose, "to", Map.of("kind", kind, "dial", dial));
  }

  private static int say(Client who, String kind) {
    Map<String, Object> status = Map.of("kind", kind, "text", "", "untilOpening", false);
    return who.put("/api/status", status).status();
  }

  private static long id(String name) {
    return TestServer.get().bean(OfficeData.class).directory().people().stream()
        .filter(person -> person.name().equals(name))
        .findFirst()
        .orElseThrow()
        .id()
        .value();
  }

  private String arrive(@Nullable PhoneNumber from, String to) {
    CallId call = new CallId("rules-" + ++calls + "-" + System.nanoTime());
    TestServer.get()
        .bean(ExchangeLoop.class)
        .submit(new NetworkCommand.Arrive(call, from, new PhoneNumber(to)))
        .join();
    return call.value();
  }

  private void gone(String call) {
    TestServer.get()
        .bean(ExchangeLoop.class)
        .submit(new NetworkCommand.NetworkClears(new CallId(call), 1))
        .join();
  }

  private static JsonNode newest(Client who) {
    return who.get("/api/history").body().get("entries").get(0);
  }

  private static <T> T until(Supplier<T> asked, Predicate<T> wanted) {
    long end = System.nanoTime() + PATIENCE.toNanos();
    T found = asked.get();
    while (!wanted.test(found) && System.nanoTime() < end) {
      LockSupport.parkNanos(20_000_000);
      found = asked.get();
    }
    assertThat(found).matches(wanted);
    return found;
  }

  private JsonNode tried(Client who, String caller, String called) {
    return who.post("/api/rules/try", Map.of("caller", caller, "called", called, "given", "THERE"))
        .body();
  }

  @Test
  void rules_are_ones_own_and_those_of_lines_the_administrators() {
    assertThat(lotte.put(RULES, rules(rule("NO_ANSWER", "ANYBODY", "DIAL", "234"))).status())
        .isEqualTo(204);
    JsonNode mine = lotte.get(RULES).body().get("rules").get(0);
    assertThat(mine.get("to").get("party").get("name").asString()).isEqualTo("Joss Ardley");
    long other = id("Lotte Penrose");
    assertThat(joss.get(RULES + "?person=" + other).code()).isEqualTo("NO_SUCH_PERSON");
    assertThat(joss.put(RULES + "?person=" + other, rules()).code()).isEqualTo("NO_SUCH_PERSON");
    assertThat(joss.get(RULES + "?line=1").code()).isEqualTo("NO_SUCH_LINE");
    assertThat(joss.put(RULES + "?line=1", rules()).code()).isEqualTo("NO_SUCH_LINE");
    try (Client ines = Client.signedIn("ines")) {
      assertThat(ines.get(RULES + "?line=1").body().get("mayChange").asBoolean()).isFalse();
      assertThat(ines.put(RULES + "?line=1", rules()).status()).isEqualTo(403);
      assertThat(ines.put("/api/lines/1/part", Map.of("takesPart", true)).status()).isEqualTo(204);
    }
    assertThat(
            mirela.put(RULES + "?line=1", rules(rule("BUSY", "ANYBODY", "DIAL", "210"))).status())
        .isEqualTo(204);
    assertThat(mirela.get(RULES + "?person=" + other).body().get("rules")).hasSize(1);
    assertThat(joss.put("/api/lines/1/part", Map.of("takesPart", false)).code())
        .isEqualTo("NO_SUCH_LINE");
    assertThat(joss.put("/api/office/opening", Map.of("holidays", List.of())).status())
        .isEqualTo(403);
  }

  @Test
  void what_would_go_round_or_leads_nowhere_is_refused_with_the_reason() {
    lotte.put(RULES, rules(rule("BUSY", "ANYBODY", "DIAL", "234")));
    assertThat(joss.put(RULES, rules(rule("ALWAYS", "ANYBODY", "DIAL", "233"))).code())
        .isEqualTo("RULE_CIRCLE");
    assertThat(joss.put(RULES, rules(rule("ALWAYS", "ANYBODY", "DIAL", "234"))).code())
        .isEqualTo("RULE_TO_ONESELF");
    assertThat(joss.put(RULES, rules(rule("ALWAYS", "ANYBODY", "DIAL", "999"))).code())
        .isEqualTo("RULE_NOT_FOR_OTHERS");
    assertThat(joss.put(RULES, rules(rule("ALWAYS", "ANYBODY", "DIAL", "hm"))).code())
        .isEqualTo("NO_SUCH_NUMBER");
    assertThat(joss.put(RULES, rules(rule("BUSY", "CHOSEN", "REFUSE", ""))).code())
        .isEqualTo("NO_CALLERS");
    assertThat(joss.get(RULES).body().get("rules")).as("nothing was kept").isEmpty();
  }

  @Test
  void a_rule_that_changes_while_a_call_rings_counts_and_the_history_names_it() {
    String call = arrive(CALLER, "+441914980233");
    lotte.put(RULES, rules(rule("NO_ANSWER", "OUTSIDE", "DIAL", "234")));
    long rule = lotte.get(RULES).body().get("rules").get(0).get("id").asLong();
    TestServer.get().clock().advance(Duration.ofSeconds(21));
    JsonNode ringing =
        until(() -> joss.get("/api/desk").body().get("calls"), calls -> !calls.isEmpty()).get(0);
    assertThat(ringing.get("id").asString()).isEqualTo(call);
    assertThat(ringing.get("forwardedFrom").asString()).isEqualTo("Lotte Penrose");
    gone(call);
    JsonNode ruling = newest(lotte).get("ruling");
    assertThat(ruling.get("rule").asLong()).isEqualTo(rule);
    assertThat(ruling.get("to").get("name").asString()).isEqualTo("Joss Ardley");
    JsonNode stations = tried(lotte, "0121 496 0177", "233").get("stations");
    assertThat(stations.findValuesAsString("kind"))
        .containsSubsequence("NOT_BLOCKED", "RINGS", "NOT_TAKEN", "SENT_BY_RULE", "RINGS");
    assertThat(tried(joss, "", "233").get("code").asString()).isEqualTo("TRY_OWN_ONLY");
    assertThat(tried(mirela, "", "233").get("stations").size()).isPositive();
  }

  @Test
  void a_status_is_seen_by_everybody_ends_by_itself_and_says_what_it_kept() {
    Map<String, Object> until =
        Map.of("kind", "DO_NOT_DISTURB", "text", "Audit", "minutes", 30, "untilOpening", false);
    assertThat(lotte.put("/api/status", until).status()).isEqualTo(204);
    JsonNode seen = said(joss);
    assertThat(seen.get("kind").asString()).isEqualTo("DO_NOT_DISTURB");
    assertThat(seen.get("text").asString()).isEqualTo("Audit");
    gone(arrive(CALLER, "+441914980233"));
    String since = seen.get("since").asString();
    assertThat(lotte.get("/api/history/kept?since=" + since).body().get("calls").asInt())
        .isEqualTo(1);
    assertThat(newest(lotte).get("result").asString()).isEqualTo("MISSED_DO_NOT_DISTURB");
    TestServer.get().restart();
    assertThat(said(joss)).as("kept through a restart").isNotNull();
    TestServer.get().clock().advance(Duration.ofMinutes(31));
    until(() -> String.valueOf(said(joss)), "null"::equals);
    Map<String, Object> opening = Map.of("kind", "AWAY", "text", "", "untilOpening", true);
    assertThat(lotte.put("/api/status", opening).code()).isEqualTo("NO_OPENING_HOURS");
  }

  private @Nullable JsonNode said(Client who) {
    for (JsonNode person : who.get("/api/desk").body().get("people")) {
      if (person.get("name").asString().equals("Lotte Penrose")) {
        return person.get("said");
      }
    }
    return null;
  }

  private static Map<String, Object> block(boolean ofOffice, String what, Block.Answer answer) {
    return Map.of("ofOffice", ofOffice, "what", what, "answer", answer.name(), "note", "");
  }

  @Test
  void blocks_are_ones_own_or_the_offices_count_at_once_and_each_attempt_is_logged() {
    assertThat(lotte.post("/api/blocks", block(false, "0121 496 01*", Block.Answer.BUSY)).status())
        .isEqualTo(204);
    gone(arrive(CALLER, "+441914980233"));
    assertThat(newest(lotte).get("result").asString()).isEqualTo("BLOCKED");
    String toJoss = arrive(CALLER, "+441914980234");
    assertThat(joss.get("/api/desk").body().get("calls")).as("blocked by Lotte alone").hasSize(1);
    gone(toJoss);
    lotte.post("/api/blocks", block(false, "+44 121 496 01*", Block.Answer.NOT_IN_USE));
    JsonNode page = lotte.get("/api/blocks").body();
    assertThat(page.get("count").asInt()).as("the same once more").isEqualTo(1);
    long mine = page.get("blocks").get(0).get("id").asLong();
    assertThat(joss.get("/api/blocks").body().get("count").asInt()).isZero();
    assertThat(joss.delete("/api/blocks/" + mine).code()).isEqualTo("NO_SUCH_BLOCK");
    Map<String, Object> refuse = Map.of("answer", "REFUSED", "note", "");
    assertThat(joss.put("/api/blocks/" + mine, refuse).code()).isEqualTo("NO_SUCH_BLOCK");
    assertThat(joss.post("/api/blocks", block(true, "0121 496 0177", Block.Answer.BUSY)).status())
        .isEqualTo(403);
    for (String bad : List.of("+4*", "nobody", "212")) {
      assertThat(lotte.post("/api/blocks", block(false, bad, Block.Answer.BUSY)).status())
          .as(bad)
          .isEqualTo(422);
    }
    assertThat(lotte.post("/api/blocks", block(false, "0191 498*", Block.Answer.BUSY)).code())
        .isEqualTo("BLOCKS_OWN_OFFICE");
    byte[] file =
        "0113 496 0123,Sells ink\nno number\n0113 496 0124\n".getBytes(StandardCharsets.UTF_8);
    JsonNode read =
        mirela.upload("/api/blocks/file?ofOffice=true&answer=NOT_IN_USE", file, "text/csv").body();
    assertThat(read.get("added").asInt()).isEqualTo(2);
    assertThat(read.get("bad").get(0).get("line").asLong()).isEqualTo(2);
    assertThat(
            mirela
                .upload("/api/blocks/file?ofOffice=true&answer=NOT_IN_USE", file, "text/csv")
                .body()
                .get("added")
                .asInt())
        .as("they are blocked already")
        .isZero();
    gone(arrive(SELLER, "+441914980234"));
    assertThat(newest(joss).get("result").asString()).isEqualTo("BLOCKED");
    String offices = "/api/blocks?ofOffice=true";
    gone(arrive(SELLER, "+441914980290")); // where messages are read out, which is nobody's
    until(() -> mirela.get(offices).body().get("attempts"), all -> all.size() == 2);
    assertThat(lotte.get(offices).body().get("blocks")).hasSize(2);
    assertThat(lotte.get(offices).body().get("attempts")).as("whom others are kept from").isEmpty();
    assertThat(lotte.delete("/api/blocks/" + mine).status()).isEqualTo(204);
    String through = arrive(CALLER, "+441914980233");
    assertThat(lotte.get("/api/desk").body().get("calls")).hasSize(1);
    gone(through);
  }

  @Test
  void ranges_are_blocked_and_blocks_are_found_by_name_note_and_beginning() {
    assertThat(
            lotte
                .post("/api/blocks", block(false, "0121 496 0150 - 0179", Block.Answer.BUSY))
                .status())
        .isEqualTo(204);
    assertThat(lotte.get("/api/blocks").body().get("count").asInt()).as("beginnings").isEqualTo(3);
    gone(arrive(new PhoneNumber("+441214960177"), "+441914980233"));
    assertThat(newest(lotte).get("result").asString()).isEqualTo("BLOCKED");
    for (Map.Entry<String, String> each :
        Map.of(
                "0121 496 0179 - 0150", "NO_SUCH_RANGE",
                "0191 498 0090 - 0110", "BLOCKS_OWN_OFFICE",
                "0191 498 0100", "BLOCKS_OWN_OFFICE",
                "999", "BLOCKS_EMERGENCY",
                "nobody", "BLOCKS_NO_NUMBER")
            .entrySet()) {
      assertThat(lotte.post("/api/blocks", block(false, each.getKey(), Block.Answer.BUSY)).code())
          .as(each.getKey())
          .isEqualTo(each.getValue());
    }
    byte[] file = "number,why\n0113 496 0123,Sells ink\n".getBytes(StandardCharsets.UTF_8);
    assertThat(lotte.upload("/api/blocks/file?answer=BUSY", file, "text/csv").body().get("bad"))
        .as("a heading is no number")
        .isEmpty();
    assertThat(blocked("ink")).containsExactly("0113 496 0123");
    assertThat(blocked("0113")).containsExactly("0113 496 0123");
    assertThat(blocked("100%")).isEmpty();
    Map<String, Object> card =
        ContactsOverHttpTest.card("Pushy Vendor", "", List.of("0113 496 0123"));
    JsonNode kept = lotte.post("/api/contacts", Map.of("own", true, "card", card)).body();
    assertThat(blocked("pushy")).containsExactly("0113 496 0123");
    lotte.delete("/api/contacts/" + kept.get("row").get("id").asLong());
  }

  /** Which of Lotte's blocks are found by this. */
  private List<String> blocked(String text) {
    return lotte
        .get("/api/blocks?text=" + URLEncoder.encode(text, StandardCharsets.UTF_8))
        .body()
        .get("blocks")
        .valueStream()
        .map(each -> each.get("shown").asString())
        .toList();
  }

  @Test
  void what_a_blocked_caller_says_is_kept_apart() {
    lotte.post("/api/blocks", block(false, "0121 496 0177", Block.Answer.VOICEMAIL));
    CallId call = new CallId(arrive(CALLER, "+441914980233"));
    ExchangeLoop loop = TestServer.get().bean(ExchangeLoop.class);
    int leg = loop.ask(() -> loop.state().call(call).mailbox().leg()).join();
    loop.submit(new MachineCommand.GreetingOver(call, leg)).join();
    loop.submit(new MachineCommand.MessageSounds(call, leg)).join();
    gone(call.value());
    String apart = "/api/voicemail?blocked=true";
    JsonNode message =
        until(() -> lotte.get(apart).body().get("messages"), all -> !all.isEmpty()).get(0);
    assertThat(message.get("who").get("number").asString()).isEqualTo("0121 496 0177");
    JsonNode usual = lotte.get("/api/voicemail").body();
    assertThat(usual.get("messages")).isEmpty();
    assertThat(usual.get("fresh").asInt()).isZero();
    assertThat(joss.get(apart).body().get("messages")).isEmpty();
    String one = "/api/voicemail/" + message.get("id").asLong();
    assertThat(lotte.get(one).status()).isEqualTo(200);
    assertThat(joss.get(one).status()).isEqualTo(404);
    lotte.post("/api/voicemail/remove", Map.of("ids", List.of(message.get("id").asLong())));
    assertThat(lotte.get(apart).body().get("messages")).isEmpty();
  }

  @Test
  void holidays_are_read_from_a_calendar_and_a_line_is_closed_on_them() {
    String calendar =
        "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nDTSTART;VALUE=DATE:20261225\r\n"
            + "DTEND;VALUE=DATE:20261227\r\nSUMMARY:Christmas\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
    String path = "/api/office/holidays";
    byte[] file = calendar.getBytes(StandardCharsets.UTF_8);
    assertThat(lotte.upload(path, file, "text/calendar").status()).isEqualTo(403);
    assertThat(mirela.upload(path, file, "text/calendar").body().get("added").asInt()).isEqualTo(2);
    assertThat(
            mirela.upload(path, "hello".getBytes(StandardCharsets.UTF_8), "text/calendar").code())
        .isEqualTo("CALENDAR_WITHOUT_DAYS");
    Map<String, Object> span =
        Map.of(
            "days",
            List.of("MONDAY", "TUESDAY", "WEDNESDAY", "THURSDAY", "FRIDAY"),
            "from",
            "08:00",
            "to",
            "17:00");
    Map<String, Object> hours = Map.of("spans", List.of(span), "holidays", "NOT");
    mirela.put(
        RULES + "?line=1",
        Map.of(
            "rules",
            List.of(),
            "rings",
            List.of(),
            "hours",
            hours,
            "delegates",
            List.of(),
            "welcome",
            false));
    for (String when : List.of("2026-12-25T10:00", "2026-12-24T10:00")) {
      JsonNode trial =
          mirela
              .post(
                  "/api/rules/try",
                  Map.of("caller", "", "called", "200", "when", when, "given", "AS_IT_IS"))
              .body();
      boolean closed = trial.toString().contains("OFF_DUTY");
      assertThat(closed).as(when).isEqualTo(when.startsWith("2026-12-25"));
    }
    mirela.put("/api/office/opening", Map.of("holidays", List.of(), "showsCaller", false));
  }
}
