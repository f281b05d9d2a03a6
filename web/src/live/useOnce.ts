import { useCallback, useRef, useState } from 'react';

/** Runs an action once at a time: a second click while it is under way does nothing. */
export function useOnce<A extends unknown[]>(action: (...args: A) => Promise<unknown>) {
  const running = useRef(false);
  const [busy, setBusy] = useState(false);
  const run = useCallback(
    async (...args: A) => {
      if (running.current) {
        return;
      }
      running.current = true;
      setBusy(true);
      try {
        await action(...args);
      } finally {
        running.current = false;
        setBusy(false);
      }
    },
    [action],
  );
  return { run, busy };
}
