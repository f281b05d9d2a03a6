/** Something that is being recorded. */
export interface Recording {
  /** Ends it; nothing when nothing was recorded. */
  stop: () => Promise<File | undefined>;
}

const RATE = 16_000;
const HEADER = 44;

/**
 * Records a stream until it is stopped.
 *
 * @param onEnd when the stream is no longer needed
 */
export function record(stream: MediaStream, onEnd: () => void): Recording {
  const recorder = new MediaRecorder(stream);
  const parts: Blob[] = [];
  recorder.ondataavailable = (event) => parts.push(event.data);
  const over = new Promise((resolve) => (recorder.onstop = resolve));
  recorder.start();
  return {
    async stop() {
      if (recorder.state === 'inactive') {
        return undefined;
      }
      recorder.stop();
      await over;
      onEnd();
      return asWav(await new Blob(parts).arrayBuffer());
    },
  };
}

/** As a file of 16 bits and 16 kHz, one channel: the browser has compressed it. */
async function asWav(compressed: ArrayBuffer): Promise<File> {
  const sound = await new OfflineAudioContext(1, 1, RATE).decodeAudioData(compressed);
  const samples = sound.getChannelData(0);
  const file = new DataView(new ArrayBuffer(HEADER + samples.length * 2));
  const text = (at: number, letters: string) =>
    [...letters].forEach((letter, index) => file.setUint8(at + index, letter.charCodeAt(0)));
  text(0, 'RIFF');
  file.setUint32(4, HEADER - 8 + samples.length * 2, true);
  text(8, 'WAVEfmt ');
  file.setUint32(16, 16, true);
  file.setUint16(20, 1, true);
  file.setUint16(22, 1, true);
  file.setUint32(24, RATE, true);
  file.setUint32(28, RATE * 2, true);
  file.setUint16(32, 2, true);
  file.setUint16(34, 16, true);
  text(36, 'data');
  file.setUint32(40, samples.length * 2, true);
  samples.forEach((sample, index) =>
    file.setInt16(HEADER + index * 2, Math.max(-1, Math.min(1, sample)) * 32_767, true),
  );
  return new File([file.buffer], 'greeting.wav', { type: 'audio/wav' });
}
