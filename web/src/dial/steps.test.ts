import { expect, test } from 'vitest';
import { stepped } from './steps';

test('arrows go round, and begin at either end when nothing is chosen yet', () => {
  expect(stepped('ArrowDown', 0, 3)).toBe(1);
  expect(stepped('ArrowDown', 2, 3)).toBe(0);
  expect(stepped('ArrowUp', 0, 3)).toBe(2);
  expect(stepped('ArrowDown', -1, 3)).toBe(0);
  expect(stepped('ArrowUp', -1, 3)).toBe(2);
});
