// Makes the sounds that ship with the pages: a soft two-note ring, the short tone of a waiting call,
// and the two rising notes when somebody enters a conference.
import { writeFileSync } from 'node:fs';

const RATE = 16000;

/** A struck note that dies away. */
function note(samples, from, hertz, seconds, loudness) {
  for (let i = 0; i < seconds * RATE; i++) {
    const t = i / RATE;
    const swell = Math.min(1, t * 80) * Math.exp(-t * 4.2);
    const wave =
      Math.sin(2 * Math.PI * hertz * t) +
      0.35 * Math.sin(4 * Math.PI * hertz * t) +
      0.12 * Math.sin(6.02 * Math.PI * hertz * t);
    const at = Math.floor(from * RATE) + i;
    if (at < samples.length) samples[at] += loudness * swell * wave;
  }
}

/** 16-bit PCM in a RIFF WAVE file. */
function write(file, samples) {
  const wav = Buffer.alloc(44 + samples.length * 2);
  wav.write('RIFF', 0);
  wav.writeUInt32LE(36 + samples.length * 2, 4);
  wav.write('WAVEfmt ', 8);
  wav.writeUInt32LE(16, 16);
  wav.writeUInt16LE(1, 20);
  wav.writeUInt16LE(1, 22);
  wav.writeUInt32LE(RATE, 24);
  wav.writeUInt32LE(RATE * 2, 28);
  wav.writeUInt16LE(2, 32);
  wav.writeUInt16LE(16, 34);
  wav.write('data', 36);
  wav.writeUInt32LE(samples.length * 2, 40);
  samples.forEach((s, i) =>
    wav.writeInt16LE(Math.round(Math.max(-1, Math.min(1, s)) * 32767), 44 + i * 2),
  );
  writeFileSync(new URL(`../public/sounds/${file}`, import.meta.url), wav);
}

const ring = new Float64Array(RATE * 3);
for (const [from, hertz] of [
  [0, 523.25],
  [0.22, 659.25],
  [0.44, 783.99],
  [0.9, 659.25],
  [1.12, 783.99],
]) {
  note(ring, from, hertz, 1.2, 0.3);
}
write('ring.wav', ring);

const waiting = new Float64Array(RATE * 4);
note(waiting, 0, 440, 0.5, 0.25);
note(waiting, 0.25, 440, 0.5, 0.25);
write('waiting.wav', waiting);

const entry = new Float64Array(RATE * 0.6);
note(entry, 0, 587.33, 0.3, 0.22);
note(entry, 0.14, 880, 0.45, 0.22);
write('entry.wav', entry);
