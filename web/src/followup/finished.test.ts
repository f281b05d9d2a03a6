import { beforeEach, expect, test } from 'vitest';
import type { CallView, PartyView } from '../api/types';
import { finished, isBack, useFinished } from './finished';

const call = (id: string, phase: CallView['phase'], more: Partial<CallView> = {}) =>
  ({ id, phase, other: { kind: 'OUTSIDE', name: id }, ...more }) as CallView;

const over = () => useFinished.getState().over?.id;

beforeEach(finished.reset);

test('a call that was spoken in and is gone is over', () => {
  finished.take([call('dov', 'TALKING')], []);
  expect(over()).toBe('dov');
});

test('what nobody spoke in leaves nothing to be said of it', () => {
  finished.take([call('dov', 'RINGING'), call('una', 'FAILED'), call('ravi', 'DIALLING')], []);
  expect(over()).toBeUndefined();
});

test('a call that goes on is not over, nor is a conference', () => {
  finished.take([call('dov', 'TALKING')], [call('dov', 'HELD')]);
  expect(over()).toBeUndefined();
  const conference = { members: [] } as unknown as CallView['conference'];
  finished.take([call('dov', 'TALKING', { conference })], []);
  expect(over()).toBeUndefined();
});

test('the last one stands until it is put away or another is over', () => {
  finished.take([call('dov', 'HELD'), call('una', 'TALKING')], [call('una', 'TALKING')]);
  expect(over()).toBe('dov');
  finished.take([call('una', 'TALKING')], []);
  expect(over()).toBe('una');
  finished.away();
  expect(over()).toBeUndefined();
});

const party = (dial?: string) => ({ kind: 'OUTSIDE', name: 'Isla', dial }) as PartyView;

/** A call with somebody, or a conference of these. */
const withThem = (other: PartyView, ...members: PartyView[]) =>
  call('another', 'TALKING', {
    other,
    conference: { members: members.map((who) => ({ who })) } as CallView['conference'],
  });

test('whoever is in a call again, or in a conference, has none that is over', () => {
  const last = { id: 'a', other: party('+441214960105') };
  expect(isBack(last, [])).toBe(false);
  expect(isBack(last, [withThem(party('+441214960101'))])).toBe(false);
  expect(isBack(last, [withThem(party('+441214960105'))])).toBe(true);
  expect(isBack(last, [withThem(party(), party('201'), party('+441214960105'))])).toBe(true);
});

test('of two who withhold their numbers nobody knows whether they are one', () => {
  expect(isBack({ id: 'a', other: party() }, [withThem(party())])).toBe(false);
});
