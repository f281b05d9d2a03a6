package oficina.core.people;

import java.util.stream.Stream;

/**
 * What somebody dials by keys who is welcomed to a line: an extension, or zero or the number sign
 * for the line itself.
 */
public final class ExtensionKeys {
  private final StringBuilder digits = new StringBuilder();

  /** What a key leads to. */
  public enum Heard {
    /** More digits can follow. */
    MORE,
    /** What was dialled is an extension. */
    EXTENSION,
    /** No extension begins like that; what was dialled is forgotten. */
    NONE,
    /** The line itself is wanted. */
    LINE
  }

  /** Takes in a key. The star begins anew. */
  public Heard press(char key, Directory directory) {
    if (key == '*') {
      digits.setLength(0);
      return Heard.MORE;
    }
    if (key == '#') {
      return pause(directory);
    }
    digits.append(key);
    if (digits.toString().equals("0") && begins(directory) == 0) {
      return Heard.LINE;
    }
    if (begins(directory) == 0) {
      digits.setLength(0);
      return Heard.NONE;
    }
    boolean complete = directory.hasExtension(dialled()) && begins(directory) == 1;
    return complete ? Heard.EXTENSION : Heard.MORE;
  }

  /** No key has followed for a while, or the number sign has said that none will. */
  public Heard pause(Directory directory) {
    if (digits.isEmpty()) {
      return Heard.LINE;
    }
    if (directory.hasExtension(dialled())) {
      return Heard.EXTENSION;
    }
    digits.setLength(0);
    return Heard.NONE;
  }

  /** What has been dialled so far. */
  public String dialled() {
    return digits.toString();
  }

  /** How many extensions begin with what has been dialled. */
  private long begins(Directory directory) {
    return Stream.concat(
            directory.people().stream().map(Person::extension),
            directory.groups().stream().map(Group::extension))
        .filter(extension -> extension.startsWith(dialled()))
        .count();
  }
}
