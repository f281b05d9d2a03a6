package oficina.server.softphone;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.SocketAddress;
import java.net.UnknownHostException;
import java.nio.ByteBuffer;
import java.nio.channels.ClosedChannelException;
import java.nio.channels.DatagramChannel;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import oficina.core.people.PersonId;
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.SmartLifecycle;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * The one UDP port of all sound. STUN, DTLS and SRTP share it and are told apart by the first byte
 * (RFC 7983); whose a packet is, is told by where it comes from, once that has been proved.
 */
@Component
public final class SoundPort implements SmartLifecycle {
  private static final Logger LOG = LoggerFactory.getLogger(SoundPort.class);
  private static final int LARGEST = 2_048;

  /** A browser asks each few seconds whether the way is still open (RFC 7675). */
  private static final long GIVEN_UP_NANOS = TimeUnit.SECONDS.toNanos(30);

  private static final int NAME_BYTES = 6;
  private static final int PASSWORD_BYTES = 24;
  private static final int KERNEL_BUFFER = 1 << 20;

  private final SecureRandom random = new SecureRandom();
  private final Identity identity = new Identity();
  private final Refused refused = new Refused();
  private final InetAddress address;
  private final int wantedPort;
  private final Map<String, PageConnection> byName = new ConcurrentHashMap<>();
  private final Map<SocketAddress, PageConnection> byAddress = new ConcurrentHashMap<>();
  private final Handshakes handshakes = new Handshakes();
  private volatile @Nullable DatagramChannel channel;

  SoundPort(
      @Value("${oficina.sound.address}") String address, @Value("${oficina.sound.port}") int port)
      throws UnknownHostException {
    this.address = InetAddress.getByName(address);
    this.wantedPort = port;
    if (this.address.isAnyLocalAddress()) {
      throw new IllegalStateException(
          "set OFICINA_SOUND_ADDRESS to the one address by which pages reach this server's sound");
    }
  }

  Identity identity() {
    return identity;
  }

  /** Whether pages can be heard at all. */
  public boolean isOpen() {
    return channel != null;
  }

  public Refused refused() {
    return refused;
  }

  /** How many pages are connected or about to be. */
  public int connections() {
    return byName.size();
  }

  /** An offer and what it was answered. */
  record Answered(PageConnection connection, String sdp) {}

  /**
   * A page wants to be connected.
   *
   * @param by whose page it is
   * @param pressed is told of keys that come among the sound, on the thread of this port
   * @throws Problem when there is no sound now
   */
  Answered answer(PersonId by, Offer offer, Consumer<Character> pressed) {
    DatagramChannel open = channel;
    if (open == null) {
      throw new Problem(HttpStatus.SERVICE_UNAVAILABLE, "NO_SOUND");
    }
    String name = secret(NAME_BYTES);
    String password = secret(PASSWORD_BYTES);
    long source = random.nextInt() & 0xFFFFFFFFL;
    PageConnection connection =
        new PageConnection(this, handshakes, by, offer, refused, name, password, source, pressed);
    byName.put(name, connection);
    try {
      InetSocketAddress here = (InetSocketAddress) open.getLocalAddress();
      String sdp =
          offer.answer(
              name,
              password,
              identity.fingerprint,
              connection.payloadType(),
              here.getAddress().getHostAddress(),
              here.getPort(),
              source);
      return new Answered(connection, sdp);
    } catch (IOException e) {
      close(connection);
      throw new Problem(HttpStatus.SERVICE_UNAVAILABLE, "NO_SOUND");
    }
  }

  private String secret(int bytes) {
    byte[] secret = new byte[bytes];
    random.nextBytes(secret);
    return Base64.getEncoder().withoutPadding().encodeToString(secret);
  }

  /**
   * The connection has said that it is there now. Whoever says so can forge where it comes from;
   * what is another one's that lives stays so.
   *
   * @return whether what comes from there is its now
   */
  boolean comesFrom(PageConnection connection, InetSocketAddress there) {
    PageConnection holder = byAddress.get(there);
    if (holder != null && holder != connection && holder.holds(there)) {
      refused.addresses.incrementAndGet();
      return false;
    }
    byAddress.put(there, connection);
    return true;
  }

