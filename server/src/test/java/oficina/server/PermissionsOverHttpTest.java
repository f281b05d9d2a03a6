package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import oficina.core.exchange.Asked;
import oficina.core.exchange.Offers;
import oficina.server.Client.Answer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Every operation of the API as a stranger, a colleague, a member of the same group, a party of the
 * call, its starter and an administrator: docs/permissions.md.
 */
@ExtendWith(TestServer.class)
class PermissionsOverHttpTest {
  private static final Set<String> FOR_EVERYBODY =
      Set.of(
          "GET /api/session",
          "POST /api/session",
          "DELETE /api/session",
          "POST /api/session/passkey",
          "GET /api/session/provider",
          "GET /api/session/provider/go",
          "GET /api/session/provider/back",
          "POST /api/session/provider/signed-out",
          "POST /api/session/passkeys/asked",
          "POST /api/session/link",
          "POST /api/session/link/password");
  private static final Set<String> FOR_ADMINISTRATORS =
      Set.of(
          "POST /api/office/people",
          "GET /api/office/people",
          "GET /api/office/people/{id}",
          "PUT /api/office/people/{id}",
          "PUT /api/office/people/{id}/password",
          "GET /api/office/people/{id}/dependants",
          "DELETE /api/office/people/{id}",
          "GET /api/office/identity",
          "PUT /api/office/identity",
          "GET /api/office/lines",
          "POST /api/office/lines",
          "PUT /api/office/lines/{id}",
          "PUT /api/office/phrases",
          "GET /api/office/people/{id}/delegates",
          "PUT /api/office/people/{id}/delegates",
          "POST /api/office/people/{id}/return",
          "POST /api/office/lines/{id}/return",
          "GET /api/office/recording-policy/tried",
          "GET /api/office/access",
          "PUT /api/office/access",
          "GET /api/office/handling",
          "PUT /api/office/handling",
          "GET /api/office/lines/{id}/needed",
          "DELETE /api/office/lines/{id}",
          "POST /api/office/people/{id}/link",
          "POST /api/office/people/{id}/sign-out",
          "GET /api/office/places",
          "PUT /api/office/places/teams",
          "PUT /api/office/places/sites",
          "GET /api/office/people/{id}/pin",
          "DELETE /api/office/people/{id}/pin",
          "GET /api/office/people/{id}/second-factor",
          "DELETE /api/office/people/{id}/second-factor",
          "GET /api/office/identity-provider",
          "PUT /api/office/identity-provider",
          "DELETE /api/office/identity-provider",
          "GET /api/office/second-factor",
          "PUT /api/office/second-factor",
          "GET /api/office/personal",
          "GET /api/office/personal/file",
          "GET /api/office/personal/former",
          "DELETE /api/office/personal",
          "GET /api/office/keeping",
          "PUT /api/office/keeping",
          "POST /api/office/keeping/try",
          "GET /api/office/log",
          "GET /api/office/system",
          "GET /api/office/alarms",
          "GET /api/metrics",
          "GET /api/office/log-file",
          "GET /api/office/people-file",
          "PUT /api/office/people-file",
          "POST /api/office/people-file/{id}",
          "POST /api/office/slots",
          "DELETE /api/office/slots/{slot}",
          "GET /api/office/hold-music",
          "PUT /api/office/hold-music",
          "DELETE /api/office/hold-music",
          "PUT /api/office/opening",
          "PUT /api/office/holidays",
          "PUT /api/office/outcomes",
          "GET /api/office/queues",
          "PUT /api/office/queues/{line}",
          "DELETE /api/office/queues/{line}",
          "PUT /api/office/queues/reasons",
          "POST /api/outside/rush",
          "PUT /api/outside/callers");
  private static final Set<String> FOR_THE_STARTER =
      Set.of(
          "POST /api/calls/{id}/members/{leg}/mute",
          "POST /api/calls/{id}/members/{leg}/aside",
          "DELETE /api/calls/{id}/members/{leg}",
          "POST /api/calls/{id}/end-for-all");
  private static final String ANY_SERVICE = "POST /api/calls/{id}/{service}";

  private final String address = TestServer.get().address();
  private final Client stranger = new Client(address);
  private final Client colleague = Client.signedIn("bram");
  private final Client groupMember = Client.signedIn("rufus");
  private final Client party = Client.signedIn("tomasz");
  private final Client starter = Client.signedIn("ines");
  private final Client other = Client.signedIn("adaeze");
  private final Client administrator = Client.signedIn("mirela");

  /** Whose sign-in was ended from another browser; the cookie is still sent. */
  private final Client ended = Client.withoutPage(address, "davy");

  private final List<String> wrong = new ArrayList<>();

  @AfterEach
  void nothing_is_left_in_hand() {
    for (Client each : List.of(colleague, groupMember, party, starter, other, administrator)) {
      each.hangUp();
      each.close();
    }
  }

  /** A conference of three, which Ines has brought together. */
  private String conference() {
    List.of(party, starter, other).forEach(Client::hangUp);
    String call = party.call("201");
    starter.service(call, "answer");
    String second = starter.call("212");
    other.service(second, "answer");
    Answer joined =
        starter.post("/api/calls/" + call + "/join", Map.of("other", second, "device", "test"));
    assertThat(joined.status()).as(joined.toString()).isEqualTo(204);
    return call;
  }

