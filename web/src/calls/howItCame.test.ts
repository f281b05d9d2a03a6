import type { TFunction } from 'i18next';
import { expect, test } from 'vitest';
import type { CallView } from '../api/types';
import { device } from '../live/device';
import { howItCame } from './howItCame';

/** Instead of sentences: the key of the word, and what it speaks of. */
const t = ((key: string, about: Record<string, unknown> = {}) =>
  [key, ...Object.values(about)].join(' ').trim()) as unknown as TFunction;

function came(phase: CallView['phase'], more: Partial<CallView> = {}): string {
  const call = { phase, direction: 'RECEIVED', otherHears: 'SPEECH', ...more } as CallView;
  return howItCame(call, 'Dov', t);
}

test('a call that rings says on which line, and by whom it was sent', () => {
  expect(came('RINGING')).toBe('how.own');
  expect(came('RINGING', { line: 'Front desk', sentBy: 'Rufus' })).toBe(
    'how.line Front desk · how.sentBy Rufus',
  );
  expect(came('RINGING', { silenced: true })).toBe('how.own · how.silenced');
});

test('of two who stand for somebody else, whose rules led it here says more than for whom it rings', () => {
  expect(came('RINGING', { answersFor: 'Una' })).toBe('how.answersFor Una');
  expect(came('TALKING', { answersFor: 'Una' })).toBe('how.answeredFor Una');
  const both = came('RINGING', { answersFor: 'Una', forwardedFrom: 'Una' });
  expect(both).toBe('how.forwardedFrom Una');
});

test('a call placed in the name of another says so, and so does one that comes back', () => {
  expect(came('TALKING', { direction: 'PLACED', behalf: 'Una' })).toBe(
    'how.placed · how.placedFor Una',
  );
  const back = { why: 'NO_ANSWER', from: 'Adaeze', mine: true } as CallView['returned'];
  expect(came('RINGING', { returned: back })).toBe('how.back why.NO_ANSWER Adaeze Dov');
  const parked = { why: 'PARKED_TOO_LONG', from: '61', mine: false } as CallView['returned'];
  expect(came('RINGING', { returned: parked })).toBe('how.backParkedElse 61 Dov');
});

test('what the other end hears is told when it is not simply me', () => {
  expect(came('HELD', { otherHears: 'MUSIC' })).toBe('how.own · hears.MUSIC');
  expect(came('TALKING')).toBe('how.own');
  expect(came('RINGING', { otherHears: 'MUSIC' }), 'nobody hears anything yet').toBe('how.own');
});

test('a call had at another device of mine says at which', () => {
  expect(came('TALKING', { device })).toBe('how.own');
  expect(came('TALKING', { device: 'elsewhere', deviceKind: 'TELEPHONE' })).toBe(
    'how.own · how.onTELEPHONE',
  );
  const outside = { number: '07700 900001', stage: 'RINGING' } as CallView['outside'];
  expect(came('TALKING', { outside })).toBe('how.own · how.outside.RINGING 07700 900001');
});

test('what waits elsewhere says where, and nothing of how it came', () => {
  expect(came('WAITING', { slot: '62', line: 'Front desk' })).toBe('how.parked 62');
  expect(came('SENT', { line: 'Adaeze', otherHears: 'RINGING' as CallView['otherHears'] })).toBe(
    'how.sentTo Adaeze · hears.RINGING',
  );
  expect(came('MESSAGE')).toBe('how.message Dov');
  expect(came('RINGING', { callBack: true })).toBe('how.callBack Dov');
});

test('whoever is called outside sees a number, or none; whoever is announced is named', () => {
  const placed = { direction: 'PLACED', theySee: '0191 498 0110' } as const;
  expect(came('TALKING', placed)).toBe('how.placed · how.theySee 0191 498 0110');
  expect(came('TALKING', { ...placed, theySee: '' })).toBe('how.placed · how.theySeeNothing');
  expect(came('RINGING', { announced: 'Dov' })).toBe('how.own · how.announced Dov');
});
