import { create } from 'zustand';

interface Sound {
  /** Whether the browser refuses to play before somebody has touched the page. */
  blocked: boolean;
  unlock: () => void;
}

const ring = load('/sounds/ring.wav');
const waiting = load('/sounds/waiting.wav');
const entry = new Audio('/sounds/entry.wav');

function load(file: string): HTMLAudioElement {
  const audio = new Audio(file);
  audio.loop = true;
  return audio;
}

/** Whether this page can be heard. */
export const useSound = create<Sound>(() => ({
  blocked: false,
  unlock: () => useSound.setState({ blocked: false }),
}));

/** Has this page ring, sound the tone of a waiting call, or be quiet. */
export function sound(which: 'ring' | 'waiting' | 'none') {
  play(ring, which === 'ring');
  play(waiting, which === 'waiting');
}

/** The tone that tells a conference of somebody new. */
export function soundEntry() {
  entry.play().catch(() => undefined); // a page that may not sound yet stays quiet
}

function play(audio: HTMLAudioElement, wanted: boolean) {
  if (!wanted) {
    audio.pause();
    audio.currentTime = 0;
  } else if (audio.paused) {
    audio.play().then(
      () => useSound.setState({ blocked: false }),
      (error: unknown) => {
        if (error instanceof DOMException && error.name === 'NotAllowedError') {
          useSound.setState({ blocked: true });
        }
      },
    );
  }
}

/** Browsers let a page play only once somebody has touched it; a sound engine tells beforehand. */
const engine = new AudioContext();

if (engine.state === 'suspended') {
  useSound.setState({ blocked: true });
  const touched = () => {
    void engine.resume().then(() => useSound.setState({ blocked: false }));
  };
  window.addEventListener('pointerdown', touched, { once: true });
  window.addEventListener('keydown', touched, { once: true });
}
