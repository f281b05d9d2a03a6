import { afterAll, beforeAll, beforeEach, expect, test, vi } from 'vitest';
import type { CallView, PartyView } from '../api/types';
import { type Over, endOf, finished, isBack, useFinished } from './finished';

const call = (id: string, phase: CallView['phase'], more: Partial<CallView> = {}) =>
  ({ id, phase, other: { kind: 'OUTSIDE', name: id }, ...more }) as CallView;

const over = () => useFinished.getState().all[0]?.id;

beforeAll(() => void vi.useFakeTimers());
afterAll(() => void vi.useRealTimers());
beforeEach(finished.reset);

test('a call that was spoken in and is gone is over', () => {
  finished.take([call('dov', 'TALKING')], []);
  expect(over()).toBe('dov');
});

test('what nobody spoke in leaves nothing to be said of it', () => {
  finished.take([call('dov', 'RINGING'), call('una', 'FAILED'), call('ravi', 'DIALLING')], []);
  expect(over()).toBeUndefined();
});

test('a call that goes on is not over', () => {
  finished.take([call('dov', 'TALKING')], [call('dov', 'HELD')]);
  expect(over()).toBeUndefined();
});

test('each of those who were in a conference has a call that is over', () => {
  const conference = { members: [] } as unknown as CallView['conference'];
  finished.take(
    [call('dov', 'HELD'), call('una', 'TALKING')],
    [call('una', 'TALKING', { conference })],
  );
  finished.take([call('una', 'TALKING', { conference })], []);
  expect(useFinished.getState().all.map((each) => each.other.name)).toEqual(['una', 'dov']);
});

test('each stands until it is put away, or one is over that began later', () => {
  vi.setSystemTime(1_000);
  finished.take([call('dov', 'HELD'), call('una', 'TALKING')], [call('una', 'TALKING')]);
  expect(over()).toBe('dov');
  vi.setSystemTime(2_000);
  finished.take([call('una', 'TALKING')], []);
  expect(useFinished.getState().all.map((each) => each.id)).toEqual(['una', 'dov']);
  finished.away('una');
  expect(over()).toBe('dov');
  vi.setSystemTime(3_000);
  finished.take([], [call('ravi', 'TALKING')]);
  finished.take([call('ravi', 'TALKING')], []);
  expect(useFinished.getState().all.map((each) => each.id)).toEqual(['ravi']);
});

const answered = { what: 'SENT_ANSWERED', about: { person: 'Adaeze' }, call: 'dov' };

function sent() {
  const onTheWay = call('dov', 'SENT', { line: 'Adaeze' });
  finished.take([call('dov', 'TALKING')], [onTheWay]);
  return onTheWay;
}

test('of a caller who was sent on it is said where they are, whichever is told first', () => {
  finished.take([sent()], []);
  const end = () => endOf(useFinished.getState().all[0] as Over);
  expect(end()).toBe('finished.sent');
  finished.tell([answered]);
  expect(end()).toBe('finished.SENT_ANSWERED');
  finished.away('dov');
  const again = sent();
  finished.tell([answered]);
  finished.take([again], []);
  expect(end()).toBe('finished.SENT_ANSWERED');
});

test('whoever was announced and handed over is with the one who was told of them', () => {
  const colleague = { kind: 'PERSON', name: 'Adaeze' } as PartyView;
  const told = call('ad', 'TALKING', { announces: 'dov', other: colleague });
  finished.take([call('dov', 'HELD')], [call('dov', 'HELD'), told]);
  finished.take([call('dov', 'HELD'), told], []);
  expect(useFinished.getState().all).toHaveLength(1);
  expect(useFinished.getState().all[0]?.told?.about.person).toBe('Adaeze');
});

test('of whoever stays in a conference that I leave it is said with whom', () => {
  const conference = { members: [] } as unknown as CallView['conference'];
  const both = call('una', 'TALKING', { conference });
  finished.take([call('dov', 'HELD'), call('una', 'TALKING')], [both]);
  const stays = (name: string, person: string) => ({
    what: 'STAYS_IN_CONFERENCE',
    about: { name, person },
  });
  finished.tell([stays('una', 'dov'), stays('dov', 'una')]);
  finished.take([both], []);
  const ends = () =>
    useFinished.getState().all.map((each) => [endOf(each), each.told?.about.person]);
  expect(ends()).toEqual([
    ['finished.STAYS_IN_CONFERENCE', 'dov'],
    ['finished.STAYS_IN_CONFERENCE', 'una'],
  ]);
  finished.take([], [call('dov', 'TALKING')]);
  finished.take([call('dov', 'TALKING')], []);
  expect(ends()[0]).toEqual(['finished.what', undefined]);
});

const party = (dial?: string) => ({ kind: 'OUTSIDE', name: 'Isla', dial }) as PartyView;

/** A call with somebody, or a conference of these. */
const withThem = (other: PartyView, ...members: PartyView[]) =>
  call('another', 'TALKING', {
    other,
    conference: { members: members.map((who) => ({ who })) } as CallView['conference'],
  });

test('whoever is in a call again, or in a conference, has none that is over', () => {
  const last = { id: 'a', at: 0, other: party('+441214960105') };
  expect(isBack(last, [])).toBe(false);
  expect(isBack(last, [withThem(party('+441214960101'))])).toBe(false);
  expect(isBack(last, [withThem(party('+441214960105'))])).toBe(true);
  expect(isBack(last, [withThem(party(), party('201'), party('+441214960105'))])).toBe(true);
});

test('of two who withhold their numbers nobody knows whether they are one', () => {
  expect(isBack({ id: 'a', at: 0, other: party() }, [withThem(party())])).toBe(false);
});
