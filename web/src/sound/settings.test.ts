import { expect, test } from 'vitest';
import { type SoundSettings, toneFor } from './settings';

const settings: SoundSettings = {
  microphone: '',
  speaker: '',
  ringer: '',
  volume: 1,
  inside: 'chime',
  outside: 'ring',
  chosen: [
    { number: '0151 496 0177', tone: 'knock' },
    { number: '212', tone: 'lantern' },
  ],
};

test('calls from inside and from outside ring with tones of their own', () => {
  expect(toneFor({ kind: 'PERSON', number: '221' }, settings)).toBe('chime');
  expect(toneFor({ kind: 'OUTSIDE', dial: '+441134960148' }, settings)).toBe('ring');
  expect(toneFor({ kind: 'WITHHELD' }, settings)).toBe('ring');
});

test('a chosen caller is known however the number is written', () => {
  expect(toneFor({ kind: 'OUTSIDE', dial: '+441514960177' }, settings)).toBe('knock');
  expect(toneFor({ kind: 'PERSON', number: '212' }, settings)).toBe('lantern');
  expect(toneFor({ kind: 'OUTSIDE', dial: '+441514960212' }, settings)).toBe('ring');
});
