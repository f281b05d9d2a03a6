import { create } from 'zustand';

/** How it stands with the microphone. */
export type Microphone =
  'closed' | 'opening' | 'open' | 'refused' | 'none' | 'gone' | 'busy' | 'insecure';

interface SoundState {
  /** Whether the server is not heard any more, and is being connected anew. */
  lost: boolean;
  /** Whether voices come in full width, or as on an ordinary telephone line. */
  wideband: boolean;
  microphone: Microphone;
  /** What the browser calls the microphone that is open. */
  microphoneName: string;
  /** Whether somebody speaks here who is muted. */
  speakingMuted: boolean;
  /** What is spoken and heard here now, for measuring. */
  mine: MediaStream | null;
  theirs: MediaStream | null;
  /** Who speaks in each call, as the server tells. */
  speaking: { call: string; legs: number[] }[];
}

const NONE: SoundState = {
  lost: false,
  wideband: true,
  microphone: 'closed',
  microphoneName: '',
  speakingMuted: false,
  mine: null,
  theirs: null,
  speaking: [],
};

/** The sound of this window. */
export const useSoundState = create<SoundState>(() => NONE);

export const soundStore = {
  set: (change: Partial<SoundState>) => useSoundState.setState(change),
  /** What the server says of who speaks. */
  take: (speaking: SoundState['speaking']) => useSoundState.setState({ speaking }),
  reset: () => useSoundState.setState({ speaking: [] }),
};

/** Whether calls cannot be spoken here, and why. */
export function troubleOf(microphone: Microphone): Microphone | '' {
  return ['refused', 'none', 'gone', 'busy', 'insecure'].includes(microphone) ? microphone : '';
}
