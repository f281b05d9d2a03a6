import { create } from 'zustand';
import type { CallView, PartyView } from '../api/types';

/** A call of mine that has just ended. */
export interface Over {
  id: string;
  other: PartyView;
}

const KEY = 'oficina-finished';

/** The last call that has ended, until it is put away or another one has. */
export const useFinished = create<{ over: Over | null }>(() => ({ over: null }));

function set(over: Over | null) {
  sessionStorage.setItem(KEY, JSON.stringify(over));
  useFinished.setState({ over });
}

/** Phases in which somebody speaks with me, or could. */
const SPOKEN = ['TALKING', 'HELD', 'WAITING'];

/** Whether whoever it was with is in a call of mine again, or still: it was joined with another one. */
export function isBack(over: Over, calls: CallView[]): boolean {
  const parties = calls.flatMap((call) => [
    call.other,
    ...(call.conference?.members.map((each) => each.who) ?? []),
  ]);
  return Boolean(over.other.dial) && parties.some((each) => each.dial === over.other.dial);
}

export const finished = {
  /** Of the calls there were, one that was spoken in and is there no more is over. */
  take(before: CallView[], now: CallView[]) {
    const gone = before.find(
      (call) =>
        SPOKEN.includes(call.phase) &&
        !call.conference &&
        !now.some((each) => each.id === call.id) &&
        ['OUTSIDE', 'PERSON', 'WITHHELD'].includes(call.other.kind),
    );
    if (gone) {
      set({ id: gone.id, other: gone.other });
    }
  },
  away: () => set(null),
  /** After a reload: what was there before. */
  restore: () =>
    useFinished.setState({
      over: JSON.parse(sessionStorage.getItem(KEY) ?? 'null') as Over | null,
    }),
  reset: () => set(null),
};
