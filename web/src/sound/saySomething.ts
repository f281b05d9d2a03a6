const SECONDS = 3;

/** Records what is said for three seconds and plays it back through the speaker. */
export async function saySomething(
  stream: MediaStream,
  speaker: string,
  onState: (state: 'recording' | 'playing') => void,
): Promise<void> {
  onState('recording');
  const recorder = new MediaRecorder(stream);
  const parts: Blob[] = [];
  recorder.ondataavailable = (event) => parts.push(event.data);
  const recorded = new Promise((resolve) => (recorder.onstop = resolve));
  recorder.start();
  setTimeout(() => recorder.stop(), SECONDS * 1000);
  await recorded;

  onState('playing');
  const engine = new AudioContext();
  if (speaker && 'setSinkId' in engine) {
    await (engine as AudioContext & { setSinkId(id: string): Promise<void> })
      .setSinkId(speaker)
      .catch(() => undefined);
  }
  const source = engine.createBufferSource();
  source.buffer = await engine.decodeAudioData(await new Blob(parts).arrayBuffer());
  source.connect(engine.destination);
  const played = new Promise((resolve) => (source.onended = resolve));
  source.start();
  await played;
  await engine.close();
}
