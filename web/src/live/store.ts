import { create } from 'zustand';
import type { CallView, Notice, PersonView, Push } from '../api/types';

/** Whether the server tells this page what happens. */
export type Connection = 'connecting' | 'live' | 'lost';

interface Live {
  connection: Connection;
  calls: CallView[];
  people: PersonView[];
  /** Whether events wait for the database. */
  behind: boolean;
  /** Server's clock minus this computer's, in milliseconds. */
  ahead: number;
  notices: { key: number; notice: Notice }[];
  /** The call whose keypad is open: keys typed on the desk go there instead of into the dial field. */
  keypadFor: string;
  /** The call for which a target is being chosen. */
  pickerFor: string;
}

/** What the server has last said of calls and people. */
export const useLive = create<Live>(() => ({
  connection: 'connecting',
  calls: [],
  people: [],
  behind: false,
  ahead: 0,
  notices: [],
  keypadFor: '',
  pickerFor: '',
}));

let noticeKey = 0;

/** Takes in a message of the server. */
export function take(push: Push) {
  useLive.setState((live) => ({
    connection: 'live',
    behind: push.behind,
    ahead: Date.parse(push.now) - Date.now(),
    calls: push.calls ?? live.calls,
    people: push.people ? merged(live.people, push.people) : live.people,
    notices: [...live.notices, ...push.notices.map((notice) => ({ key: ++noticeKey, notice }))],
  }));
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
export function notify(what: string, about: Record<string, string> = {}) {
  useLive.setState((live) => ({
    notices: [...live.notices, { key: ++noticeKey, notice: { what, about } }],
  }));
}
