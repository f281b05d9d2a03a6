package oficina.core.call;

import oficina.core.numbers.PhoneNumber;
import org.jspecify.annotations.Nullable;

/**
 * What the called outsider is shown (the presentation of the calling line identity, ITU-T I.251.3
 * and I.251.4).
 *
 * @param number null when it is withheld
 */
public record CallerId(@Nullable PhoneNumber number) {
  /** Nothing is shown. */
  public static final CallerId WITHHELD = new CallerId(null);
}
