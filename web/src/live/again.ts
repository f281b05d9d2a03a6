const PAUSES_MS = [200, 500, 1000, 2000, 3000];

/** Tries something again and again, after pauses that grow until it has come about. */
export class Again {
  private timer: ReturnType<typeof setTimeout> | undefined;

  /** How often it has been tried in vain. */
  tries = 0;

  constructor(private readonly action: () => void) {}

  /** Once more, after a pause. */
  later() {
    this.in(PAUSES_MS[Math.min(this.tries, PAUSES_MS.length - 1)] ?? 0);
    this.tries++;
  }

  /** Once more after so long, unless it comes about before. */
  in(millis: number) {
    this.stop();
    this.timer = setTimeout(this.action, millis);
  }

  /** It has come about: the next pause is a short one again. */
  done() {
    this.stop();
    this.tries = 0;
  }

  stop() {
    clearTimeout(this.timer);
  }
}
