package oficina.server.softphone;

import java.io.IOException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Hashtable;
import java.util.HexFormat;
import java.util.concurrent.locks.LockSupport;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.bouncycastle.tls.Certificate;
import org.bouncycastle.tls.CertificateRequest;
import org.bouncycastle.tls.CipherSuite;
import org.bouncycastle.tls.DTLSClientProtocol;
import org.bouncycastle.tls.DTLSTransport;
import org.bouncycastle.tls.DatagramTransport;
import org.bouncycastle.tls.DefaultTlsClient;
import org.bouncycastle.tls.ExporterLabel;
import org.bouncycastle.tls.HashAlgorithm;
import org.bouncycastle.tls.ProtocolVersion;
import org.bouncycastle.tls.SRTPProtectionProfile;
import org.bouncycastle.tls.SignatureAlgorithm;
import org.bouncycastle.tls.SignatureAndHashAlgorithm;
import org.bouncycastle.tls.TlsAuthentication;
import org.bouncycastle.tls.TlsCredentials;
import org.bouncycastle.tls.TlsSRTPUtils;
import org.bouncycastle.tls.TlsServerCertificate;
import org.bouncycastle.tls.UseSRTPData;
import org.bouncycastle.tls.crypto.TlsCryptoParameters;
import org.bouncycastle.tls.crypto.impl.bc.BcDefaultTlsCredentialedSigner;

/**
 * What a browser's softphone does on the network: finds its way, shakes hands, sends and receives.
 */
public final class TestPage implements AutoCloseable, DatagramTransport {
  private static final int OPUS = 111;
  private static final int KEYS = 110;

  private final DatagramSocket socket;
  private final Identity identity = new Identity();
  private final byte[] buffer = new byte[2_048];
  private InetSocketAddress server;
  private String serverName;
  private byte[] serverPassword;
  private int payloadType;
  private Srtp toServer;
  private Srtp fromServer;
  private DTLSTransport transport;
  private int number = 1;
  private int time;

