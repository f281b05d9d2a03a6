import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { beforeEach, expect, test, vi } from 'vitest';
import type { Item, PersonView } from '../api/types';
import { useNotices } from '../notices/store';
import { usePeople } from '../people/store';
import { line, useLine } from '../live/line';
import { forget, take } from './topics';

const person = (id: number, lamp: string) => ({ id, name: `P${id}`, lamp }) as PersonView;

function hear(...items: Item[]) {
  take(items, new QueryClient());
}

async function askedAgain(item: Item) {
  const queries = new QueryClient();
  const asked = vi.spyOn(queries, 'invalidateQueries').mockResolvedValue();
  take([item], queries);
  await new Promise((done) => setTimeout(done));
  return asked.mock.calls.map(([filters]) => filters?.queryKey);
}

beforeEach(forget);

test('of people those who changed are put in their place, and the whole board as it is', () => {
  const board = (whole: boolean, ...people: PersonView[]): Item => ({
    topic: 'PEOPLE',
    data: { whole, people } as unknown as Record<string, never>,
  });
  hear(board(true, person(1, 'FREE'), person(2, 'FREE')));
  hear(board(false, person(2, 'ON_CALL')));
  expect(usePeople.getState().people.map((each) => each.lamp)).toEqual(['FREE', 'ON_CALL']);
  hear(board(true, person(2, 'FREE'), person(3, 'OFF')));
  expect(
    usePeople.getState().people.map((each) => each.id),
    'somebody new, somebody gone',
  ).toEqual([2, 3]);
});

test('only what has changed is asked for again', async () => {
  expect(await askedAgain({ topic: 'HISTORY' })).toEqual([['history'], ['follow-ups', 'known']]);
  const service = (behind: boolean): Item => ({
    topic: 'SERVICE',
    data: { behind, refused: 0, full: false } as unknown as Record<string, never>,
  });
  expect(await askedAgain(service(true))).toEqual([]);
  expect(await askedAgain(service(false)), 'what could not be read').toEqual([[]]);
});

test('a first answer from before the change is not taken for the last one', async () => {
  const queries = new QueryClient();
  const answer: ((entries: string) => void)[] = [];
  const shown = new QueryObserver(queries, {
    queryKey: ['history', 'ALL'],
    queryFn: () => new Promise<string>((resolve) => answer.push(resolve)),
  });
  const end = shown.subscribe(() => undefined);
  take([{ topic: 'HISTORY' }], queries);
  await vi.waitFor(() => expect(answer.length).toBe(2));
  answer[0]?.('before');
  answer[1]?.('after');
  await vi.waitFor(() => expect(shown.getCurrentResult().data).toBe('after'));
  end();
});

test('notices are shown one after the other, and another start of the server is noticed', () => {
  const notice = { what: 'MISSED', about: { name: 'Dov' } };
  hear({ topic: 'NOTICES', data: [notice, notice] as unknown as Record<string, never> });
  expect(new Set(useNotices.getState().notices.map((each) => each.key)).size).toBe(2);
  expect(line.heard('2026-06-15T08:00:00Z', 'one')).toBe(false);
  expect(line.heard('2026-06-15T08:00:01Z', 'one')).toBe(false);
  expect(line.heard('2026-06-15T08:00:02Z', 'two')).toBe(true);
  expect(useLine.getState().connection).toBe('live');
});
