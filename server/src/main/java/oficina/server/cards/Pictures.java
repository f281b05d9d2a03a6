package oficina.server.cards;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.Map;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import oficina.server.problems.Problem;
import org.springframework.http.HttpStatus;

/**
 * Makes pictures small. What is stored is painted anew, so that nothing of the file that was sent
 * is ever sent to anybody.
 */
public final class Pictures {
  private static final int SIDE = 256;

  /** A file of some kilobytes can claim to be a picture of gigabytes. */
  private static final int LARGEST_SIDE = 8_000;

  private Pictures() {}

  /** The picture as JPEG, at most 256 pixels high and wide. */
  public static byte[] small(byte[] file) {
    try (ImageInputStream input = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(input);
      if (!readers.hasNext()) {
        throw unreadable();
      }
      ImageReader reader = readers.next();
      reader.setInput(input);
      int width = reader.getWidth(0);
      int height = reader.getHeight(0);
      if (width > LARGEST_SIDE || height > LARGEST_SIDE) {
        throw new Problem(
            HttpStatus.UNPROCESSABLE_CONTENT,
            "PICTURE_TOO_LARGE",
            Map.of("limit", Integer.toString(LARGEST_SIDE)));
      }
      return painted(reader.read(0));
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
