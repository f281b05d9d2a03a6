import { useQuery } from '@tanstack/react-query';
import { get, post, put } from '../api/client';
import type { QueueView } from '../api/types';
import { answeringDevice } from '../calls/services';
import { attempt } from '../notices/attempt';
import { useOwnQueues, type Told } from './store';

/** Nobody tells of lines that are none of mine: who looks at the whole office asks now and then. */
const LOOKS_AGAIN = 5_000;

/** How it stands at my queues, or at all of the office, and how I stand as a member. */
export function useQueues(all = false): Told {
  const own = useOwnQueues();
  const asked = useQuery({
    queryKey: ['queues', 'all'],
    queryFn: () => get<Told>('/api/queues?all=true'),
    enabled: all,
    refetchInterval: LOOKS_AGAIN,
  });
  return all && asked.data ? asked.data : own;
}

/** Whether there are queues for me to look at: those I am in, or any when I administer. */
export function useHasQueues(): boolean {
  const { queues, all } = useOwnQueues();
  return queues.length + all > 0;
}

/** Writes no more about the last call, or takes so many seconds longer for it. */
export const finish = (seconds?: number) => attempt(post('/api/queues/finishing', { seconds }));

export type MemberView = QueueView['members'][number];

/** Has a member take part, or rest: for whoever leads the queue. */
export const letTakePart = (queue: number, member: MemberView, takesPart: boolean) =>
  attempt(put(`/api/queues/${queue}/members/${member.person}`, { takesPart, reason: '' }));

/** Speaks with a caller out of turn: for whoever leads the queue. */
export const takeOutOfTurn = (queue: number, call: string) =>
  attempt(post(`/api/queues/${queue}/waiting/${call}/take`, { device: answeringDevice() }));

/** Has a caller wait in another queue: for whoever leads the one they wait in. */
export const moveTo = (queue: number, call: string, to: number) =>
  attempt(post(`/api/queues/${queue}/waiting/${call}/move`, { to }));

/** How I stand as a member of the queues that are mine. */
export function standing(queues: QueueView[], me: number): MemberView[] {
  return queues.flatMap((queue) => queue.members.filter((each) => each.person === me));
}
