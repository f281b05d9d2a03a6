package oficina.server.cards;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import oficina.server.problems.Problem;
import org.springframework.http.HttpStatus;

/**
 * Makes pictures small. What is stored is painted anew, so that nothing of the file that was sent
 * is ever sent to anybody.
 */
public final class Pictures {
  private static final Set<String> READ = Set.of("jpeg", "png", "gif");
  private static final int SIDE = 256;

  /** No more of a picture is ever in memory than so many times what becomes of it. */
  private static final int READ_LARGER = 4;

  /** A file of some kilobytes can claim to be a picture of gigabytes. */
  private static final int LARGEST_SIDE = 8_000;

  private Pictures() {}

  /** A picture in a file as JPEG, at most 256 pixels high and wide. */
  public static byte[] small(Path file) throws IOException {
    try (InputStream from = Files.newInputStream(file)) {
      return small(from);
    }
  }

  /** A picture as JPEG, at most 256 pixels high and wide. */
  static byte[] small(InputStream from) {
    try (ImageInputStream input = ImageIO.createImageInputStream(from)) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(input);
      if (!readers.hasNext()) {
        throw unreadable();
      }
      ImageReader reader = readers.next();
      if (!READ.contains(reader.getFormatName().toLowerCase(Locale.ROOT))) {
        throw unreadable();
      }
      reader.setInput(input);
      int width = reader.getWidth(0);
      int height = reader.getHeight(0);
      if (width > LARGEST_SIDE || height > LARGEST_SIDE) {
        throw new Problem(
            HttpStatus.UNPROCESSABLE_CONTENT,
            "PICTURE_TOO_LARGE",
            Map.of("limit", Integer.toString(LARGEST_SIDE)));
      }
      ImageReadParam sparse = reader.getDefaultReadParam();
      int step = Math.max(1, Math.max(width, height) / (READ_LARGER * SIDE));
      sparse.setSourceSubsampling(step, step, 0, 0);
      return painted(reader.read(0, sparse));
    } catch (IOException | RuntimeException e) {
      throw e instanceof Problem problem ? problem : unreadable();
    }
  }

  private static byte[] painted(BufferedImage from) throws IOException {
    double scale = Math.min(1, (double) SIDE / Math.max(from.getWidth(), from.getHeight()));
    int width = Math.max(1, (int) Math.round(from.getWidth() * scale));
    int height = Math.max(1, (int) Math.round(from.getHeight() * scale));
    BufferedImage to = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D canvas = to.createGraphics();
    canvas.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
    canvas.drawImage(from, 0, 0, width, height, Color.WHITE, null);
    canvas.dispose();
    ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
    ImageIO.write(to, "jpeg", jpeg);
    return jpeg.toByteArray();
  }

  private static Problem unreadable() {
    return new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "PICTURE_UNREADABLE");
  }
}
