/** One for all that is measured: each of them is a thread of the machine's sound. */
let engine: AudioContext | undefined;
let measuring = 0;

/** Often enough to be seen at once; rarely where people want nothing to move. */
const EACH_MS = 150;
const CALM_MS = 600;

/** How often what is measured may be shown. */
export function pace(): number {
  return matchMedia('(prefers-reduced-motion: reduce)').matches ? CALM_MS : EACH_MS;
}

/** Measures how loud a stream is, 0 to 1 as the ear counts, until it is stopped. */
export function measure(
  stream: MediaStream,
  everyMs: number,
  onLevel: (level: number) => void,
): () => void {
  engine ??= new AudioContext();
  void engine.resume();
  const source = engine.createMediaStreamSource(stream);
  const analyser = engine.createAnalyser();
  analyser.fftSize = 1024;
  source.connect(analyser);
  const samples = new Float32Array(analyser.fftSize);
  const timer = setInterval(() => {
    analyser.getFloatTimeDomainData(samples);
    const square = samples.reduce((sum, each) => sum + each * each, 0) / samples.length;
    const decibels = 10 * Math.log10(square + 1e-10);
    onLevel(Math.max(0, Math.min(1, (decibels + 60) / 50)));
  }, everyMs);
  measuring++;
  return () => {
    clearInterval(timer);
    source.disconnect();
    if (--measuring === 0) {
      void engine?.close();
      engine = undefined;
    }
  };
}
