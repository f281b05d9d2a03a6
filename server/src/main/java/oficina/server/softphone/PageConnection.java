package oficina.server.softphone;

import java.io.IOException;
import java.net.InetSocketAddress;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import oficina.core.people.PersonId;
import oficina.core.sound.G711;
import oficina.core.sound.JitterBuffer;
import oficina.core.sound.Pcm;
import oficina.core.tones.TelephoneEvents;
import oficina.server.door.PerSecond;
import oficina.server.sound.SoundEnd;
import org.bouncycastle.tls.DTLSTransport;
import org.bouncycastle.tls.DatagramTransport;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The sound of one page: first it proves who it is (STUN, then DTLS), then packets come and go.
 * What comes is put in order by the jitter buffer until the engine asks for it; keys among it (RFC
 * 4733) are told at once.
 */
final class PageConnection implements SoundEnd {
  private static final Logger LOG = LoggerFactory.getLogger(PageConnection.class);
  private static final int HEADER = 12;
  private static final int TIMESTAMP = 4;
  private static final int KEYS_PER_SECOND = 20;
  private static final int LARGEST = 1_500;
  private static final int WAITING = 64;
  private static final int MARKER = 0x80;

  /** Long enough that whoever hears it does not hear where it ends. */
  private static final int SILENT_FRAMES_AT_THE_END = 10;

  private final SoundPort port;
  private final Handshakes handshakes;
  private final PersonId by;
  private final Offer offer;
  private final Codec codec;
  private final int payloadType;
  private final String name;
  private final byte[] password;
  private final long source;
  private final Refused refused;
  private final @Nullable Integer keysType;
  private final Consumer<Character> pressed;
  private final TelephoneEvents events = new TelephoneEvents();
  private final PerSecond pressing = new PerSecond(KEYS_PER_SECOND);

  private final BlockingQueue<byte[]> handshake = new ArrayBlockingQueue<>(WAITING);
  private final AtomicBoolean shaking = new AtomicBoolean();
  private final JitterBuffer jitter = new JitterBuffer();
  private final byte[] taken = new byte[LARGEST];
  private final byte[] payload = new byte[LARGEST - HEADER - 40];
  private final byte[] packet = new byte[LARGEST];
  private final ByteBuffer toSend = ByteBuffer.wrap(packet);
  private final short[] silence = new short[Pcm.FRAME];

  private volatile @Nullable InetSocketAddress remote;

  /** Where it was when it shook hands, or began to. */
  private volatile @Nullable InetSocketAddress shookAt;

  private volatile @Nullable DTLSTransport transport;
  private volatile @Nullable Srtp fromPage;
  private volatile @Nullable Srtp toPage;
  private final AtomicBoolean closing = new AtomicBoolean();
  private volatile boolean gaveWay;
  private volatile boolean closed;
  private volatile long provedAt = System.nanoTime();
  private int number;
  private int time;
  private int silentLeft;
  private boolean talkBegins = true;

  PageConnection(
      SoundPort port,
      Handshakes handshakes,
      PersonId by,
      Offer offer,
      Refused refused,
      String name,
      String password,
      long source,
      Consumer<Character> pressed) {
    this.port = port;
    this.handshakes = handshakes;
    this.by = by;
    this.offer = offer;
    this.refused = refused;
    this.name = name;
    this.password = password.getBytes(StandardCharsets.US_ASCII);
    this.source = source;
    this.pressed = pressed;
    boolean opus = offer.opus() != null && Opus.THERE;
    this.codec = opus ? new OpusCodec() : new G711Codec(G711.A_LAW);
    this.payloadType = opus ? offer.opus() : G711.A_LAW.payloadType();
    this.keysType = offer.events(opus);
  }

  /** Its half of the user name of STUN. */
  String name() {
    return name;
  }

  /** Whose page it is. */
  PersonId by() {
    return by;
  }

  int payloadType() {
    return payloadType;
  }

  /** How long ago it last proved that it is there. */
  long silentNanos() {
    return System.nanoTime() - provedAt;
  }

  // --- what comes, on the port's thread ---------------------------------------------------------

  /** A request for the way here, answered when it has the right password. */
  void asked(Stun.Request request, InetSocketAddress from) {
    if (closed || !request.isSignedWith(password)) {
      refused.credentials.incrementAndGet();
      return;
    }
    if (!port.comesFrom(this, from)) {
      return;
    }
    provedAt = System.nanoTime();
    InetSocketAddress before = remote;
    if (before != null && !before.equals(from)) {
      port.left(this, before);
    }
    remote = from;
    port.send(ByteBuffer.wrap(Stun.answer(request, password, from)), from);
  }

  /**
   * Whether nobody else can come from there: it has shaken hands there, or is about to. Whoever
   * only says so cannot, because what they are answered does not reach them.
   */
  boolean holds(InetSocketAddress there) {
    return !closed && there.equals(shookAt) && (fromPage != null || shaking.get());
  }

  /** A step of the handshake, or of what belongs to it later. */
  void shook(byte[] message) {
    if (closed || !handshake.offer(message) || !shaking.compareAndSet(false, true)) {
      return;
    }
    DTLSTransport done = transport;
    if (done == null) {
      shookAt = remote;
      handshakes.begin(this, this::shake);
    } else {
      handshakes.afterwards(() -> takeIn(done));
    }
  }

  /**
   * Its handshake is not gone on with. Its thread is not interrupted: that would close the port, by
   * which it may be sending.
   */
  void giveWay() {
    gaveWay = true;
    handshake.clear();
    handshake.offer(new byte[0]); // it need not wait any longer
  }

