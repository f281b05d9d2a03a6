package oficina.server.speech;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * Debian's model of English for pocketsphinx, with further words in it. What is not in the model of
 * the language is never heard, however it stands in the dictionary; and the library's own way of
 * adding words reads beyond its memory. So the words are written into copies of both files.
 *
 * <p>The model is a trie as sphinxbase writes it, in the byte order of the machine: a name, how
 * many words a group has at most and how many groups there are of each length; tables of
 * probabilities; the single words, each with its probability, how much likelier it is to begin no
 * known group, and where its groups begin; the groups; and the words as text, in the same order.
 */
final class SphinxModel {
  private static final Path ENGLISH = Path.of("/usr/share/pocketsphinx/model/en-us");
  private static final byte[] HEAD = "Trie Language Model".getBytes(StandardCharsets.US_ASCII);
  private static final int ORDER = 3;

  /** Two tables of probabilities for pairs, one for threes, each of 65,536 values. */
  private static final int TABLES = Integer.BYTES + 3 * (1 << 16) * Float.BYTES;

  private static final int WORD = 3 * Integer.BYTES;

  /** As the library gives words that are added: one in as many as a vocabulary has. */
  private static final double PROBABILITY = 1e-5;

  /** Probabilities are kept as logarithms to this base. */
  private static final double LOG_BASE = 1.0001;

  private SphinxModel() {}

  static boolean isInstalled() {
    return Files.isDirectory(ENGLISH.resolve("en-us"));
  }

  /**
   * Writes both files.
   *
   * @param names with the phones they are spoken by where the dictionary does not know better
   * @throws IOException also when the model of this machine is another than is known here
   */
  static void write(Map<String, String> names, Path model, Path dictionary) throws IOException {
    List<String> words = List.copyOf(names.keySet());
    byte[] english = Files.readAllBytes(ENGLISH.resolve("en-us.lm.bin"));
    try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(model))) {
      writeModel(english, words, out);
    }
    writeDictionary(names, dictionary);
  }

  static void writeModel(byte[] english, List<String> words, OutputStream out) throws IOException {
    ByteBuffer in = ByteBuffer.wrap(english).order(ByteOrder.nativeOrder());
    int counts = HEAD.length + 1;
    if (english.length < counts + ORDER * Integer.BYTES
        || !Arrays.equals(english, 0, HEAD.length, HEAD, 0, HEAD.length)
        || english[HEAD.length] != ORDER) {
      throw unknown();
    }
    int known = in.getInt(counts);
    int afterWords = counts + ORDER * Integer.BYTES + TABLES + known * WORD;
    int texts = beginningOfTexts(in, known);
    int noGroups = in.getInt(afterWords + 2 * Float.BYTES);

    out.write(english, 0, counts);
    write(out, known + words.size());
    out.write(english, counts + Integer.BYTES, afterWords - counts - Integer.BYTES);
    for (int i = 0; i < words.size(); i++) {
      write(out, Float.floatToIntBits((float) (Math.log(PROBABILITY) / Math.log(LOG_BASE))));
      write(out, 0);
      write(out, noGroups);
    }
    out.write(english, afterWords, texts - Integer.BYTES - afterWords);
    byte[] more =
        words.stream()
            .map(word -> word + '\0')
            .reduce("", String::concat)
            .getBytes(StandardCharsets.UTF_8);
    write(out, english.length - texts + more.length);
    out.write(english, texts, english.length - texts);
    out.write(more);
  }

  private static void write(OutputStream out, int value) throws IOException {
    out.write(
        ByteBuffer.allocate(Integer.BYTES).order(ByteOrder.nativeOrder()).putInt(value).array());
  }

  /** They are the end of the file, each ended by a zero, with their length before them. */
  private static int beginningOfTexts(ByteBuffer in, int words) throws IOException {
    int ends = 0;
    int begin = in.limit();
    // One zero more than there are words: the upper byte of their length.
    while (begin > Integer.BYTES && (in.get(begin - 1) != 0 || ends++ < words)) {
      begin--;
    }
    if (in.getInt(begin - Integer.BYTES) != in.limit() - begin) {
      throw unknown();
    }
    return begin;
  }

  private static IOException unknown() {
    return new IOException("The model of English is of a kind that is not known here");
  }

  private static void writeDictionary(Map<String, String> names, Path to) throws IOException {
    Map<String, String> spoken = new TreeMap<>(names);
    Path english = ENGLISH.resolve("cmudict-en-us.dict");
    List<String> lines = new ArrayList<>();
    Map<String, List<String>> byWord = new TreeMap<>();
    names
        .keySet()
        .forEach(name -> byWord.computeIfAbsent(plain(name), w -> new ArrayList<>()).add(name));
    try (Stream<String> all = Files.lines(english)) {
      all.forEach(
          line -> {
            lines.add(line);
            int space = line.indexOf(' ');
            byWord
                .getOrDefault(line.substring(0, space), List.of())
                .forEach(name -> spoken.put(name, line.substring(space + 1)));
          });
    }
    spoken.forEach((name, phones) -> lines.add(name + " " + phones));
    Files.write(to, lines);
  }

  private static String plain(String name) {
    return name.toLowerCase(Locale.ROOT);
  }
}
