package oficina.server.softphone;

import java.io.IOException;
import java.math.BigInteger;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.security.spec.ECGenParameterSpec;
import java.time.Duration;
import java.time.Instant;
import java.util.Date;
import org.bouncycastle.asn1.x500.X500Name;
import org.bouncycastle.cert.X509CertificateHolder;
import org.bouncycastle.cert.jcajce.JcaX509v3CertificateBuilder;
import org.bouncycastle.crypto.params.AsymmetricKeyParameter;
import org.bouncycastle.crypto.util.PrivateKeyFactory;
import org.bouncycastle.operator.OperatorCreationException;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;
import org.bouncycastle.tls.Certificate;
import org.bouncycastle.tls.crypto.TlsCertificate;
import org.bouncycastle.tls.crypto.impl.bc.BcTlsCertificate;
import org.bouncycastle.tls.crypto.impl.bc.BcTlsCrypto;

/**
 * The key and certificate with which this server speaks DTLS. Made anew at each start: pages learn
 * its fingerprint from the answer to their offer, over the connection they are signed in on.
 */
final class Identity {
  private static final Duration VALID = Duration.ofDays(30);

  final BcTlsCrypto crypto = new BcTlsCrypto(new SecureRandom());
  final Certificate certificate;
  final AsymmetricKeyParameter key;
  final byte[] fingerprint;

  Identity() {
    try {
      KeyPairGenerator generator = KeyPairGenerator.getInstance("EC");
      generator.initialize(new ECGenParameterSpec("secp256r1"));
      KeyPair pair = generator.generateKeyPair();
      X500Name name = new X500Name("CN=office");
      Instant now = Instant.now();
      X509CertificateHolder made =
          new JcaX509v3CertificateBuilder(
                  name,
                  new BigInteger(64, new SecureRandom()),
                  Date.from(now.minus(VALID)),
                  Date.from(now.plus(VALID)),
                  name,
                  pair.getPublic())
              .build(new JcaContentSignerBuilder("SHA256withECDSA").build(pair.getPrivate()));
      certificate =
          new Certificate(
              new TlsCertificate[] {new BcTlsCertificate(crypto, made.toASN1Structure())});
      key = PrivateKeyFactory.createKey(pair.getPrivate().getEncoded());
      fingerprint = MessageDigest.getInstance("SHA-256").digest(made.getEncoded());
    } catch (GeneralSecurityException | OperatorCreationException | IOException e) {
      throw new IllegalStateException(e);
    }
  }
}
