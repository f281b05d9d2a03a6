package oficina.server;

import com.webauthn4j.converter.AttestedCredentialDataConverter;
import com.webauthn4j.converter.util.ObjectConverter;
import com.webauthn4j.data.attestation.authenticator.AAGUID;
import com.webauthn4j.data.attestation.authenticator.AttestedCredentialData;
import com.webauthn4j.data.attestation.authenticator.EC2COSEKey;
import com.webauthn4j.data.attestation.statement.COSEAlgorithmIdentifier;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.MessageDigest;
import java.security.PrivateKey;
import java.security.SecureRandom;
import java.security.Signature;
import java.security.interfaces.ECPublicKey;
import java.security.spec.ECGenParameterSpec;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A device that makes a passkey and shows it (WebAuthn, ES256), honestly or not. */
final class PlayedDevice {
  private static final ObjectConverter CONVERTER = new ObjectConverter();
  private static final int PERSON_PRESENT = 1;
  private static final int PERSON_KNOWN = 4;
  private static final int HAS_KEY = 64;

  private final String origin;
  private final KeyPair keys;
  private final byte[] id = new byte[20];
  private byte[] handle = {};

  /** Whether it has made sure of who it is. */
  boolean personKnown = true;

  /** Whoever signs in its place; itself as a rule. */
  PrivateKey signs;

  PlayedDevice(String origin) throws GeneralSecurityException {
    this.origin = origin;
    KeyPairGenerator maker = KeyPairGenerator.getInstance("EC");
    maker.initialize(new ECGenParameterSpec("secp256r1"));
    keys = maker.generateKeyPair();
    signs = keys.getPrivate();
    new SecureRandom().nextBytes(id);
  }

  /** What it answers when it is asked for a key. */
  Map<String, Object> make(JsonNode asked) throws GeneralSecurityException {
    handle = Base64.getUrlDecoder().decode(asked.get("user").get("id").asString());
    byte[] key =
        new AttestedCredentialDataConverter(CONVERTER)
            .convert(
                new AttestedCredentialData(
                    AAGUID.ZERO,
                    id,
                    EC2COSEKey.create(
                        (ECPublicKey) keys.getPublic(), COSEAlgorithmIdentifier.ES256)));
    byte[] head = head(asked.get("rp").get("id").asString(), HAS_KEY);
    byte[] data = ByteBuffer.allocate(head.length + key.length).put(head).put(key).array();
    Map<String, Object> attestation = new LinkedHashMap<>();
    attestation.put("fmt", "none");
    attestation.put("attStmt", Map.of());
    attestation.put("authData", data);
    return answer(
        Map.of(
            "clientDataJSON", text(clientData("webauthn.create", asked)),
            "attestationObject", text(CONVERTER.getCborMapper().writeValueAsBytes(attestation)),
            "transports", List.of("internal")));
  }

  /** What it answers when it is to show the key. */
  Map<String, Object> show(JsonNode asked) throws GeneralSecurityException {
    byte[] data = head(asked.get("rpId").asString(), 0);
    byte[] clientData = clientData("webauthn.get", asked);
    Signature signature = Signature.getInstance("SHA256withECDSA");
    signature.initSign(signs);
    signature.update(data);
    signature.update(sha256(clientData));
    return answer(
        Map.of(
            "clientDataJSON", text(clientData),
            "authenticatorData", text(data),
            "signature", text(signature.sign()),
            "userHandle", text(handle)));
  }

  private Map<String, Object> answer(Map<String, Object> response) {
    return Map.of(
        "id", text(id),
        "rawId", text(id),
        "type", "public-key",
        "clientExtensionResults", Map.of(),
        "response", response);
  }

  private byte[] head(String name, int more) throws GeneralSecurityException {
    int flags = PERSON_PRESENT | (personKnown ? PERSON_KNOWN : 0) | more;
    return ByteBuffer.allocate(37)
        .put(sha256(name.getBytes(StandardCharsets.UTF_8)))
        .put((byte) flags)
        .putInt(0)
        .array();
  }

  private byte[] clientData(String type, JsonNode asked) {
    return JsonMapper.shared()
        .writeValueAsBytes(
            Map.of("type", type, "challenge", asked.get("challenge").asString(), "origin", origin));
  }

  private static byte[] sha256(byte[] of) throws GeneralSecurityException {
    return MessageDigest.getInstance("SHA-256").digest(of);
  }

  private static String text(byte[] bytes) {
    return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
  }
}
