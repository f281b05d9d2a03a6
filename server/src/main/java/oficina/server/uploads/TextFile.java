package oficina.server.uploads;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;

/** A file of text, in whichever letters it was written. */
public final class TextFile {
  private static final Charset OLDER = StandardCharsets.ISO_8859_1;
  private static final int PIECE = 8_192;

  private TextFile() {}

  /** Opens it. UTF-8 as files have it today; what is none of it is of an older program. */
  public static Reader open(Path file) throws IOException {
    return Files.newBufferedReader(file, isUtf8(file) ? StandardCharsets.UTF_8 : OLDER);
  }

  private static boolean isUtf8(Path file) throws IOException {
    char[] piece = new char[PIECE];
    try (Reader strict =
        new InputStreamReader(Files.newInputStream(file), StandardCharsets.UTF_8.newDecoder())) {
      while (strict.read(piece) >= 0) {
        continue;
      }
      return true;
    } catch (CharacterCodingException e) {
      return false;
    }
  }
}
