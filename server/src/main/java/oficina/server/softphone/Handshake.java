package oficina.server.softphone;

import java.io.IOException;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.Hashtable;
import java.util.Vector;
import java.util.function.BiConsumer;
import org.bouncycastle.tls.AlertDescription;
import org.bouncycastle.tls.Certificate;
import org.bouncycastle.tls.CertificateRequest;
import org.bouncycastle.tls.CipherSuite;
import org.bouncycastle.tls.ClientCertificateType;
import org.bouncycastle.tls.DTLSServerProtocol;
import org.bouncycastle.tls.DTLSTransport;
import org.bouncycastle.tls.DatagramTransport;
import org.bouncycastle.tls.DefaultTlsServer;
import org.bouncycastle.tls.ExporterLabel;
import org.bouncycastle.tls.HashAlgorithm;
import org.bouncycastle.tls.ProtocolVersion;
import org.bouncycastle.tls.SRTPProtectionProfile;
import org.bouncycastle.tls.SignatureAlgorithm;
import org.bouncycastle.tls.SignatureAndHashAlgorithm;
import org.bouncycastle.tls.TlsCredentialedSigner;
import org.bouncycastle.tls.TlsFatalAlert;
import org.bouncycastle.tls.TlsSRTPUtils;
import org.bouncycastle.tls.UseSRTPData;
import org.bouncycastle.tls.crypto.TlsCryptoParameters;
import org.bouncycastle.tls.crypto.impl.bc.BcDefaultTlsCredentialedSigner;

/**
 * The server's side of DTLS 1.2 with a page, by Bouncy Castle: ends with the keys for its packets
 * (DTLS-SRTP, RFC 5764). The page must come with the certificate of which its offer had the
 * fingerprint.
 */
final class Handshake extends DefaultTlsServer {
  private static final int TIMEOUT_MS = 10_000;
  private static final SignatureAndHashAlgorithm ECDSA =
      SignatureAndHashAlgorithm.getInstance(HashAlgorithm.sha256, SignatureAlgorithm.ecdsa);
  private static final SignatureAndHashAlgorithm RSA =
      SignatureAndHashAlgorithm.getInstance(HashAlgorithm.sha256, SignatureAlgorithm.rsa);

  private final Identity identity;
  private final byte[] expected;
  private final BiConsumer<Srtp, Srtp> keys;

  /**
   * @param expected the fingerprint that the page's certificate must have
   * @param keys is given what comes from the page and what goes to it
   */
  Handshake(Identity identity, byte[] expected, BiConsumer<Srtp, Srtp> keys) {
    super(identity.crypto);
    this.identity = identity;
    this.expected = expected;
    this.keys = keys;
  }

  /** Returns when it is done. */
  DTLSTransport run(DatagramTransport transport) throws IOException {
    return new DTLSServerProtocol().accept(this, transport);
  }

  @Override
  public int getHandshakeTimeoutMillis() {
    return TIMEOUT_MS;
  }

  @Override
  protected ProtocolVersion[] getSupportedVersions() {
    return ProtocolVersion.DTLSv12.only();
  }

  @Override
  protected int[] getSupportedCipherSuites() {
    return new int[] {CipherSuite.TLS_ECDHE_ECDSA_WITH_AES_128_GCM_SHA256};
  }

  @Override
  public int[] getCipherSuites() {
    return getSupportedCipherSuites();
  }

  @Override
  protected TlsCredentialedSigner getECDSASignerCredentials() {
    return new BcDefaultTlsCredentialedSigner(
        new TlsCryptoParameters(context),
        identity.crypto,
        identity.key,
        identity.certificate,
        ECDSA);
  }

  /** Vector and Hashtable are what Bouncy Castle asks for. */
  @Override
  public CertificateRequest getCertificateRequest() {
    Vector<SignatureAndHashAlgorithm> algorithms = new Vector<>(Arrays.asList(ECDSA, RSA));
    short[] types = {ClientCertificateType.ecdsa_sign, ClientCertificateType.rsa_sign};
    return new CertificateRequest(types, algorithms, null);
  }

  @Override
  public void notifyClientCertificate(Certificate theirs) throws IOException {
    if (theirs.isEmpty() || !MessageDigest.isEqual(expected, fingerprint(theirs))) {
      throw new TlsFatalAlert(AlertDescription.bad_certificate);
    }
  }

  private static byte[] fingerprint(Certificate certificate) throws IOException {
    try {
      return MessageDigest.getInstance("SHA-256")
          .digest(certificate.getCertificateAt(0).getEncoded());
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException(e);
    }
  }

  @Override
  public void processClientExtensions(Hashtable extensions) throws IOException {
    super.processClientExtensions(extensions);
    UseSRTPData offered = TlsSRTPUtils.getUseSRTPExtension(extensions);
    boolean ours =
        offered != null
            && Arrays.stream(offered.getProtectionProfiles())
                .anyMatch(p -> p == SRTPProtectionProfile.SRTP_AES128_CM_HMAC_SHA1_80);
    if (!ours) {
      throw new TlsFatalAlert(AlertDescription.handshake_failure);
    }
  }

  @Override
  @SuppressWarnings("unchecked")
  public Hashtable<Integer, byte[]> getServerExtensions() throws IOException {
    Hashtable<Integer, byte[]> extensions = super.getServerExtensions();
    if (extensions == null) {
      extensions = new Hashtable<>();
    }
    int[] profile = {SRTPProtectionProfile.SRTP_AES128_CM_HMAC_SHA1_80};
    TlsSRTPUtils.addUseSRTPExtension(extensions, new UseSRTPData(profile, new byte[0]));
    return extensions;
  }

  @Override
  public void notifyHandshakeComplete() throws IOException {
    super.notifyHandshakeComplete();
    int length = 2 * (Srtp.KEY + Srtp.SALT);
    byte[] all = context.exportKeyingMaterial(ExporterLabel.dtls_srtp, null, length);
    int salts = 2 * Srtp.KEY;
    Srtp fromPage =
        new Srtp(
            Arrays.copyOfRange(all, 0, Srtp.KEY),
            Arrays.copyOfRange(all, salts, salts + Srtp.SALT));
    Srtp toPage =
        new Srtp(
            Arrays.copyOfRange(all, Srtp.KEY, salts),
            Arrays.copyOfRange(all, salts + Srtp.SALT, length));
    keys.accept(fromPage, toPage);
  }
}
