import { expect, test } from 'vitest';
import type { CallView } from '../api/types';
import { recordedFor } from './recordedFor';

const at = (second: number) => new Date(second * 1_000).toISOString();

function call(since: number, earlier = 0): CallView {
  const course = [
    { kind: 'RINGING', who: [], mine: true, from: at(0), to: at(10) },
    { kind: 'TALKING', who: [], mine: true, from: at(10), to: at(30) },
    { kind: 'HELD', who: [], mine: true, from: at(30), to: at(90) },
    { kind: 'TALKING', who: [], mine: true, from: at(90) },
  ];
  return { course, earlier, tape: { on: true, since: at(since) } } as unknown as CallView;
}

test('what was on hold is no part of a recording', () => {
  expect(recordedFor(call(10), 100_000)).toBe(30_000);
  expect(recordedFor(call(20), 100_000)).toBe(20_000);
  expect(recordedFor(call(95), 100_000)).toBe(5_000);
});

test('of a call whose beginning is told no more it is counted from where recording began', () => {
  expect(recordedFor(call(10, 3), 100_000)).toBe(90_000);
});
