import { create } from 'zustand';
import type { Queues } from '../api/types';

/** What was last told; nothing is still to be written down most of the time. */
export type Told = Omit<Queues, 'finishing'> & Partial<Queues>;

/** How it stands at the lines of mine that keep callers, and how I stand there. */
export const useOwnQueues = create<Told>(() => ({ queues: [], all: 0, reasons: [] }));

export const queueStore = {
  take: (told: Told) => useOwnQueues.setState(told, true),
  reset: () => useOwnQueues.setState(useOwnQueues.getInitialState(), true),
};