  private Answer ask(Client who, String operation, String call) {
    String[] parts = operation.split(" ");
    String path =
        parts[1]
            .replace("/api/calls/{id}", "/api/calls/" + call)
            .replace("{leg}", "1")
            .replace("/office/slots/{slot}", "/office/slots/none")
            .replace("{slot}", "62")
            .replace("{id}", "999999")
            .replaceAll("\\{[a-z]+}", "none");
    Map<String, Object> body = new HashMap<>();
    body.putAll(Map.of("device", "test", "to", "231", "on", false, "other", "none", "digits", "1"));
    body.put("call", call);
    body.put("callers", 1);
    return who.send(parts[0], path, json(body));
  }

  private static String json(Map<String, Object> body) {
    return JsonMapper.shared().writeValueAsString(body);
  }

  private void expect(boolean right, String as, String operation, Answer answer) {
    if (!right) {
      wrong.add(as + " " + operation + ": " + answer);
    }
  }

  @Test
  void nobody_does_or_learns_what_is_not_theirs() {
    JsonNode paths = party.get("/api/description").body().get("paths");
    try (Client again = Client.signedIn("davy")) {
      again.delete("/api/session/sign-ins");
    }
    List<String> operations = new ArrayList<>();
    for (Map.Entry<String, JsonNode> path : paths.properties()) {
      for (String method : path.getValue().propertyNames()) {
        String operation = method.toUpperCase(Locale.ROOT) + " " + path.getKey();
        if (operation.equals(ANY_SERVICE)) {
          services().map(each -> operation.replace("{service}", each)).forEach(operations::add);
        } else {
          operations.add(operation);
        }
      }
    }
    assertThat(operations).containsAll(FOR_ADMINISTRATORS).containsAll(FOR_THE_STARTER);
    for (String operation : operations) {
      if (FOR_EVERYBODY.contains(operation)) {
        continue;
      }
      String call = conference();
      Answer unknown = ask(stranger, operation, call);
      expect(unknown.status() == 401, "stranger", operation, unknown);
      Answer late = ask(ended, operation, call);
      expect(late.status() == 401, "with an ended sign-in", operation, late);
      if (operation.contains("/api/calls/{id}")) {
        ofTheCall(operation, call);
      } else if (FOR_ADMINISTRATORS.contains(operation)) {
        for (Client each : List.of(colleague, groupMember, party, starter)) {
          Answer answer = ask(each, operation, call);
          expect(answer.code().equals("NOT_ADMINISTRATOR"), "employee", operation, answer);
        }
        Answer answer = ask(administrator, operation, call);
        expect(answer.status() != 403, "administrator", operation, answer);
      }
    }
    assertThat(wrong).isEmpty();
  }

  /** Those that want no further choice. */
  private static Stream<String> services() {
    return Stream.of(Offers.Service.values())
        .filter(each -> new Asked(each, null, null, null, null).command(null) != null)
        .map(each -> each.name().toLowerCase(Locale.ROOT).replace('_', '-'));
  }

  private void ofTheCall(String operation, String call) {
    for (Client each : List.of(colleague, groupMember, administrator)) {
      Answer answer = ask(each, operation, call);
      expect(answer.code().equals("NO_SUCH_CALL"), "without a part", operation, answer);
    }
    Answer asParty = ask(party, operation, call);
    boolean theirs =
        FOR_THE_STARTER.contains(operation)
            ? asParty.code().equals("NOT_STARTER")
            : !asParty.code().equals("NO_SUCH_CALL") || operation.contains("call-back");
    // To pull back, one has to have sent it; to take out of a mailbox, it has to be there; to swap
    // takes another call.
    boolean elsewhere =
        Stream.of("pull-back", "take-from-mailbox", "swap").anyMatch(operation::endsWith);
    expect(theirs || elsewhere, "party", operation, asParty);
    if (FOR_THE_STARTER.contains(operation)) {
      Answer asStarter = ask(starter, operation, call);
      expect(asStarter.status() < 300, "starter", operation, asStarter);
    }
  }

  @Test
  void taking_from_a_slot_tells_nothing_of_a_call_that_never_waited_there() {
    String call = conference();
    Answer answer =
        colleague.post(
            "/api/slots/62/take", Map.of("device", "test", "call", call, "evenForOthers", true));
    assertThat(answer.code()).isEqualTo("SLOT_EMPTY");
  }

  @Test
  void a_note_is_read_by_whom_it_concerns_alone() {
    String call = conference();
    other.service(call, "clear");
    long bram = colleague.get("/api/session").done().get("id").asLong();
    Answer parked =
        starter.post(
            "/api/calls/" + call + "/park",
            Map.of("slot", "63", "forWhom", bram, "note", "about June"));
    assertThat(parked.status()).isEqualTo(204);
    assertThat(colleague.get("/api/desk").body().get("shelf").toString()).contains("about June");
    assertThat(other.get("/api/desk").body().get("shelf").toString()).doesNotContain("about June");
    assertThat(other.get("/api/find?text=63").body().toString()).doesNotContain("about June");
    Map<String, Object> take = new HashMap<>(Map.of("device", "test", "call", call));
    assertThat(other.post("/api/slots/63/take", take).code()).isEqualTo("MEANT_FOR_OTHER");
    take.put("evenForOthers", true);
    assertThat(other.post("/api/slots/63/take", take).status()).isEqualTo(204);
    other.service(call, "clear");
  }
}
