package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import java.util.List;
import oficina.server.ServerProcess;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * The server is killed and the database stopped while people are at their desks and speak, one of
 * them at a desk phone.
 */
class NeverLostTest {
  private static final int INES = 3_600;
  private static final int TOMASZ = 4_300;
  private static final int ADAEZE = 5_100;
  private static final int JOSS = 5_900;
  private static final List<Integer> ALL = List.of(INES, TOMASZ, ADAEZE, JOSS);

  @RegisterExtension final Browsers browsers = Browsers.withSound();

  @Test
  void calls_outlive_a_killed_server_and_a_stopped_database() {
    try (ServerProcess server = new ServerProcess()) {
      server.start();
      browsers.use(server.address());
      Desk ines = browsers.speaking("ines", INES);
      Desk tomasz = browsers.speaking("tomasz", TOMASZ);
      Desk adaeze = browsers.speaking("adaeze", ADAEZE);
      tomasz.dial("201");
      ines.button("Answer").click();
      tomasz.sees("Ines Calloway", "talking");
      ines.sees("Tomasz Brill", "talking");
      ines.press("p");
      assertThat(ines.button("Cancel")).isVisible();
      ines.press("Enter");
      tomasz.sees("Ines Calloway", "parked you in 61");
      adaeze.dial("201");
      ines.button("Answer").click();
      adaeze.sees("Ines Calloway", "talking");
      ines.button("Hold").click();
      adaeze.sees("Ines Calloway", "they put you on hold");
      Desk joss = browsers.speaking("joss", JOSS);
      Desk lotte = browsers.of("lotte");
      DeskPhone phone = DeskPhone.of(lotte);
      joss.dial("233");
      phone.shows("Joss Ardley calls").press("Speaker");
      lotte.sees("Joss Ardley", "talking");

      server.kill();
      for (Desk desk : List.of(ines, tomasz, adaeze)) {
        assertThat(desk.page.getByText("The connection to the server is lost.")).isVisible();
      }
      server.start();
      ines.isTold("The server was restarted and is back. Calls in your hand: 1.");
      tomasz.isTold("The server was restarted and is back. Calls in your hand: 1.");
      adaeze.sees("Ines Calloway", "they put you on hold");
      assertThat(ines.slot("61")).containsText("Tomasz Brill");
      phone.isPlugged();
      lotte.sees("Joss Ardley", "on the desk phone");
      Ear.hears(new Desk(phone.page), ALL, JOSS);
      phone.shows("Joss Ardley").press("End");
      lotte.hasNoCalls();
      ines.take("61");
      tomasz.sees("Ines Calloway", "talking");
      ines.sees("Adaeze Moor", "on hold");
      Ear.hears(ines, ALL, TOMASZ); // the sound is back by itself
      Ear.hears(tomasz, ALL, INES);
      Ear.hearsMusic(adaeze, ALL);

      server.database().stop();
      tomasz.button("Hold").click();
      ines.sees("Tomasz Brill", "they put you on hold");
      for (Desk desk : List.of(ines, tomasz, adaeze)) {
        assertThat(desk.page.getByText("The database is away. Calls go on")).isVisible();
      }
      tomasz.button("Resume").click();
      ines.inStrip("Adaeze Moor", "Join").click();
      adaeze.sees("Conference", "talking");
      Ear.hears(adaeze, ALL, INES, TOMASZ);
      ines.button("End for all").click();
      tomasz.hasNoCalls();
      server.database().start();
      assertThat(tomasz.page.getByText("The database is away.")).hasCount(0);
      tomasz.open("History");
      assertThat(tomasz.entries()).hasCount(1);
      assertThat(tomasz.entries().first()).containsText("Ines Calloway");
      ines.open("History");
      assertThat(ines.entries()).hasCount(2);
    }
  }
}
