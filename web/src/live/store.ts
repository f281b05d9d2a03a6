import { create } from 'zustand';
import type { CallBackView, CallView, Notice, PersonView, Push, SlotView } from '../api/types';

/** Whether the server tells this page what happens. */
export type Connection = 'connecting' | 'live' | 'lost';

/** A notice on the page, with what takes back what it tells of. */
export interface Shown {
  key: number;
  notice: Notice;
  undo?: () => void;
}

interface Live {
  connection: Connection;
  /** Which start of the server this page has last heard of. */
  run: string;
  calls: CallView[];
  callBacks: CallBackView[];
  shelf: SlotView[];
  people: PersonView[];
  /** Whether events wait for the database. */
  behind: boolean;
  /** Server's clock minus this computer's, in milliseconds. */
  ahead: number;
  notices: Shown[];
  /** The call whose keypad is open: keys typed on the desk go there instead of into the dial field. */
  keypadFor: string;
  /** What is open in a call's strip: the choice of a target, of somebody to add, or of a slot. */
  panel: { call: string; what: 'TRANSFER' | 'ADD' | 'PARK' } | null;
  /** The call the keys mean, when one was chosen. */
  chosen: string;
}

/** What the server has last said of calls and people. */
export const useLive = create<Live>(() => ({
  connection: 'connecting',
  run: '',
  calls: [],
  callBacks: [],
  shelf: [],
  people: [],
  behind: false,
  ahead: 0,
  notices: [],
  keypadFor: '',
  panel: null,
  chosen: '',
}));

let noticeKey = 0;

/** Takes in a message of the server. */
export function take(push: Push) {
  const before = useLive.getState();
  useLive.setState((live) => ({
    connection: 'live',
    run: push.run,
    behind: push.behind,
    ahead: Date.parse(push.now) - Date.now(),
    calls: push.calls ?? live.calls,
    callBacks: push.callBacks ?? live.callBacks,
    shelf: push.shelf ?? live.shelf,
    people: push.people ? merged(live.people, push.people) : live.people,
    notices: [...live.notices, ...push.notices.map((notice) => ({ key: ++noticeKey, notice }))],
  }));
  if (before.run !== '' && before.run !== push.run) {
    const count = push.calls?.length ?? 0;
    notify(count > 0 ? 'restartedInCall' : 'restarted', { count: String(count) });
  }
}

function merged(before: PersonView[], changed: PersonView[]): PersonView[] {
  if (before.length === 0 || changed.length >= before.length) {
    return changed;
  }
  const byId = new Map(changed.map((person) => [person.id, person]));
  return before.map((person) => byId.get(person.id) ?? person);
}

/** Puts a notice away. */
export function dismiss(key: number) {
  useLive.setState((live) => ({ notices: live.notices.filter((each) => each.key !== key) }));
}

/** Shows a notice that this page has to say itself. */
export function notify(what: string, about: Record<string, string> = {}, undo?: () => void) {
  useLive.setState((live) => ({
    notices: [...live.notices, { key: ++noticeKey, notice: { what, about }, undo }],
  }));
}
