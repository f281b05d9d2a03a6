import type { QueryClient } from '@tanstack/react-query';
import type {
  Board,
  CallBackView,
  CallView,
  Item,
  LeavingView,
  LineUseView,
  NoticeView,
  OthersCallView,
  Service,
  SlotView,
  Speaking,
} from '../api/types';
import { callStore, useCallStore } from '../calls/store';
import { devicesStore } from '../devices/store';
import { STAYS, finished } from '../followup/finished';
import type { Told } from '../live/socket';
import { noticeStore, notify } from '../notices/store';
import { shelfStore } from '../park/store';
import { queueStore, type Told as QueuesTold } from '../queues/store';
import { peopleStore } from '../people/store';
import { soundStore } from '../sound/store';
import { line, useLine } from '../live/line';

type Topic = Item['topic'];

/**
 * Asks again for what is shown. A first answer still under way counts as not asked for: it may have been drawn
 * up before the change, and merely invalidating would wait for it and take it.
 */
async function askAgain(queries: QueryClient, ...queryKey: string[]) {
  await queries.cancelQueries({ queryKey });
  await queries.invalidateQueries({ queryKey });
}

/** What each feature does when the server says something of its topic; none can be forgotten. */
const TOPICS: Record<Topic, (data: unknown, queries: QueryClient) => void> = {
  CALLS(data) {
    const before = useCallStore.getState().calls;
    callStore.take(data as CallView[]);
    finished.take(before, data as CallView[]);
  },
  CALL_BACKS: (data) => callStore.know({ callBacks: data as CallBackView[] }),
  LEAVING: (data) => callStore.know({ leaving: data as LeavingView[] }),
  OTHERS_CALLS: (data) => callStore.know({ others: data as OthersCallView[] }),
  LINES: (data) => callStore.know({ lines: data as LineUseView[] }),
  QUEUES(data, queries) {
    queueStore.take(data as QueuesTold);
    void askAgain(queries, 'queues'); // whoever looks at the whole office, or at what leads decided
  },
  PEOPLE: (data) => peopleStore.take(data as Board),
  SHELF: (data) => shelfStore.take(data as SlotView[]),
  COLLEAGUES: (_, queries) => void askAgain(queries, 'colleagues'),
  NOTICES(data) {
    const notices = data as NoticeView[];
    // What stands in the line of a call that is over needs no notice besides.
    noticeStore.take(notices.filter((each) => each.what !== STAYS));
    finished.tell(notices);
  },
  SERVICE(data, queries) {
    const wasBehind = useLine.getState().service.behind;
    line.service(data as Service);
    if (wasBehind && !(data as Service).behind) {
      void askAgain(queries); // what could not be read while the database was away
    }
  },
  HISTORY(_, queries) {
    void askAgain(queries, 'history');
    void askAgain(queries, 'follow-ups', 'known'); // of which the last calls are a part
  },
  VOICEMAIL: (_, queries) => void askAgain(queries, 'voicemail'),
  RECORDINGS: (_, queries) => void askAgain(queries, 'recordings'),
  NOTES: (_, queries) => void askAgain(queries, 'note'),
  SPEED_DIALS: (_, queries) => void askAgain(queries, 'speed-dials'),
  FOLLOW_UPS: (_, queries) => void askAgain(queries, 'follow-ups'),
  CONTACTS(_, queries) {
    void askAgain(queries, 'contacts');
    for (const shown of [
      'history',
      'voicemail',
      'recordings',
      'to-call-back',
      'find',
      'follow-ups',
      'speed-dials',
    ]) {
      void askAgain(queries, shown); // they name whoever they speak of
    }
  },
  RULES(_, queries) {
    void askAgain(queries, 'rules');
    void askAgain(queries, 'lines');
  },
  TO_RETURN: (_, queries) => void askAgain(queries, 'to-call-back'),
  DEVICES: () => void devicesStore.load(),
  SPEAKING: (data) => soundStore.take(data as Speaking[]),
  ALARMS: (_, queries) => void askAgain(queries, 'office', 'system'),
  OUTSIDE: (_, queries) => void askAgain(queries, 'outside'),
};

/** Takes in what the server says, each feature what is its own. */
export function take(items: Item[], queries: QueryClient) {
  for (const { topic, data } of items) {
    TOPICS[topic](data, queries);
  }
}

function sayRestarted() {
  const count = useCallStore.getState().calls.length;
  notify(count > 0 ? 'restartedInCall' : 'restarted', { count: String(count) });
}

/** All features together, as whoever is told what the server says. */
export function everything(queries: QueryClient): Told {
  return { take: (items) => take(items, queries), restarted: sayRestarted, forget };
}

/** Forgets everything the server has said. */
export function forget() {
  for (const store of [
    line,
    callStore,
    peopleStore,
    shelfStore,
    queueStore,
    noticeStore,
    soundStore,
    devicesStore,
    finished,
  ]) {
    store.reset();
  }
}
