package oficina.core.passwords;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class OneTimeCodeTest {
  private static final byte[] SECRET = "12345678901234567890".getBytes(StandardCharsets.US_ASCII);

  @ParameterizedTest(name = "at second {0}")
  @CsvSource({
    "59, 94287082",
    "1111111109, 07081804",
    "1111111111, 14050471",
    "1234567890, 89005924",
    "2000000000, 69279037",
    "20000000000, 65353130"
  })
  void codes_are_those_of_the_standard(long second, String code) {
    assertThat(OneTimeCode.of(SECRET, second / 30, 8)).as("RFC 6238, appendix B").isEqualTo(code);
  }

  @Test
  void a_code_holds_for_its_half_minute_and_its_neighbours_and_once_only() {
    Instant now = Instant.ofEpochSecond(1_111_111_111);
    String code = OneTimeCode.at(SECRET, now);
    long step = 1_111_111_111 / 30;

    assertThat(OneTimeCode.accepted(SECRET, code, now, 0)).hasValue(step);
    assertThat(
            OneTimeCode.accepted(
                SECRET, " " + code.substring(0, 3) + " " + code.substring(3), now, 0))
        .as("as it is shown")
        .hasValue(step);
    assertThat(OneTimeCode.accepted(SECRET, code, now.plusSeconds(30), 0)).hasValue(step);
    assertThat(OneTimeCode.accepted(SECRET, code, now.minusSeconds(30), 0)).hasValue(step);
    assertThat(OneTimeCode.accepted(SECRET, code, now.plusSeconds(60), 0)).isEmpty();
    assertThat(OneTimeCode.accepted(SECRET, code, now, step)).as("used before").isEmpty();
    assertThat(OneTimeCode.accepted(SECRET, "", now, 0)).isEmpty();
  }

  @ParameterizedTest(name = "{0}")
  @CsvSource({
    "f, MY",
    "fo, MZXQ",
    "foo, MZXW6",
    "foob, MZXW6YQ",
    "fooba, MZXW6YTB",
    "foobar, MZXW6YTBOI"
  })
  void secrets_are_written_as_the_standard_has_it(String text, String written) {
    assertThat(OneTimeCode.base32(text.getBytes(StandardCharsets.US_ASCII)))
        .as("RFC 4648, 10")
        .isEqualTo(written);
  }

  @Test
  void a_program_reads_off_a_picture_whose_codes_they_are() {
    assertThat(
            OneTimeCode.address(
                "Fennick & Co", "una", "foobar".getBytes(StandardCharsets.US_ASCII)))
        .isEqualTo(
            "otpauth://totp/Fennick%20%26%20Co:una?secret=MZXW6YTBOI&issuer=Fennick%20%26%20Co"
                + "&digits=6&period=30");
  }
}
