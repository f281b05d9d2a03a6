package oficina.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * Bram takes one call at a time and is on one with Adaeze; Ines wants to be told when he is free.
 */
class CallBackTest {
  @RegisterExtension final Browsers browsers = new Browsers();
  private Desk ines;
  private Desk bram;
  private Desk adaeze;

  @BeforeEach
  void bram_is_busy() {
    ines = browsers.of("ines");
    bram = browsers.of("bram");
    adaeze = browsers.of("adaeze");
    adaeze.dial("213");
    bram.button("Answer").click();
    adaeze.sees("Bram Oakes", "talking");
    ines.dial("213");
    ines.sees("Bram Oakes", "Bram Oakes is busy");
  }

  @Test
  void rings_when_he_is_free_and_then_at_him() {
    ines.press("f");
    assertThat(ines.page.getByText("Waiting until Bram Oakes is free")).isVisible();
    ines.page.reload();
    assertThat(ines.page.getByText("Waiting until Bram Oakes is free")).isVisible();
    adaeze.button("End").click();
    ines.sees("Bram Oakes", "Bram Oakes is free. Answer, and it rings there.");
    ines.button("Answer").click();
    bram.sees("Ines Calloway", "ringing");
    bram.button("Answer").click();
    ines.sees("Bram Oakes", "talking");
    assertThat(ines.page.getByText("Waiting until")).hasCount(0);
  }

  @Test
  void can_be_stopped_and_ends_by_itself_after_an_hour() {
    ines.button("Tell me when free").click();
    ines.button("Stop waiting").click();
    assertThat(ines.page.getByText("Waiting until")).hasCount(0);
    ines.dial("213");
    ines.button("Tell me when free").click();
    assertThat(ines.page.getByText("Waiting until")).isVisible();
    browsers.pass(Duration.ofHours(1));
    ines.isTold("Bram Oakes was not free within the hour.");
    assertThat(ines.page.getByText("Waiting until")).hasCount(0);
  }

  @Test
  void he_is_busy_again_when_it_would_ring_at_him() {
    ines.button("Tell me when free").click();
    assertThat(ines.page.getByText("Waiting until")).isVisible();
    adaeze.button("End").click();
    ines.sees("Bram Oakes", "Answer, and it rings there.");
    adaeze.dial("213");
    bram.sees("Adaeze Moor", "ringing");
    ines.button("Answer").click();
    ines.isTold("Bram Oakes is busy again.");
    assertThat(ines.page.getByText("Waiting until Bram Oakes is free")).isVisible();
  }

  @Test
  void after_a_busy_call_another_number_is_at_hand() {
    ines.button("Call again").click();
    ines.sees("Bram Oakes", "Bram Oakes is busy");
    ines.button("Another number").click();
    ines.page.keyboard().type("222");
    ines.press("Enter");
    ines.sees("Una Redfern", "ringing");
    assertThat(ines.call("Bram Oakes")).hasCount(0);
  }
}
