import { post } from './client';

interface Line {
  waiting: string;
  /** When what waits now has arrived. */
  next: Promise<void>;
}

/** As many as the server takes at a time. */
const MOST = 32;

/** Where digits are on their way. */
const lines = new Map<string, Line>();

/**
 * Sends digits one after the other: two requests of a browser may overtake each other, and a secret
 * number with two digits changed is a wrong one. What is typed while others are on their way goes
 * together. When some do not arrive, those behind them are not sent either, and it is told once.
 */
export function postDigits(path: string, digits: string): Promise<void> {
  const line = lines.get(path);
  if (!line) {
    return begin(path, post(path, { digits }));
  }
  const first = line.waiting === '';
  line.waiting += digits;
  return first ? line.next : line.next.catch(() => undefined);
}

function begin(path: string, sent: Promise<void>, waiting = ''): Promise<void> {
  const line: Line = { waiting, next: Promise.resolve() };
  lines.set(path, line);
  line.next = sent.then(
    () => {
      lines.delete(path);
      const digits = line.waiting.slice(0, MOST);
      return digits ? begin(path, post(path, { digits }), line.waiting.slice(MOST)) : undefined;
    },
    () => void lines.delete(path),
  );
  return sent;
}
