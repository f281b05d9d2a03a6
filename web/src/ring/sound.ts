import { create } from 'zustand';
import { type Tone, useSoundSettings } from '../sound/settings';

interface Sound {
  /** Whether the browser refuses to play before somebody has touched the page. */
  blocked: boolean;
  unlock: () => void;
}

/** Whether this page can be heard. */
export const useSound = create<Sound>(() => ({
  blocked: false,
  unlock: () => useSound.setState({ blocked: false }),
}));

/** A second, louder ringer is another device that plays the same. */
const players = new Map<string, HTMLAudioElement>();

function player(file: string, device: string): HTMLAudioElement {
  const key = `${file} ${device}`;
  let audio = players.get(key);
  if (!audio) {
    audio = new Audio(`/sounds/${file}.wav`);
    audio.loop = true;
    players.set(key, audio);
    if (device && 'setSinkId' in audio) {
      void audio.setSinkId(device).catch(() => audio?.setSinkId(''));
    }
  }
  return audio;
}

/** Has this page ring with a tone, sound the tone of a waiting call, or be quiet. */
export function sound(which: Tone | 'waiting' | 'none') {
  const { speaker, ringer } = useSoundSettings.getState();
  const wanted =
    which === 'none'
      ? []
      : [speaker, ...(which !== 'waiting' && ringer ? [ringer] : [])].map((device) =>
          player(which, device),
        );
  for (const audio of players.values()) {
    if (!wanted.includes(audio)) {
      audio.pause();
      audio.currentTime = 0;
    }
  }
  wanted.filter((audio) => audio.paused).forEach(play);
}

function play(audio: HTMLAudioElement) {
  audio.play().then(
    () => useSound.setState({ blocked: false }),
    (error: unknown) => {
      if (error instanceof DOMException && error.name === 'NotAllowedError') {
        useSound.setState({ blocked: true });
      }
    },
  );
}

/** Plays a tone once, as it would ring. */
export function tryTone(tone: Tone) {
  const { speaker, ringer } = useSoundSettings.getState();
  for (const device of ringer ? [speaker, ringer] : [speaker]) {
    const audio = player(tone, device).cloneNode() as HTMLAudioElement;
    audio.loop = false;
    if (device && 'setSinkId' in audio) {
      void audio.setSinkId(device).catch(() => undefined);
    }
    play(audio);
  }
}

/** Browsers let a page play only once somebody has touched it; a sound engine tells beforehand. */
const engine = new AudioContext();

if (engine.state === 'suspended') {
  useSound.setState({ blocked: true });
  const untilTouched = new AbortController();
  const touched = () => {
    untilTouched.abort();
    void engine.resume().then(() => {
      useSound.setState({ blocked: false });
      void engine.close();
    });
  };
  window.addEventListener('pointerdown', touched, { signal: untilTouched.signal });
  window.addEventListener('keydown', touched, { signal: untilTouched.signal });
} else {
  void engine.close();
}
