import { expect, test } from 'vitest';
import { inPlaces } from './places';

test('what comes goes behind what is there, and what goes leaves the others in their order', () => {
  expect(inPlaces(['new', 'a', 'b'], ['a', 'b'])).toEqual(['a', 'b', 'new']);
  expect(inPlaces(['new', 'b', 'newer', 'a'], ['a', 'gone', 'b'])).toEqual([
    'a',
    'b',
    'new',
    'newer',
  ]);
  expect(inPlaces(['b', 'a'], [])).toEqual(['b', 'a']);
});
