package oficina.server.keeping;

import java.util.List;
import java.util.Locale;
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.InputStreamResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpRange;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;

/**
 * Answers with kept sound: with the part of it that is asked for, or with all of it (byte ranges,
 * RFC 9110, 14). A unit that is not known, what cannot be read, and several parts at once are as if
 * nothing had been asked for.
 */
public final class SoundAnswer {
  private static final String BYTES = "bytes";

  private SoundAnswer() {}

  /**
   * The answer.
   *
   * @param range as it was asked for; empty when all of it is wanted
   * @throws Problem when there is no such part
   */
  public static ResponseEntity<Resource> of(SoundFile file, String range) {
    long length = file.contentLength();
    HttpRange wanted = wanted(range);
    ResponseEntity.BodyBuilder answer =
        ResponseEntity.ok().header(HttpHeaders.ACCEPT_RANGES, BYTES);
    if (wanted == null) {
      return answer.contentLength(length).body(whole(file));
    }
    long from;
    try {
      from = wanted.getRangeStart(length);
    } catch (IllegalArgumentException e) {
      throw Problem.outOfRange(BYTES, length);
    }
    long last = wanted.getRangeEnd(length);
    if (from > last) {
      throw Problem.outOfRange(BYTES, length);
    }
    return ResponseEntity.status(HttpStatus.PARTIAL_CONTENT)
        .header(HttpHeaders.CONTENT_RANGE, "%s %d-%d/%d".formatted(BYTES, from, last, length))
        .body(file.part(from, last - from + 1));
  }

  /** The whole file, to be saved under its name. */
  public static ResponseEntity<Resource> toBeSaved(SoundFile file) {
    String named = ContentDisposition.attachment().filename(file.getFilename()).build().toString();
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, named)
        .contentLength(file.contentLength())
        .body(whole(file));
  }

  /** As a stream: of a file Spring would look for parts by itself. */
  private static Resource whole(SoundFile file) {
    return new InputStreamResource(file.getInputStream());
  }

  private static @Nullable HttpRange wanted(String range) {
    if (!range.toLowerCase(Locale.ROOT).startsWith(BYTES + "=")) {
      return null;
    }
    try {
      List<HttpRange> all = HttpRange.parseRanges(range);
      return all.size() == 1 ? all.get(0) : null;
    } catch (IllegalArgumentException e) {
      return null;
    }
  }
}
