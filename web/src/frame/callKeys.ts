import { useMemo } from 'react';
import type { CallView } from '../api/types';
import { activeCall, ringingCall, serve, useCalls, type Action } from '../live/calls';
import { useKeys, type Key } from './keys';

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
  CLEAR: 'E',
};

/** The call a key means: the one that rings, the one in progress, or else the first that can. */
export function meant(calls: CallView[], action: Action): CallView | undefined {
  const candidates = [ringingCall(calls), activeCall(calls), ...calls];
  return candidates.find(
    (call) =>
      call?.actions.includes(action) &&
      // A held call is ended by its own button only.
      (action !== 'CLEAR' || call.phase !== 'HELD') &&
      // Enter is too near at hand to connect two calls that were not placed for it.
      (action !== 'HAND_OVER' || call.announces),
  );
}

/** Makes the keys of calls work wherever one is in the application. */
export function useCallKeys() {
  const calls = useCalls();
  useKeys(
    useMemo(
      () =>
        (Object.entries(KEY_OF) as [Action, string][]).map(([action, key]): Key => {
          const run = () => {
            const toggled = action === 'MUTE' && !meant(calls, 'MUTE') ? 'UNMUTE' : action;
            const call = meant(calls, toggled);
            if (call) {
              void serve(call, toggled);
            }
            return call !== undefined;
          };
          return { key: key === 'Esc' ? 'escape' : key.toLowerCase(), run };
        }),
      [calls],
    ),
  );
}
