package oficina.server;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.ImageIO;

/** Pictures for tests. */
public final class Images {
  private Images() {}

  public static byte[] png(int width, int height) {
    ByteArrayOutputStream file = new ByteArrayOutputStream();
    try {
      ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB), "png", file);
    } catch (IOException e) {
      throw new UncheckedIOException(e); // nothing is written but in memory
    }
    return file.toByteArray();
  }
}
