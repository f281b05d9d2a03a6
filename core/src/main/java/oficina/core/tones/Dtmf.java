package oficina.core.tones;

import java.util.ArrayList;
import java.util.List;

/** The pairs of frequencies that keys send (ITU-T Q.23), as long as Q.24 wants them. */
public final class Dtmf {
  private static final String KEYS = "123A456B789C*0#D";
  private static final int[] ROWS = {697, 770, 852, 941};
  private static final int[] COLUMNS = {1209, 1336, 1477, 1633};
  private static final int ON_MS = 100;
  private static final int OFF_MS = 80;
  private static final int PAUSE_MS = 1000;

  private Dtmf() {}

  /** The lower and the higher frequency of a key, in hertz. */
  public static List<Integer> hertz(char key) {
    int place = KEYS.indexOf(key);
    if (place < 0) {
      throw new IllegalArgumentException("no key: " + key);
    }
    return List.of(ROWS[place / 4], COLUMNS[place % 4]);
  }

  /**
   * Keys one after the other as sound.
   *
   * @param digits 0 to 9, A to D, star, number sign, and {@code p} for a pause
   */
  public static short[] sound(String digits) {
    List<Cadence.Step> steps = new ArrayList<>();
    for (char key : digits.toCharArray()) {
      if (key == 'p') {
        steps.add(Cadence.pause(PAUSE_MS));
      } else {
        steps.add(new Cadence.Step(ON_MS, hertz(key)));
        steps.add(Cadence.pause(OFF_MS));
      }
    }
    return new Cadence(steps).round();
  }
}
