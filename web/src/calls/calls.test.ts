import type { TFunction } from 'i18next';
import { beforeEach, expect, test } from 'vitest';
import type { CallView, PersonView, SlotView } from '../api/types';
import { keyOf, meant } from './callKeys';
import { dropEffect } from './dropEffect';
import { inOrder } from './order';
import { callStore, useCallStore } from './store';

function call(id: string, phase: CallView['phase'], more: Partial<CallView> = {}): CallView {
  return {
    id,
    phase,
    direction: 'RECEIVED',
    other: { kind: 'OUTSIDE', name: id, place: '' },
    actions: [],
    began: '2026-06-15T08:00:00Z',
    since: '2026-06-15T08:00:00Z',
    heldBefore: 0,
    silenced: false,
    muted: false,
    reminded: false,
    aside: false,
    callBack: false,
    digits: '',
    otherHears: 'SPEECH',
    course: [],
    ...more,
  } as CallView;
}

/** Instead of sentences: the key of the word, and what it speaks of. */
const t = ((key: string, about: Record<string, string> = {}) =>
  [key, ...Object.values(about)].join(' ')) as unknown as TFunction;

const una = { id: 9, name: 'Una Redfern', extension: '222' } as PersonView;
const ids = (calls: CallView[]) => calls.map((each) => each.id).join(' ');

test('what rings comes first, what is held last, each in the order in which they came', () => {
  const calls = [
    call('held', 'HELD'),
    call('sent', 'SENT'),
    call('talking', 'TALKING'),
    call('first', 'RINGING'),
    call('second', 'RINGING'),
  ];
  expect(ids(inOrder(calls))).toBe('first second talking held sent');
});

test('a call that is announced stands with its announcement and not by itself', () => {
  const calls = [call('dov', 'HELD'), call('una', 'TALKING', { announces: 'dov' })];
  expect(ids(inOrder(calls))).toBe('una');
});

test('a key means the chosen call, then the one that rings, then the one in progress', () => {
  const ringing = call('ringing', 'RINGING', { actions: ['ANSWER', 'DECLINE'] });
  const talking = call('talking', 'TALKING', { actions: ['HOLD', 'CLEAR'] });
  const held = call('held', 'HELD', { actions: ['RETRIEVE', 'CLEAR'] });
  const calls = [held, talking, ringing];
  expect(meant(calls, 'ANSWER', '')?.id).toBe('ringing');
  expect(meant(calls, 'CLEAR', '')?.id).toBe('talking');
  expect(meant(calls, 'CLEAR', 'held')?.id).toBe('held');
  expect(meant([held], 'CLEAR', ''), 'a held caller is never ended by chance').toBeUndefined();
  expect(meant(calls, 'PARK', '')).toBeUndefined();
});

test('handing over has the key Enter only where it is what one most likely wants', () => {
  expect(keyOf(call('a', 'TALKING', { actions: ['HAND_OVER', 'SWAP'] }), 'HAND_OVER')).toBe(
    'Enter',
  );
  expect(keyOf(call('b', 'HELD', { actions: ['RETRIEVE', 'HAND_OVER'] }), 'HAND_OVER')).toBe('L');
  expect(keyOf(call('c', 'TALKING'), 'UNMUTE')).toBe('M');
});

test('a drop onto a person does what the server says is possible', () => {
  const target = { kind: 'person', person: una } as const;
  const words = (of: CallView, shift = false) => dropEffect(of, target, shift, t).words;
  expect(words(call('dov', 'RINGING', { actions: ['DEFLECT'] }))).toBe(
    'drop.deflect dov Una Redfern',
  );
  const talking = call('dov', 'TALKING', { actions: ['TRANSFER', 'ADD'] });
  expect(words(talking)).toBe('drop.putThrough dov Una Redfern');
  expect(words(talking, true)).toBe('drop.announce dov Una Redfern');
  expect(words(call('room', 'TALKING', { actions: ['ADD'] }))).toBe('drop.add room Una Redfern');
  const failed = dropEffect(call('dov', 'FAILED'), target, false, t);
  expect(failed.words).toContain('drop.notNow');
  expect(failed.run, 'and does nothing').toBeUndefined();
});

test('a drop into a slot parks, unless it is taken or the call only rings', () => {
  const free = { kind: 'slot', slot: { slot: '61', label: '' } as SlotView } as const;
  const taken = { kind: 'slot', slot: { slot: '61', waiting: {} } as SlotView } as const;
  const talking = call('dov', 'TALKING', { actions: ['PARK'] });
  expect(dropEffect(talking, free, false, t).done).toBe('drop.parked dov 61');
  expect(dropEffect(talking, taken, false, t).words).toBe('problem.SLOT_TAKEN dov 61');
  expect(dropEffect(call('dov', 'RINGING'), free, false, t).words).toContain('NOT_TO_A_SLOT');
});

test('a drop onto another call joins the two, or with Shift connects them and leaves', () => {
  const held = call('held', 'HELD', { actions: ['JOIN', 'HAND_OVER'], partner: 'active' });
  const active = call('active', 'TALKING');
  const onto = (of: CallView, other: CallView, shift: boolean) =>
    dropEffect(of, { kind: 'call', call: other }, shift, t).words;
  expect(onto(active, held, false)).toBe('drop.join active held');
  expect(onto(held, active, true)).toBe('drop.connect held active');
  expect(onto(active, call('other', 'HELD'), false)).toContain('drop.notNow');
});

beforeEach(() => callStore.reset());

test('a call that has ended is no longer chosen, and one panel is open at a time', () => {
  callStore.take([call('a', 'HELD'), call('b', 'TALKING')]);
  callStore.choose('a');
  callStore.togglePanel('a', 'PARK');
  callStore.togglePanel('b', 'TRANSFER');
  expect(useCallStore.getState().panel).toEqual({ call: 'b', what: 'TRANSFER' });
  callStore.togglePanel('b', 'TRANSFER');
  expect(useCallStore.getState().panel).toBeNull();
  callStore.take([call('b', 'TALKING')]);
  expect(useCallStore.getState().chosen).toBe('');
});
