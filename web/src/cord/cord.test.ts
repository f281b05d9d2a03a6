import { expect, test } from 'vitest';
import type { SegmentView } from '../api/types';
import { stretches } from './cord';

const at = (second: number) => new Date(1_800_000_000_000 + second * 1000).toISOString();
const course: SegmentView[] = [
  { kind: 'RINGING', who: [], mine: true, from: at(0), to: at(10) },
  { kind: 'TALKING', who: [], mine: true, from: at(10) },
];

test('the open stretch grows with time and the cord with it', () => {
  const early = stretches(course, Date.parse(at(20)));
  const late = stretches(course, Date.parse(at(100)));
  expect(early.all.map((each) => each.width)).toEqual([50, 50]);
  expect(late.all[1]).toMatchObject({ lasted: 90_000, width: 90, open: true });
  expect(late.length).toBeGreaterThan(early.length);
});

test('no stretch vanishes and no cord is longer than its row', () => {
  const { all, length } = stretches(course, Date.parse(at(7200)));
  expect(all[0]?.width).toBe(1.5);
  expect(length).toBe(100);
});

test('what goes on at another device is marked, and nothing else', () => {
  const talking = { ...course[1], to: at(30) } as SegmentView;
  const moved = [course[0] as SegmentView, talking, { ...talking, from: at(30), to: undefined }];
  const { all } = stretches(moved, Date.parse(at(40)));
  expect(all.map((each) => each.moved)).toEqual([false, false, true]);
});