  public TestPage() throws IOException {
    socket = new DatagramSocket(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0));
  }

  /**
   * What it offers.
   *
   * @param opus whether it has Opus, and not only G.711
   */
  public String offer(boolean opus) {
    return offer(identity.fingerprint, opus);
  }

  /** An offer with the fingerprint of somebody else's certificate. */
  String offerOfAnother() {
    return offer(new Identity().fingerprint, /* opus= */ true);
  }

  private static String offer(byte[] fingerprint, boolean opus) {
    return String.join(
            "\r\n",
            "v=0",
            "o=- 4611731400430051336 2 IN IP4 127.0.0.1",
            "s=-",
            "t=0 0",
            "a=group:BUNDLE 0",
            "m=audio 9 UDP/TLS/RTP/SAVPF " + (opus ? OPUS + " " + KEYS + " " : "") + "0 8",
            "c=IN IP4 0.0.0.0",
            "a=ice-ufrag:page",
            "a=ice-pwd:asd88fgpdd777uzjYhagZg",
            "a=fingerprint:sha-256 "
                + HexFormat.ofDelimiter(":").withUpperCase().formatHex(fingerprint),
            "a=setup:actpass",
            "a=mid:0",
            "a=sendrecv",
            "a=rtcp-mux",
            opus ? "a=rtpmap:" + OPUS + " opus/48000/2" : "a=rtpmap:0 PCMU/8000",
            "a=rtpmap:" + KEYS + " telephone-event/48000",
            "a=rtpmap:8 PCMA/8000")
        + "\r\n";
  }

  /** Takes in what its offer was answered. */
  public void answered(String sdp) {
    serverName = line(sdp, "a=ice-ufrag:");
    serverPassword = line(sdp, "a=ice-pwd:").getBytes(StandardCharsets.US_ASCII);
    String[] medium = line(sdp, "m=audio ").split(" ");
    payloadType = Integer.parseInt(medium[2]);
    server = new InetSocketAddress("127.0.0.1", Integer.parseInt(medium[0]));
  }

  private static String line(String sdp, String beginning) {
    return sdp.lines()
        .filter(line -> line.startsWith(beginning))
        .findFirst()
        .orElseThrow()
        .substring(beginning.length());
  }

  /** Asks for the way with this password; null when nothing is answered. */
  byte[] ask(byte[] password) throws IOException {
    sendQuestion(password);
    int length = receive(buffer, 0, buffer.length, 300);
    return length < 0 ? null : Arrays.copyOf(buffer, length);
  }

  /**
   * Tells that it is still there (RFC 7675), as a browser does each few seconds; whoever does not
   * is given up after half a minute.
   */
  public void isStillThere() throws IOException {
    sendQuestion(serverPassword);
  }

  /** Waits until the server has taken in all that was sent: it answers in the order of asking. */
  void awaitTakenIn() throws IOException {
    sendQuestion(serverPassword);
    long patience = System.nanoTime() + 20_000_000_000L;
    do {
      int length = receive(buffer, 0, buffer.length, 20);
      if (length > 0 && buffer[0] == 1) {
        return;
      }
    } while (System.nanoTime() < patience);
    throw new IOException("nothing was answered");
  }

  /** Asks for the way of another page, as whoever forges where it comes from would. */
  void forge(TestPage other) throws IOException {
    sendQuestion(other.serverName, other.serverPassword);
  }

  private void sendQuestion(byte[] password) throws IOException {
    sendQuestion(serverName, password);
  }

  private void sendQuestion(String serverName, byte[] password) throws IOException {
    byte[] name = (serverName + ":page").getBytes(StandardCharsets.US_ASCII);
    ByteBuffer out = ByteBuffer.allocate(200);
    out.putShort((short) 1).putShort((short) 0).putInt(0x2112A442).put(new byte[12]);
    out.putShort((short) 6).putShort((short) name.length).put(name);
    while (out.position() % 4 != 0) {
      out.put((byte) 0);
    }
    out.putShort(2, (short) (out.position() - 20 + 24));
    byte[] covered = Arrays.copyOf(out.array(), out.position());
    out.putShort((short) 8).putShort((short) 20).put(hmac(password, covered));
    socket.send(new DatagramPacket(out.array(), out.position(), server));
  }

  private static byte[] hmac(byte[] key, byte[] data) {
    try {
      Mac mac = Mac.getInstance("HmacSHA1");
      mac.init(new SecretKeySpec(key, "HmacSHA1"));
      return mac.doFinal(data);
    } catch (java.security.GeneralSecurityException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Finds its way and shakes hands. */
  public void connect() throws IOException {
    if (ask(serverPassword) == null) {
      throw new IOException("no way was found");
    }
    transport = new DTLSClientProtocol().connect(new Hello(), this);
  }

  /** Begins to shake hands, and says no more. */
  public void beginToConnect() throws IOException {
    if (ask(serverPassword) == null) {
      throw new IOException("no way was found");
    }
    Thread begun =
        new Thread(
            () -> {
              try {
                new DTLSClientProtocol().connect(new Hello(), new OneWay(this));
              } catch (IOException e) {
                // It hears nothing, and gives up.
              }
            });
    begun.setDaemon(true);
    begun.start();
  }

  /** Sends, and hears nothing. */
  private record OneWay(TestPage page) implements DatagramTransport {
    @Override
    public int getReceiveLimit() {
      return page.getReceiveLimit();
    }

    @Override
    public int getSendLimit() {
      return page.getSendLimit();
    }

    @Override
    public int receive(byte[] into, int from, int most, int waitMillis) {
      LockSupport.parkNanos(1_000_000L * waitMillis);
      return -1;
    }

    @Override
    public void send(byte[] bytes, int from, int length) throws IOException {
      page.send(bytes, from, length);
    }

    @Override
    public void close() {
      // The page is closed by whoever made it.
    }
  }

  /** Says goodbye, as a page does that is closed. */
  void sayGoodbye() throws IOException {
    transport.close();
  }

  /** Sends a frame of sound. */
  public void send(byte[] payload, int length) throws IOException {
    byte[] packet = packet(payload, length);
    socket.send(new DatagramPacket(packet, packet.length, server));
  }

  /** Presses a key, as RFC 4733 has it: told while it is down, and three times when it is up. */
  void press(int event) throws IOException {
    time += 960;
    for (int packet = 1; packet <= 5; packet++) {
      int flags = packet < 3 ? 10 : 0x80 | 10;
      int duration = Math.min(packet, 3) * 960;
      byte[] payload = {(byte) event, (byte) flags, (byte) (duration >> 8), (byte) duration};
      sendRaw(packet(KEYS, payload, payload.length));
    }
  }

  /** The next packet as it goes over the network. */
  public byte[] packet(byte[] payload, int length) {
    time += payloadType == OPUS ? 960 : 160;
    return packet(payloadType, payload, length);
  }

  private byte[] packet(int type, byte[] payload, int length) {
    byte[] packet = new byte[12 + length + 10];
    ByteBuffer.wrap(packet)
        .put((byte) 0x80)
        .put((byte) type)
        .putShort((short) number++)
        .putInt(time)
        .putInt(77)
        .put(payload, 0, length);
    toServer.protect(packet, 12 + length);
    return packet;
  }

  /** Sends a packet as it is. */
  public void sendRaw(byte[] packet) throws IOException {
    socket.send(new DatagramPacket(packet, packet.length, server));
  }

  /**
   * The payload of the next packet of sound.
   *
   * @return its length; -1 when none came in time
   */
  public int hear(byte[] payload, int waitMillis) throws IOException {
    int length = receive(buffer, 0, buffer.length, waitMillis);
    if (length < 0 || (buffer[0] & 0xFF) < 128) {
      return -1;
    }
    int plain = fromServer.unprotect(buffer, length);
    if (plain < 0) {
      throw new IOException("not authentic");
    }
    System.arraycopy(buffer, 12, payload, 0, plain - 12);
    return plain - 12;
  }

  @Override
  public int getReceiveLimit() {
    return 1_500;
  }

  @Override
  public int getSendLimit() {
    return 1_200;
  }

  @Override
  public int receive(byte[] into, int from, int most, int waitMillis) throws IOException {
    try {
      socket.setSoTimeout(Math.max(1, waitMillis));
      DatagramPacket packet = new DatagramPacket(into, from, most);
      socket.receive(packet);
      return packet.getLength();
    } catch (java.net.SocketTimeoutException e) {
      return -1;
    }
  }

  @Override
  public void send(byte[] bytes, int from, int length) throws IOException {
    socket.send(new DatagramPacket(bytes, from, length, server));
  }

  @Override
  public void close() {
    socket.close();
  }

  private final class Hello extends DefaultTlsClient {
    Hello() {
      super(identity.crypto);
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
    @SuppressWarnings("unchecked")
    public Hashtable<Integer, byte[]> getClientExtensions() throws IOException {
      Hashtable<Integer, byte[]> extensions = super.getClientExtensions();
      int[] profile = {SRTPProtectionProfile.SRTP_AES128_CM_HMAC_SHA1_80};
      TlsSRTPUtils.addUseSRTPExtension(extensions, new UseSRTPData(profile, new byte[0]));
      return extensions;
    }

    @Override
    public TlsAuthentication getAuthentication() {
      return new TlsAuthentication() {
        @Override
        public void notifyServerCertificate(TlsServerCertificate theirs) {
          // Its fingerprint was in the answer; that is for browsers to check.
        }

        @Override
        public TlsCredentials getClientCredentials(CertificateRequest request) {
          Certificate own = identity.certificate;
          return new BcDefaultTlsCredentialedSigner(
              new TlsCryptoParameters(context),
              identity.crypto,
              identity.key,
              own,
              SignatureAndHashAlgorithm.getInstance(
                  HashAlgorithm.sha256, SignatureAlgorithm.ecdsa));
        }
      };
    }

    @Override
    public void notifyHandshakeComplete() throws IOException {
      super.notifyHandshakeComplete();
      byte[] all = context.exportKeyingMaterial(ExporterLabel.dtls_srtp, null, 60);
      toServer = new Srtp(Arrays.copyOfRange(all, 0, 16), Arrays.copyOfRange(all, 32, 46));
      fromServer = new Srtp(Arrays.copyOfRange(all, 16, 32), Arrays.copyOfRange(all, 46, 60));
    }
  }
}
