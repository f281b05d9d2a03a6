import type { Cadence, Sounds } from '../api/types';

/** How loud the telephone's own tones are. */
const LEVEL = 0.12;

/** Two tones in quick change, as a small bell has them: longer from outside, shorter from inside. */
const BELL = [1180, 1480];

function bell(times: number): Cadence['steps'] {
  return Array.from({ length: times }, (_, i) => ({ millis: 55, hertz: [BELL[i % 2] ?? 0] }));
}

const pause = (millis: number) => ({ millis, hertz: [] });

const RINGS: Record<Sounds['ring'], Cadence | undefined> = {
  NOT: undefined,
  OUTSIDE: { steps: [...bell(18), pause(2_200)] },
  INSIDE: { steps: [...bell(7), pause(220), ...bell(7), pause(2_200)] },
  BESIDE: { steps: [{ millis: 120, hertz: [880] }, pause(3_500)] },
};

/** What the telephone sounds now by itself: what rings first. */
export function soundOf(sounds: Sounds): Cadence | undefined {
  return RINGS[sounds.ring] ?? sounds.tone ?? undefined;
}

/** Sounds one cadence over and over. */
export class ToneMaker {
  private engine: AudioContext | undefined;
  private playing: AudioBufferSourceNode | undefined;
  private gain: GainNode | undefined;
  private key = '';

  play(cadence: Cadence | undefined, volume: number) {
    const key = cadence ? JSON.stringify(cadence) : '';
    if (this.gain) {
      this.gain.gain.value = LEVEL * volume;
    }
    if (key === this.key) {
      return;
    }
    this.stop();
    this.key = key;
    if (!cadence) {
      return;
    }
    this.engine ??= new AudioContext();
    void this.engine.resume();
    this.gain = this.engine.createGain();
    this.gain.gain.value = LEVEL * volume;
    this.gain.connect(this.engine.destination);
    this.playing = this.engine.createBufferSource();
    this.playing.buffer = round(this.engine, cadence);
    this.playing.loop = true;
    this.playing.connect(this.gain);
    this.playing.start();
  }

  private stop() {
    this.playing?.stop();
    this.playing?.disconnect();
    this.gain?.disconnect();
    this.playing = undefined;
    this.gain = undefined;
    this.key = '';
  }

  end() {
    this.stop();
    void this.engine?.close();
    this.engine = undefined;
  }
}

/** One round of a cadence as samples. */
function round(engine: AudioContext, { steps }: Cadence): AudioBuffer {
  const rate = engine.sampleRate;
  const lengths = steps.map((step) => Math.round((step.millis * rate) / 1_000));
  const buffer = engine.createBuffer(1, Math.max(1, sum(lengths)), rate);
  const samples = buffer.getChannelData(0);
  let at = 0;
  steps.forEach((step, i) => {
    const length = lengths[i] ?? 0;
    for (let n = 0; n < length; n++) {
      const value = sum(step.hertz.map((hertz) => Math.sin((2 * Math.PI * hertz * n) / rate)));
      samples[at + n] = value / Math.max(1, step.hertz.length);
    }
    at += length;
  });
  return buffer;
}

const sum = (values: number[]) => values.reduce((all, value) => all + value, 0);
