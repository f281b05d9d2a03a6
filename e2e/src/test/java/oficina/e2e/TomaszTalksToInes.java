package oficina.e2e;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * Where many stories begin: Tomasz has called Ines, she has answered, and Adaeze is at her desk.
 */
abstract class TomaszTalksToInes {
  @RegisterExtension final Browsers browsers = new Browsers();
  Desk ines;
  Desk tomasz;
  Desk adaeze;

  @BeforeEach
  void tomasz_talks_to_ines() {
    ines = browsers.of("ines");
    tomasz = browsers.of("tomasz");
    adaeze = browsers.of("adaeze");
    tomasz.dial("201");
    ines.button("Answer").click();
    tomasz.sees("Ines Calloway", "talking");
    ines.sees("Tomasz Brill", "talking"); // each page hears of it by itself
  }
}
