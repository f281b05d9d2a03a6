import { create } from 'zustand';

const KEY = 'oficina-sound';

/** Ring tones that ship with the pages. */
export const TONES = ['ring', 'chime', 'knock', 'lantern'] as const;
export type Tone = (typeof TONES)[number];

/** Whoever calls from this number rings with a tone of their own. */
export interface Chosen {
  number: string;
  tone: Tone;
}

/** How this computer sounds; remembered by this browser. Devices are named as the browser names them. */
export interface SoundSettings {
  microphone: string;
  speaker: string;
  /** A second device that rings, loud; empty for none. */
  ringer: string;
  volume: number;
  inside: Tone;
  outside: Tone;
  chosen: Chosen[];
}

const USUAL: SoundSettings = {
  microphone: '',
  speaker: '',
  ringer: '',
  volume: 1,
  inside: 'ring',
  outside: 'chime',
  chosen: [],
};

function stored(): SoundSettings {
  try {
    return { ...USUAL, ...(JSON.parse(localStorage.getItem(KEY) ?? '{}') as object) };
  } catch {
    return USUAL;
  }
}

export const useSoundSettings = create<SoundSettings>(stored);

export function setSound(change: Partial<SoundSettings>) {
  useSoundSettings.setState(change);
  localStorage.setItem(KEY, JSON.stringify(useSoundSettings.getState()));
}

/** Extensions are short, and the end of many a number. */
const LONGEST_EXTENSION = 6;

const digits = (text: string) => text.replace(/\D/g, '');

/** Whether both are the same number, one of them written as people here do. */
function same(typed: string, number: string): boolean {
  const wanted = digits(typed);
  return wanted.length > LONGEST_EXTENSION
    ? number.endsWith(wanted.replace(/^0/, ''))
    : wanted === number;
}

/** The tone with which a call from there rings. */
export function toneFor(
  party: { kind: string; number?: string; dial?: string; known?: { tone: string } },
  settings: SoundSettings,
): Tone {
  const number = digits(party.dial ?? party.number ?? '');
  const own = settings.chosen.find((each) => number !== '' && same(each.number, number));
  const carded = TONES.find((tone) => tone === party.known?.tone);
  return own?.tone ?? carded ?? (party.kind === 'PERSON' ? settings.inside : settings.outside);
}
