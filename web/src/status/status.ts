import type { TFunction } from 'i18next';
import { useQuery } from '@tanstack/react-query';
import { get, put } from '../api/client';
import type { NewStatus, StatusView } from '../api/types';
import { usePeople } from '../people/store';
import { useMe } from '../session/session';
import { useLine } from '../live/line';
import { dayAndTime } from '../words/time';

/** In the order of their digits. */
export const KINDS = ['FREE', 'BUSY', 'AWAY', 'DO_NOT_DISTURB', 'OFF_DUTY'] as const;

export type Kind = StatusView['kind'];

export const say = (status: NewStatus) => put('/api/status', status);

export const nextOpening = () => get<{ at?: string }>('/api/status/next-opening');

/** When something ends, in words: a time of today, or a day with it. */
export const untilWhen = (instant: string) =>
  dayAndTime(instant, Date.now() + useLine.getState().ahead);

/** What somebody says of themselves, and until when; empty when nothing. */
export const saidOf = (said: StatusView | undefined, t: TFunction): string =>
  [said?.text, said?.until && t('status.untilAt', { time: untilWhen(said.until) })]
    .filter(Boolean)
    .join(', ');

/** What I say of myself; undefined when nothing. */
export function useOwnStatus(): StatusView | undefined {
  const me = useMe();
  return usePeople((store) => store.people.find((each) => each.id === me.id)?.said);
}

/** How many calls have been kept from me since I want none. */
export function useKept(status: StatusView | undefined): number {
  const since = status?.since;
  const keeps = status?.kind === 'DO_NOT_DISTURB' || status?.kind === 'OFF_DUTY';
  return (
    useQuery({
      queryKey: ['history', 'kept', since],
      queryFn: () =>
        get<{ calls: number }>(`/api/history/kept?${new URLSearchParams({ since: since ?? '' })}`),
      enabled: keeps,
    }).data?.calls ?? 0
  );
}
