import { useMemo } from 'react';
import type { CallView } from '../api/types';
import { type Key, useKeys } from '../ui/keys';
import { activeCall, inOrder, ringingCall } from './order';
import { type Action, serve } from './services';
import { callStore, useCallStore, useCalls } from './store';

/** The key of each service, as its button shows it. */
export const KEY_OF: Partial<Record<Action, string>> = {
  ANSWER: 'A',
  DECLINE: 'D',
  SILENCE: 'Q',
  DEFLECT: 'S',
  HOLD: 'H',
  RETRIEVE: 'R',
  MUTE: 'M',
  TRANSFER: 'T',
  HAND_OVER: 'Enter',
  SWAP: 'W',
  JOIN: 'J',
  RECONNECT: 'Esc',
  PULL_BACK: 'U',
  RECORD: 'O',
  PARK: 'P',
  ADD: 'C',
  MOVE_HERE: 'X',
  CALL_BACK: 'F',
  TO_MAILBOX: 'V',
  CLEAR: 'E',
};

/** The key of a switch turns it off as it turned it on. */
const TOGGLED: Partial<Record<Action, Action>> = { UNMUTE: 'MUTE', STOP_RECORDING: 'RECORD' };

/** What one does with a call that rings, whatever else is open. */
const RINGING: Action[] = ['ANSWER', 'DECLINE', 'SILENCE'];

/** Where handing over is not what one most likely wants, it has a key of its own instead of Enter. */
const CONNECT = 'L';

/** The key of this service for this call, if it has one. */
export function keyOf(call: CallView, action: Action): string | undefined {
  if (action === 'HAND_OVER' && call.actions[0] !== 'HAND_OVER') {
    return CONNECT;
  }
  return KEY_OF[TOGGLED[action] ?? action];
}

/** The call a key means: the chosen one, the one that rings, the one in progress, or the first. */
export function meant(
  calls: CallView[],
  action: Action,
  chosen: string,
  key?: string,
): CallView | undefined {
  const candidates = [
    calls.find((call) => call.id === chosen),
    ringingCall(calls),
    activeCall(calls),
    ...calls,
  ];
  return candidates.find(
    (call) =>
      call?.actions.includes(action) &&
      (key === undefined || keyOf(call, action) === key) &&
      // A held call is ended by its own button, or when it was chosen.
      (action !== 'CLEAR' || call.phase !== 'HELD' || call.id === chosen),
  );
}

/** Makes the keys of calls work wherever one is in the application. */
export function useCallKeys() {
  const calls = useCalls();
  const chosen = useCallStore((store) => store.chosen);
  useKeys(
    useMemo(() => {
      const serves = (action: Action, key: string) => () => {
        const off = (Object.keys(TOGGLED) as Action[]).find((each) => TOGGLED[each] === action);
        const toggled = off && !meant(calls, action, chosen) ? off : action;
        const call = meant(calls, toggled, chosen, key);
        if (call) {
          void serve(call, toggled);
        }
        return call !== undefined;
      };
      const keys = (Object.entries(KEY_OF) as [Action, string][]).map(([action, key]): Key => ({
        key: key === 'Esc' ? 'escape' : key.toLowerCase(),
        run: serves(action, key),
        always: RINGING.includes(action),
      }));
      return [
        ...keys,
        { key: CONNECT.toLowerCase(), run: serves('HAND_OVER', CONNECT) },
        { key: 'arrowdown', run: () => choose(calls, chosen, 1) },
        { key: 'arrowup', run: () => choose(calls, chosen, -1) },
      ];
    }, [calls, chosen]),
  );
}

/** Lets the keys mean the next call, in the order in which the strips stand. */
function choose(calls: CallView[], chosen: string, step: number): boolean {
  const strips = inOrder(calls);
  if (strips.length < 2) {
    return false;
  }
  const at = strips.findIndex((call) => call.id === chosen);
  const next = at < 0 && step < 0 ? strips.length - 1 : (at + step + strips.length) % strips.length;
  callStore.choose(strips[next]?.id ?? '');
  return true;
}
