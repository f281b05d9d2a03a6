package oficina.server.passkeys;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What is asked of a device, in the words of WebAuthn's JSON (5.1.8). */
final class Asked {
  /** How long a browser waits for its person, in milliseconds. */
  private static final int PATIENCE = 120_000;

  /** Algorithms of keys, the wanted first: Ed25519, ES256, RS256 (IANA COSE). */
  private static final List<Integer> ALGORITHMS = List.of(-8, -7, -257);

  private Asked() {}

  record RelyingParty(String id, String name) {}

  /**
   * @param id as its bytes are written in base64url
   */
  record User(String id, String name, String displayName) {}

  record Kind(String type, int alg) {}

  record Descriptor(String type, String id, Set<String> transports) {}

  record Selection(String residentKey, boolean requireResidentKey, String userVerification) {}

  /** A key to be made that finds its person by itself. */
  @Schema(name = "PasskeyToMake")
  record ToMake(
      RelyingParty rp,
      User user,
      String challenge,
      List<Kind> pubKeyCredParams,
      int timeout,
      List<Descriptor> excludeCredentials,
      Selection authenticatorSelection,
      String attestation) {

    static ToMake of(
        RelyingParty office, User user, String challenge, List<Descriptor> thereAlready) {
      return new ToMake(
          office,
          user,
          challenge,
          ALGORITHMS.stream().map(each -> new Kind("public-key", each)).toList(),
          PATIENCE,
          thereAlready,
          new Selection("required", /* requireResidentKey= */ true, "required"),
          "none");
    }
  }

  /**
   * A key to be shown, whichever its person chooses.
   *
   * @param allowCredentials nothing: nobody says beforehand who they are
   */
  @Schema(name = "PasskeyToShow")
  record ToShow(
      String challenge,
      int timeout,
      String rpId,
      @Schema(nullable = true) @Nullable List<Descriptor> allowCredentials,
      String userVerification) {

    static ToShow of(String name, String challenge) {
      return new ToShow(challenge, PATIENCE, name, null, "required");
    }
  }
}
