package oficina.server.softphone;

import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;

/**
 * What a page offers (SDP, RFC 8866, as WebRTC has it, RFC 8829), and how it is answered.
 *
 * @param mid names its one medium
 * @param name its half of the user name of STUN
 * @param fingerprint SHA-256 of the certificate with which it will come
 * @param opus its number for Opus; null when it has none
 * @param events its numbers for keys (RFC 4733), by the clock of the sound they come with
 */
record Offer(
    String mid,
    String name,
    byte[] fingerprint,
    @Nullable Integer opus,
    Map<Integer, Integer> events) {
  private static final Pattern MEDIUM = Pattern.compile("m=audio \\d+ UDP/TLS/RTP/SAVPF [\\d ]+");
  private static final Pattern MID = Pattern.compile("a=mid:([A-Za-z0-9._-]{1,16})");
  private static final Pattern NAME = Pattern.compile("a=ice-ufrag:([A-Za-z0-9+/]{4,256})");
  private static final Pattern FINGERPRINT =
      Pattern.compile("a=fingerprint:sha-256 ((?:[0-9A-F]{2}:){31}[0-9A-F]{2})");
  private static final Pattern SETUP = Pattern.compile("a=setup:(actpass|active)");
  private static final Pattern EVENTS =
      Pattern.compile("a=rtpmap:(\\d{1,3}) telephone-event/(\\d{4,5})");
  private static final int OPUS_CLOCK = 48_000;
  private static final int NARROW_CLOCK = 8_000;
  private static final Pattern OPUS = Pattern.compile("a=rtpmap:(\\d{1,3}) opus/48000/2");

  /**
   * Reads an offer.
   *
   * @throws Problem when it is none that could be answered
   */
  static Offer read(String sdp) {
    List<String> lines = sdp.lines().toList();
    if (lines.isEmpty()
        || !lines.get(0).equals("v=0")
        || lines.stream().filter(line -> line.startsWith("m=")).count() != 1
        || find(lines, MEDIUM) == null
        || find(lines, SETUP) == null) {
      throw notAnOffer();
    }
    String opus = find(lines, OPUS);
    return new Offer(
        wanted(lines, MID),
        wanted(lines, NAME),
        HexFormat.ofDelimiter(":").withUpperCase().parseHex(wanted(lines, FINGERPRINT)),
        opus == null ? null : dynamicType(opus),
        events(lines));
  }

  /**
   * A number that an offer may give to what has none of its own (RFC 3551, 3): never one of those
   * by which reports are told from sound (RFC 5761, 4).
   */
  private static Integer dynamicType(String number) {
    int type = Integer.parseInt(number);
    boolean free = (type >= 35 && type < 64) || (type >= 96 && type < 128);
    if (!free) {
      throw notAnOffer();
    }
    return type;
  }

  private static Map<Integer, Integer> events(List<String> lines) {
    Map<Integer, Integer> events = new HashMap<>();
    for (String line : lines) {
      Matcher match = EVENTS.matcher(line.strip());
      if (match.matches()) {
        events.put(Integer.valueOf(match.group(2)), dynamicType(match.group(1)));
      }
    }
    return events;
  }

  /**
   * Its number for keys, with sound of this kind.
   *
   * @return null when it sends none
   */
  @Nullable Integer events(boolean withOpus) {
    return events.get(withOpus ? OPUS_CLOCK : NARROW_CLOCK);
  }

  private static String wanted(List<String> lines, Pattern pattern) {
    String found = find(lines, pattern);
    if (found == null) {
      throw notAnOffer();
    }
    return found;
  }

  private static @Nullable String find(List<String> lines, Pattern pattern) {
    for (String line : lines) {
      Matcher match = pattern.matcher(line.strip());
      if (match.matches()) {
        return match.groupCount() == 0 ? line : match.group(1);
      }
    }
    return null;
  }

  private static Problem notAnOffer() {
    return new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "NOT_AN_OFFER");
  }

  /**
   * The answer.
   *
   * @param payloadType the codec that was chosen
   * @param address where packets are to go
   */
  String answer(
      String localName,
      String password,
      byte[] localFingerprint,
      int payloadType,
      String address,
      int port,
      long source) {
    boolean isOpus = opus != null && opus == payloadType;
    String codec =
        isOpus
            ? "a=rtpmap:%1$d opus/48000/2\r\na=fmtp:%1$d minptime=20;useinbandfec=1;maxplaybackrate=16000;sprop-maxcapturerate=16000\r\na=ptime:20"
                .formatted(payloadType)
            : "a=rtpmap:%d %s/8000\r\na=ptime:20"
                .formatted(payloadType, payloadType == 0 ? "PCMU" : "PCMA");
    Integer events = events(isOpus);
    String keysType = events == null ? "" : " " + events;
    String keys =
        events == null
            ? ""
            : "\r\na=rtpmap:%1$d telephone-event/%2$d\r\na=fmtp:%1$d 0-15"
                .formatted(events, isOpus ? OPUS_CLOCK : NARROW_CLOCK);
    String family = address.contains(":") ? "IP6" : "IP4";
    String print = HexFormat.ofDelimiter(":").withUpperCase().formatHex(localFingerprint);
    return String.join(
            "\r\n",
            "v=0",
            "o=- 1 1 IN " + family + " " + address,
            "s=-",
            "t=0 0",
            "a=ice-lite",
            "a=group:BUNDLE " + mid,
            "a=msid-semantic: WMS office",
            "m=audio " + port + " UDP/TLS/RTP/SAVPF " + payloadType + keysType,
            "c=IN " + family + " " + address,
            "a=rtcp-mux",
            "a=mid:" + mid,
            "a=sendrecv",
            codec + keys,
            "a=ice-ufrag:" + localName,
            "a=ice-pwd:" + password,
            "a=fingerprint:sha-256 " + print.toUpperCase(Locale.ROOT),
            "a=setup:passive",
            "a=candidate:1 1 udp 2130706431 " + address + " " + port + " typ host",
            "a=end-of-candidates",
            "a=ssrc:" + source + " cname:office",
            "a=ssrc:" + source + " msid:office mix")
        + "\r\n";
  }
}
