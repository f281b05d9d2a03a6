import { useSyncExternalStore } from 'react';
import { useLive } from './store';

let tick = Date.now();
const listeners = new Set<() => void>();

setInterval(() => {
  tick = Date.now();
  listeners.forEach((listener) => listener());
}, 500);

function subscribe(listener: () => void) {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** The server's time in milliseconds, moving on twice a second. */
export function useNow(): number {
  const ahead = useLive((live) => live.ahead);
  return useSyncExternalStore(subscribe, () => tick) + ahead;
}