  /** Nothing of it comes from there any more. */
  void left(PageConnection connection, InetSocketAddress there) {
    byAddress.remove(there, connection);
  }

  /** Forgets a connection: nothing is taken from it any more. */
  void close(PageConnection connection) {
    byName.remove(connection.name(), connection);
    byAddress.values().removeIf(each -> each == connection);
    connection.close();
  }

  /** Sends without waiting: what cannot be sent now would come too late. */
  void send(ByteBuffer packet, InetSocketAddress to) {
    DatagramChannel open = channel;
    if (open == null) {
      return;
    }
    try {
      open.send(packet, to);
    } catch (ClosedChannelException e) {
      // It is being stopped.
    } catch (IOException e) {
      LOG.debug("A packet of sound could not be sent: {}", e.getMessage());
    }
  }

  @Override
  public void start() {
    DatagramChannel open = open(wantedPort);
    if (open == null && wantedPort != 0) {
      LOG.warn(
          "Port {} for sound is in use by another program; any other one is taken", wantedPort);
      open = open(0);
    }
    if (open == null) {
      LOG.error("There is no sound: no port could be opened at {}", address);
      return;
    }
    channel = open;
    DatagramChannel taken = open;
    Thread reader = new Thread(() -> read(taken), "sound-port");
    reader.setDaemon(true);
    reader.setPriority(Thread.MAX_PRIORITY);
    reader.start();
  }

  private @Nullable DatagramChannel open(int port) {
    try {
      DatagramChannel made = DatagramChannel.open();
      made.setOption(java.net.StandardSocketOptions.SO_RCVBUF, KERNEL_BUFFER);
      made.bind(new InetSocketAddress(address, port));
      return made;
    } catch (IOException e) {
      return null;
    }
  }

  private void read(DatagramChannel open) {
    ByteBuffer buffer = ByteBuffer.allocateDirect(LARGEST);
    byte[] packet = new byte[LARGEST];
    long lookedAt = System.nanoTime();
    while (open.isOpen()) {
      try {
        buffer.clear();
        SocketAddress from = open.receive(buffer);
        int length = buffer.flip().remaining();
        buffer.get(packet, 0, length);
        arrived(packet, length, (InetSocketAddress) from);
        if (System.nanoTime() - lookedAt > GIVEN_UP_NANOS / 6) {
          lookedAt = System.nanoTime();
          giveUpWhoeverIsGone();
        }
      } catch (ClosedChannelException e) {
        return;
      } catch (IOException | RuntimeException e) {
        LOG.warn("A packet at the port for sound was not understood", e);
      }
    }
  }

  private void arrived(byte[] packet, int length, InetSocketAddress from) {
    int kind = length == 0 ? -1 : packet[0] & 0xFF;
    if (kind >= 0 && kind < 4) {
      Stun.Request request = Stun.request(packet, length);
      PageConnection whose = request == null ? null : byName.get(request.name());
      if (whose == null) {
        refused.strangers.incrementAndGet();
      } else {
        whose.asked(request, from);
      }
      return;
    }
    PageConnection whose = byAddress.get(from);
    if (whose == null) {
      refused.strangers.incrementAndGet();
    } else if (kind >= 20 && kind < 64) {
      whose.shook(java.util.Arrays.copyOf(packet, length));
    } else if (kind >= 128 && kind < 192) {
      whose.spoke(packet, length);
    }
  }

  private void giveUpWhoeverIsGone() {
    for (PageConnection each : byName.values()) {
      if (each.silentNanos() > GIVEN_UP_NANOS) {
        close(each);
      }
    }
  }

  @Override
  public void stop() {
    byName.values().forEach(this::close);
    DatagramChannel open = channel;
    channel = null;
    if (open != null) {
      try {
        open.close();
      } catch (IOException e) {
        LOG.debug("The port for sound could not be closed: {}", e.getMessage());
      }
    }
    handshakes.stop();
  }

  @Override
  public boolean isRunning() {
    return channel != null;
  }
}
