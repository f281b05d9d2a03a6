package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import oficina.core.people.PersonId;
import oficina.server.office.OfficeData;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A room has a telephone and people who act for it; nobody signs in as it. */
@ExtendWith(TestServer.class)
class RoomsOverHttpTest {
  private static final String PEOPLE = "/api/office/people";

  @Test
  void it_needs_no_password_and_its_delegates_are_named_in_the_register() {
    try (Client mirela = Client.withoutPage(TestServer.get().address(), "mirela");
        Client rufus = Client.withoutPage(TestServer.get().address(), "rufus")) {
      Map<String, Object> room = OfficeOverHttpTest.person("Hask Room", "room-269", "269");
      assertThat(mirela.post(PEOPLE, Map.of("person", room, "password", "")).code())
          .as("an employee needs one")
          .isEqualTo("PASSWORD_TOO_SHORT");
      room.put("role", "ROOM");
      long id =
          mirela.post(PEOPLE, Map.of("person", room, "password", "")).done().get("id").asLong();
      Client stranger = new Client(TestServer.get().address());
      assertThat(stranger.signIn("room-269", "").status()).isEqualTo(422);
      assertThat(stranger.signIn("room-269", "harbour-light").code()).isEqualTo("WRONG_PASSWORD");
      mirela
          .put(PEOPLE + "/" + id + "/password", Map.of("password", OfficeOverHttpTest.GIVEN))
          .done();
      assertThat(stranger.signIn("269", OfficeOverHttpTest.GIVEN).code())
          .as("whatever password it has")
          .isEqualTo("WRONG_PASSWORD");

      String delegates = PEOPLE + "/" + id + "/delegates";
      long his = rufus.get("/api/session").done().get("id").asLong();
      assertThat(mirela.get(delegates).done().get("delegates")).isEmpty();
      assertThat(mirela.put(delegates, Map.of("delegates", List.of(id))).status()).isEqualTo(422);
      mirela.put(delegates, Map.of("delegates", List.of(his))).done();
      assertThat(mirela.get(delegates).done().get("delegates").get(0).asLong()).isEqualTo(his);
      assertThat(
              TestServer.get()
                  .bean(OfficeData.class)
                  .now()
                  .delegations()
                  .principalsOf(new PersonId(his)))
          .contains(new PersonId(id));
      assertThat(mirela.get("/api/office/log?text=Hask").body().toString()).contains("rules");
      mirela.delete(PEOPLE + "/" + id).done();
    }
  }
}
