package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.Map;
import oficina.server.Client;
import oficina.server.TestServer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Somebody's first morning, with a password that the administrator gave them. */
class NewcomerTest {
  private static final String GIVEN = "given-by-mirela";
  @RegisterExtension final Browsers browsers = new Browsers();

  private final Client mirela = Client.withoutPage(TestServer.get().address(), "mirela");
  private long newcomer;

  @BeforeEach
  void wrenna_joins() {
    Map<String, String> person =
        Map.of(
            "name", "Wrenna Vance",
            "signInName", "wrenna",
            "role", "EMPLOYEE",
            "extension", "293",
            "directNumber", "",
            "team", "Freight",
            "site", "",
            "mail", "",
            "mobile", "");
    Map<String, Object> joining = Map.of("person", person, "password", GIVEN);
    newcomer = mirela.post("/api/office/people", joining).done().get("id").asLong();
  }

  @AfterEach
  void wrenna_leaves() {
    mirela.delete("/api/office/people/" + newcomer);
  }

  private static void choose(Page page, String present, String again) {
    page.getByLabel("Present password").fill(present);
    page.getByLabel("New password", new Page.GetByLabelOptions().setExact(true))
        .fill("a word of her own");
    page.getByLabel("New password again").fill(again);
    new Desk(page).button("Change password").click();
  }

  @Test
  void she_chooses_her_own_password_first_and_is_on_everybodys_board() {
    Desk tomasz = browsers.of("tomasz");
    tomasz.seesState("Wrenna Vance", "Not signed in");
    Page page = browsers.stranger();
    Desk wrenna = new Desk(page);
    wrenna.signIn("wrenna", GIVEN);
    choose(page, GIVEN, "another word");
    assertThat(wrenna.alert()).containsText("The two new passwords are not the same.");
    choose(page, "not that one", "a word of her own");
    assertThat(wrenna.alert()).containsText("Your present password is not that one.");
    choose(page, GIVEN, "a word of her own");
    wrenna.isLive();
    tomasz.seesState("Wrenna Vance", "Free");
    tomasz.dial("293");
    wrenna.sees("Tomasz Brill", "ringing");
    wrenna.button("Answer").click();
    tomasz.sees("Wrenna Vance", "talking");
  }
}
