package oficina.core.people;

import static org.assertj.core.api.Assertions.assertThat;

import oficina.core.TestOffice;
import oficina.core.people.ExtensionKeys.Heard;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Extensions here: 200, 201, 212 to 214, 220 to 222. A space is a pause. */
class ExtensionKeysTest {
  private final Directory directory = new TestOffice().directory;

  @ParameterizedTest
  @CsvSource({
    "2, MORE, 2",
    "20, MORE, 20",
    "201, EXTENSION, 201",
    "220, EXTENSION, 220",
    "2*201, EXTENSION, 201",
    "21#, NONE, ''",
    "201#, EXTENSION, 201",
    "'21 ', NONE, ''",
    "0, LINE, 0",
    "#, LINE, ''",
    "' ', LINE, ''",
    "9, NONE, ''",
    "29, NONE, ''",
    "29212, EXTENSION, 212"
  })
  void what_is_dialled(String keys, Heard last, String dialled) {
    ExtensionKeys heard = new ExtensionKeys();
    Heard result = Heard.MORE;
    for (char key : keys.toCharArray()) {
      result = key == ' ' ? heard.pause(directory) : heard.press(key, directory);
    }
    assertThat(result).isEqualTo(last);
    assertThat(heard.dialled()).isEqualTo(dialled);
  }
}
