package oficina.server.passkeys;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Base64;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What devices answer, in the words of WebAuthn's JSON (5.1.3, 5.1.4); bytes are in base64url. */
public final class Answered {
  private Answered() {}

  /** A key that was made. */
  @Schema(name = "MadePasskey")
  record Made(@NotNull @Valid Attestation response) {

    /**
     * @param transports how browsers reach the device; absent when they do not say
     */
    record Attestation(
        @NotBlank String clientDataJSON,
        @NotBlank String attestationObject,
        @Schema(nullable = true) @Nullable @Size(max = 6) Set<@Size(max = 12) String> transports) {}
  }

  /**
   * A key that was shown.
   *
   * @param id of the key
   */
  @Schema(name = "ShownPasskey")
  public record Shown(@NotBlank String id, @NotNull @Valid Assertion response) {

    /**
     * @param userHandle by which the device knows its person
     */
    record Assertion(
        @NotBlank String clientDataJSON,
        @NotBlank String authenticatorData,
        @NotBlank String signature,
        @NotBlank String userHandle) {}
  }

  /**
   * @throws IllegalArgumentException when that is no base64url
   */
  static byte[] bytes(String text) {
    return Base64.getUrlDecoder().decode(text);
  }
}
