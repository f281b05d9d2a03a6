// Makes the sounds that ship with the pages: four ring tones to choose from, and the short tone of a
// waiting call.
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

/** A ring tone of so many seconds, of notes that begin at a time, with a pitch and a length. */
function tone(file, seconds, loudness, notes) {
  const samples = new Float64Array(RATE * seconds);
  for (const [from, hertz, length] of notes) {
    note(samples, from, hertz, length, loudness);
  }
  write(file, samples);
}

tone('chime.wav', 3, 0.34, [
  [0, 880, 1.4],
  [0.35, 659.25, 1.6],
]);
tone('knock.wav', 2, 0.5, [
  [0, 196, 0.16],
  [0.16, 196, 0.16],
  [0.32, 261.63, 0.3],
]);
tone('lantern.wav', 4, 0.3, [
  [0, 392, 0.9],
  [0.3, 493.88, 0.9],
  [0.6, 587.33, 0.9],
  [0.9, 739.99, 1.4],
  [1.5, 587.33, 1.6],
]);