  private void shake() {
    try {
      transport = new Handshake(port.identity(), offer.fingerprint(), this::keys).run(new Wire());
    } catch (IOException | RuntimeException e) {
      if (!closed) {
        refused.handshakes.incrementAndGet();
        LOG.info("A page's sound was not connected: {}", e.getMessage());
        port.close(this);
      }
    } finally {
      shaking.set(false);
    }
  }

  /** A last step that was lost and is repeated, or the page's goodbye, after which none is read. */
  private void takeIn(DTLSTransport open) {
    byte[] nothing = new byte[LARGEST];
    int left;
    try {
      do {
        left = handshake.size();
        open.receive(nothing, 0, nothing.length, 1);
      } while (!handshake.isEmpty() && handshake.size() < left);
    } catch (IOException | RuntimeException e) {
      LOG.debug("What a page said after the handshake was not understood: {}", e.getMessage());
    } finally {
      handshake.clear();
      shaking.set(false);
    }
  }

  private void keys(Srtp from, Srtp to) {
    fromPage = from;
    toPage = to;
  }

  /** A packet of sound; its array may be changed. */
  void spoke(byte[] received, int length) {
    Srtp keys = fromPage;
    if (keys == null || closed) {
      return;
    }
    int type = received[1] & 0x7F;
    if (type >= 64 && type < 96) {
      return; // a report (RTCP, told apart as RFC 5761 has it), of which none is needed
    }
    int plain = keys.unprotect(received, length);
    if (plain == Srtp.FORGED) {
      refused.forged.incrementAndGet();
    } else if (plain == Srtp.REPLAYED) {
      refused.replayed.incrementAndGet();
    } else if (type == payloadType) {
      int header = Srtp.header(received, plain);
      int sequence = (received[2] & 0xFF) << 8 | received[3] & 0xFF;
      synchronized (jitter) {
        jitter.put(sequence, received, header, plain - header, System.nanoTime() / 1_000_000);
      }
    } else if (keysType != null && type == keysType) {
      int header = Srtp.header(received, plain);
      int timestamp = ByteBuffer.wrap(received).getInt(TIMESTAMP);
      Character key = events.take(received, header, plain - header, timestamp);
      if (key != null && pressing.allows()) {
        pressed.accept(key);
      }
    }
  }

  // --- what the engine asks for -----------------------------------------------------------------

  @Override
  public boolean speak(short[] frame) {
    JitterBuffer.Taken what;
    int length;
    synchronized (jitter) {
      what = jitter.take(taken);
      length = jitter.length();
    }
    switch (what) {
      case FRAME -> codec.decode(taken, length, frame);
      case MISSING -> codec.conceal(frame);
      default -> {
        return false;
      }
    }
    return true;
  }

  @Override
  public void hear(short[] frame) {
    silentLeft = SILENT_FRAMES_AT_THE_END;
    send(frame);
  }

  @Override
  public void idle() {
    if (silentLeft > 0) {
      silentLeft--;
      send(silence);
    } else {
      time += codec.ticksPerFrame();
      talkBegins = true;
    }
  }

  private void send(short[] frame) {
    InetSocketAddress to = remote;
    Srtp keys = toPage;
    time += codec.ticksPerFrame();
    if (to == null || keys == null || closed) {
      return;
    }
    int size = codec.encode(frame, payload);
    packet[0] = (byte) 0x80;
    packet[1] = (byte) (payloadType | (talkBegins ? MARKER : 0));
    packet[2] = (byte) (number >> 8);
    packet[3] = (byte) number++;
    for (int i = 0; i < 4; i++) {
      packet[4 + i] = (byte) (time >> 8 * (3 - i));
      packet[8 + i] = (byte) (source >> 8 * (3 - i));
    }
    talkBegins = false;
    System.arraycopy(payload, 0, packet, HEADER, size);
    int length = keys.protect(packet, HEADER + size);
    toSend.position(0).limit(length);
    port.send(toSend, to);
  }

  /** Called by the port, which forgets it. */
  void close() {
    if (closing.compareAndSet(false, true)) {
      DTLSTransport open = transport;
      if (open != null) {
        sayGoodbye(open);
      }
      closed = true;
      codec.close();
    }
  }

  /** So that the page knows at once and can connect anew. */
  private static void sayGoodbye(DTLSTransport open) {
    try {
      open.close();
    } catch (IOException e) {
      LOG.debug("A page could not be told that its sound has ended: {}", e.getMessage());
    }
  }

  /** What Bouncy Castle shakes hands over. It ends with the connection, and not before. */
  private final class Wire implements DatagramTransport {
    @Override
    public int getReceiveLimit() {
      return LARGEST;
    }

    @Override
    public int getSendLimit() {
      return 1_200;
    }

    @Override
    public int receive(byte[] into, int from, int most, int waitMillis) throws IOException {
      try {
        byte[] message = handshake.poll(waitMillis, TimeUnit.MILLISECONDS);
        if (closed || gaveWay) {
          throw new IOException(closed ? "closed" : "another one is to have its place");
        }
        if (message == null) {
          return -1;
        }
        int length = Math.min(most, message.length);
        System.arraycopy(message, 0, into, from, length);
        return length;
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new IOException(e);
      }
    }

    @Override
    public void send(byte[] bytes, int from, int length) {
      InetSocketAddress to = remote;
      if (to != null) {
        port.send(ByteBuffer.wrap(Arrays.copyOfRange(bytes, from, from + length)), to);
      }
    }

    @Override
    public void close() {
      // The port decides.
    }
  }
}
