import { useSyncExternalStore } from 'react';
import { useLine } from './line';

let tick = Date.now();
const listeners = new Set<() => void>();

/** Once a second, just after the server's full second: then every time shown changes at once. */
function next() {
  tick = Date.now();
  listeners.forEach((listener) => listener());
  setTimeout(next, 1010 - ((tick + useLine.getState().ahead) % 1000));
}

setTimeout(next, 1000);

function subscribe(listener: () => void) {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** The server's time in milliseconds, moving on once a second. */
export function useNow(): number {
  const ahead = useLine((line) => line.ahead);
  return useSyncExternalStore(subscribe, () => tick) + ahead;
}
