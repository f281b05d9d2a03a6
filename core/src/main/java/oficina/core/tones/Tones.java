package oficina.core.tones;

import static oficina.core.tones.Cadence.beating;
import static oficina.core.tones.Cadence.of;
import static oficina.core.tones.Cadence.pause;
import static oficina.core.tones.Cadence.tone;

import java.util.List;

/**
 * The tones of a country's telephone network, by ITU-T E.180 and its supplement 2.
 *
 * @param ringing it rings at the other end
 * @param busy the called party is on a call
 * @param congestion no line is free
 * @param information the number cannot be reached; a sentence may follow
 * @param waiting somebody else calls while one talks
 * @param dialling the telephone is off the hook, and a number can be dialled
 */
public record Tones(
    Cadence ringing,
    Cadence busy,
    Cadence congestion,
    Cadence information,
    Cadence waiting,
    Cadence dialling) {

  /** The special information tone that most countries share (E.180, 330 ms of each). */
  private static final Cadence THREE_RISING =
      of(tone(330, 950), tone(330, 1400), tone(330, 1800), pause(1000));

  /** After a greeting: from now on what is said is recorded. */
  public static final Cadence SPEAK_NOW = of(tone(400, 1_000));

  /** The call is recorded: said again every 15 seconds (E.180, recording tone). */
  public static final Cadence RECORDED = of(tone(400, 1_400));

  /** The handset has been off the hook for long, with no call: louder than dialling would be. */
  public static final Cadence OFF_HOOK = beating(List.of(1_400, 2_050), 100, 100);

  /** Somebody has come into a conference. Ours: no standard has one. */
  public static final Cadence ENTRY = of(tone(120, 660), tone(160, 880));

  /**
   * The tones of a country; those that E.180 recommends where its own are not listed here.
   *
   * @param region two letters of ISO 3166, as in the office's dial plan
   */
  public static Tones in(String region) {
    return switch (region) {
      case "GB" ->
          new Tones(
              beating(List.of(400, 450), 400, 200, 400, 2000),
              beating(List.of(400), 375, 375),
              beating(List.of(400), 400, 350, 225, 525),
              of(tone(1000, 400)),
              beating(List.of(400), 100, 2500),
              of(tone(1000, 350, 440)));
      case "IE" ->
          new Tones(
              beating(List.of(400, 450), 400, 200, 400, 2000),
              beating(List.of(425), 500, 500),
              beating(List.of(425), 250, 250),
              THREE_RISING,
              beating(List.of(425), 180, 200, 200, 4500),
              of(tone(1000, 425)));
      case "US", "CA" ->
          new Tones(
              beating(List.of(440, 480), 2000, 4000),
              beating(List.of(480, 620), 500, 500),
              beating(List.of(480, 620), 250, 250),
              THREE_RISING,
              beating(List.of(440), 300, 10_000),
              of(tone(1000, 350, 440)));
      case "DE", "AT" ->
          new Tones(
              beating(List.of(425), 1000, 4000),
              beating(List.of(425), 480, 480),
              beating(List.of(425), 240, 240),
              THREE_RISING,
              beating(List.of(425), 200, 200, 200, 5000),
              of(tone(1000, 425)));
      case "FR" ->
          new Tones(
              beating(List.of(440), 1500, 3500),
              beating(List.of(440), 500, 500),
              beating(List.of(440), 250, 250),
              THREE_RISING,
              beating(List.of(440), 300, 10_000),
              of(tone(1000, 440)));
      case "ES" ->
          new Tones(
              beating(List.of(425), 1500, 3000),
              beating(List.of(425), 200, 200),
              beating(List.of(425), 200, 200, 200, 200, 200, 600),
              THREE_RISING,
              beating(List.of(425), 175, 175, 175, 3500),
              of(tone(1000, 425)));
      case "PT" ->
          new Tones(
              beating(List.of(425), 1000, 5000),
              beating(List.of(425), 500, 500),
              beating(List.of(425), 200, 200),
              THREE_RISING,
              beating(List.of(425), 200, 200, 200, 5000),
              of(tone(1000, 425)));
      default ->
          new Tones(
              beating(List.of(425), 1000, 4000),
              beating(List.of(425), 500, 500),
              beating(List.of(425), 250, 250),
              THREE_RISING,
              beating(List.of(425), 200, 200, 200, 5000),
              of(tone(1000, 425)));
    };
  }
}
