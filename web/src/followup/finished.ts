import { create } from 'zustand';
import type { CallView, NoticeView, PartyView } from '../api/types';

/** A call of mine that has just ended, or gone on without me. */
export interface Over {
  id: string;
  other: PartyView;
  /** When it ended, by the clock of this page. */
  at: number;
  /** Where I sent it. */
  sentTo?: string;
  /** What became of it there. */
  told?: NoticeView;
}

const KEY = 'oficina-finished-calls';

/**
 * The calls that have ended, latest first, each until it is put away or a call has ended that began later: whoever has
 * gone on to the next has stopped thinking of them.
 */
export const useFinished = create<{ all: Over[] }>(() => ({ all: [] }));

function set(all: Over[]) {
  sessionStorage.setItem(KEY, JSON.stringify(all));
  useFinished.setState({ all });
}

/** Phases in which somebody speaks with me, or could. */
const SPOKEN = ['TALKING', 'HELD', 'WAITING'];

/** What is told of a caller who was sent on or parked. */
const BECAME = [
  'SENT_ANSWERED',
  'SENT_GAVE_UP',
  'SENT_LOST',
  'SENT_TO_MAILBOX',
  'PARKED_TAKEN',
  'PARKED_GAVE_UP',
];

/** Told of each who stays in a conference that I have left; in it are callers of several calls. */
export const STAYS = 'STAYS_IN_CONFERENCE';

/** With whom I have spoken in calls in hand, and since when; in what became a conference, with whom it began. */
const spoken = new Map<string, { other: PartyView; since: number }>();

/** What was told of calls in hand. */
const told = new Map<string, NoticeView>();

/** Who stays in a conference that I have left, by name. */
const staying = new Map<string, NoticeView>();

/** Of a call that is over, with whom whoever it was with stays. */
function withOthers(over: Over): Over {
  return over.told ? over : { ...over, told: staying.get(over.other.name ?? '') };
}

/** Whether whoever it was with is in a call of mine again, or still: it was joined with another one. */
export function isBack(over: Over, calls: CallView[]): boolean {
  const parties = calls.flatMap((call) => [
    call.other,
    ...(call.conference?.members.map((each) => each.who) ?? []),
  ]);
  return Boolean(over.other.dial) && parties.some((each) => each.dial === over.other.dial);
}

/** Somebody who was announced and is gone together with whoever was told of them is with those now. */
function handedOver(id: string, gone: CallView[]): NoticeView | undefined {
  const to = gone.find((call) => call.announces === id && call.phase === 'TALKING');
  return to && { what: 'SENT_ANSWERED', about: { person: to.other.name } };
}

/** How it ended, if that is another end than that of the call. */
export function endOf({ sentTo, told: became }: Over): string {
  return became ? `finished.${became.what}` : sentTo ? 'finished.sent' : 'finished.what';
}

export const finished = {
  /** Of the calls there were, those that were spoken in and are there no more are over. */
  take(before: CallView[], now: CallView[]) {
    for (const call of [...before, ...now]) {
      if (
        SPOKEN.includes(call.phase) &&
        !call.conference &&
        !call.announces &&
        ['OUTSIDE', 'PERSON', 'WITHHELD'].includes(call.other.kind)
      ) {
        const since = spoken.get(call.id)?.since ?? Date.now();
        spoken.set(call.id, { other: call.other, since });
      }
    }
    // Whoever is in another call of mine is there no longer.
    now
      .filter((call) => !before.some((each) => each.id === call.id))
      .forEach((call) => staying.delete(call.other.name ?? ''));
    const gone = before.filter((call) => !now.some((each) => each.id === call.id));
    for (const { id, phase, line } of gone) {
      const mine = spoken.get(id);
      if (mine) {
        const over = {
          id,
          other: mine.other,
          at: Date.now(),
          sentTo: phase === 'SENT' ? line : undefined,
          told: told.get(id) ?? handedOver(id, gone),
        };
        const before = useFinished.getState().all;
        set([
          withOthers(over),
          ...before.filter((each) => each.id !== id && each.at >= mine.since),
        ]);
      }
      spoken.delete(id);
      told.delete(id);
    }
  },
  /** Of a caller I sent on something was told, before or after the call was gone. */
  tell(notices: NoticeView[]) {
    for (const notice of notices) {
      if (notice.what === STAYS) {
        staying.set(notice.about.name ?? '', notice);
        set(useFinished.getState().all.map(withOthers));
      }
      if (notice.call && BECAME.includes(notice.what)) {
        if (spoken.has(notice.call)) {
          told.set(notice.call, notice);
        }
        const { all } = useFinished.getState();
        set(all.map((each) => (each.id === notice.call ? { ...each, told: notice } : each)));
      }
    }
  },
  away: (id: string) => set(useFinished.getState().all.filter((each) => each.id !== id)),
  /** After a reload: what was there before. */
  restore: () =>
    useFinished.setState({
      all: JSON.parse(sessionStorage.getItem(KEY) ?? '[]') as Over[],
    }),
  reset() {
    spoken.clear();
    told.clear();
    staying.clear();
    set([]);
  },
};
