import { useQuery } from '@tanstack/react-query';
import { get } from '../api/client';
import type { FiguresView, Needs } from '../api/types';
import { readersDate } from '../words/time';

/** The day goes on while one looks at it. */
const LOOKS_AGAIN = 15_000;

const days = (first: string, last: string) => `first=${first}&last=${last}`;

/** What a queue has done on these days, both included. */
export const useFigures = (queue: number, first: string, last: string) =>
  useQuery({
    queryKey: ['queue-figures', queue, first, last],
    queryFn: () => get<FiguresView>(`/api/queues/${queue}/figures?${days(first, last)}`),
    refetchInterval: LOOKS_AGAIN,
  });

/** Where the same is had as a file. */
export const figuresFile = (queue: number, first: string, last: string) =>
  `/api/queues/${queue}/figures/file?${days(first, last)}`;

/** How many are needed at a half hour of the week, or when most calls come. */
export const useNeeded = (queue: number, at?: { weekday: number; slot: number }) =>
  useQuery({
    queryKey: ['queue-needed', queue, at?.weekday, at?.slot],
    queryFn: () =>
      get<Needs>(
        `/api/queues/${queue}/figures/needed${at ? `?weekday=${at.weekday}&slot=${at.slot}` : ''}`,
      ),
  }).data?.needed;

/** A half hour of the day as 9:30. */
export const halfHour = (slot: number) => `${Math.floor(slot / 2)}:${slot % 2 === 0 ? '00' : '30'}`;

/** A Monday, from which weekdays are counted. */
const MONDAY = Date.UTC(2026, 0, 5, 12);
const A_DAY = 86_400_000;

/** A day of the week in the reader's words; 1 is Monday. */
export const weekday = (day: number) =>
  readersDate(MONDAY + (day - 1) * A_DAY, { weekday: 'long', timeZone: 'UTC' });
