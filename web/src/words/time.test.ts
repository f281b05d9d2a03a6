import { expect, test } from 'vitest';
import { clockTime, dayOf } from './time';

test.each([
  [-5, '0:00'],
  [9_400, '0:09'],
  [252_000, '4:12'],
  [3_723_000, '1:02:03'],
])('%i ms reads %s', (milliseconds, text) => {
  expect(clockTime(milliseconds)).toBe(text);
});

test('a day is the one on this computer', () => {
  expect(dayOf(new Date(2026, 5, 7, 23, 59).getTime())).toBe('2026-06-07');
});
