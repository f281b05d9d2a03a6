import { beforeEach, expect, test, vi } from 'vitest';
import { post } from './client';
import { postDigits } from './digits';

vi.mock('./client', () => ({ post: vi.fn() }));

const asked: { digits: string; arrives: () => void; fails: () => void }[] = [];

beforeEach(() => {
  asked.length = 0;
  vi.mocked(post).mockImplementation(
    (_path, body) =>
      new Promise<undefined>((resolve, reject) =>
        asked.push({
          digits: (body as { digits: string }).digits,
          arrives: () => resolve(undefined),
          fails: () => reject(new Error('away')),
        }),
      ),
  );
});

test('digits typed while others are on their way go after them, together', async () => {
  const first = postDigits('/a', '4');
  const rest = [...'711#'].map((digit) => postDigits('/a', digit));
  expect(asked.map((each) => each.digits)).toEqual(['4']);
  asked[0]?.arrives();
  await first;
  await vi.waitFor(() => expect(asked.map((each) => each.digits)).toEqual(['4', '711#']));
  asked[1]?.arrives();
  await Promise.all(rest);
  void postDigits('/a', '5');
  expect(asked.map((each) => each.digits)).toEqual(['4', '711#', '5']);
});

test('behind digits that did not arrive none are sent, and one is told of it once', async () => {
  const first = postDigits('/b', '1');
  const second = postDigits('/b', '2');
  asked[0]?.fails();
  await expect(first).rejects.toThrow('away');
  await second;
  const third = postDigits('/b', '3');
  const rest = [...'456'].map((digit) => postDigits('/b', digit).catch(() => 'told'));
  asked[1]?.arrives();
  await third;
  await vi.waitFor(() => expect(asked.map((each) => each.digits)).toEqual(['1', '3', '456']));
  asked[2]?.fails();
  expect(await Promise.all(rest)).toEqual(['told', undefined, undefined]);
});
