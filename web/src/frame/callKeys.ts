import { useMemo } from 'react';
import type { CallView } from '../api/types';
import { activeCall, ringingCall, serve, useCalls, type Action } from '../live/calls';
import { useKeys, type Key } from './keys';

/** The key of each service, as its button shows it. */
export const KEY_OF: Partial<Record<Action, string>> = {
  ANSWER: 'A',
  DECLINE: 'D',
  SILENCE: 'Q',
  HOLD: 'H',
  RETRIEVE: 'R',
  CLEAR: 'E',
};

/** The call a key means: the one that rings, the one in progress, or the one held longest. */
export function meant(calls: CallView[], action: Action): CallView | undefined {
  const candidates =
    action === 'RETRIEVE'
      ? calls.filter((call) => call.phase === 'HELD')
      : [ringingCall(calls), activeCall(calls)];
  return candidates.find((call) => call?.actions.includes(action));
}

/** Makes the keys of calls work wherever one is in the application. */
export function useCallKeys() {
  const calls = useCalls();
  useKeys(
    useMemo(
      () =>
        Object.entries(KEY_OF).map(([action, key]): Key => ({
          key: key.toLowerCase(),
          run: () => {
            const call = meant(calls, action as Action);
            if (call) {
              void serve(call, action as Action);
            }
          },
        })),
      [calls],
    ),
  );
}
