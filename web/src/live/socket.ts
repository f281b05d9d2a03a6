import { whoIsSignedIn } from '../api/client';
import type { Item, Push } from '../api/types';
import { device } from './device';
import { line } from './line';

const SIGNED_OUT = 4001;
/** The server says something every 3 seconds; a silence longer than this is a lost line. */
const LONGEST_SILENCE_MS = 8_000;
/** What the server takes for a page that is there: anything. */
const HERE = 'here';
const PAUSES_MS = [200, 500, 1000, 2000, 3000];

/** Whoever is told what the server says. */
export interface Told {
  take: (items: Item[]) => void;
  /** The server was started anew since it was last heard of. */
  restarted: () => void;
  /** Nothing is known any more. */
  forget: () => void;
}

/**
 * Keeps this page told of what happens, connecting again whenever the line is lost.
 *
 * @returns what ends it
 */
export function listen(told: Told): () => void {
  let socket: WebSocket | undefined;
  let tries = 0;
  let ended = false;
  let retry: ReturnType<typeof setTimeout> | undefined;
  let silence: ReturnType<typeof setTimeout> | undefined;

  function connect() {
    clearTimeout(retry);
    const scheme = location.protocol === 'https:' ? 'wss:' : 'ws:';
    const mine = new WebSocket(`${scheme}//${location.host}/api/push?device=${device}`);
    socket = mine;
    listenOn();
    mine.onmessage = (message) => {
      if (socket !== mine) {
        return;
      }
      tries = 0;
      listenOn();
      mine.send(HERE);
      const push = JSON.parse(message.data as string) as Push;
      const restarted = line.heard(push.now, push.run);
      told.take(push.items);
      if (restarted) {
        told.restarted();
      }
    };
    mine.onclose = (event) => {
      if (socket === mine) {
        lost(event.code);
      }
    };
  }

  function listenOn() {
    clearTimeout(silence);
    silence = setTimeout(() => drop(), LONGEST_SILENCE_MS);
  }

  /** Gives the line up without waiting for the other end to notice. */
  function drop() {
    const old = socket;
    socket = undefined;
    old?.close();
    lost(0);
  }

  function lost(code: number) {
    clearTimeout(silence);
    if (ended) {
      return;
    }
    line.lost();
    if (code === SIGNED_OUT || tries === 1) {
      // Perhaps it is the sign-in that is gone and not the line: asking tells.
      void whoIsSignedIn().catch(() => undefined);
    }
    clearTimeout(retry);
    retry = setTimeout(connect, PAUSES_MS[Math.min(tries, PAUSES_MS.length - 1)]);
    tries++;
  }

  const online = () => {
    tries = 0;
    connect();
  };
  window.addEventListener('offline', drop);
  window.addEventListener('online', online);
  connect();

  return () => {
    ended = true;
    clearTimeout(retry);
    clearTimeout(silence);
    window.removeEventListener('offline', drop);
    window.removeEventListener('online', online);
    socket?.close();
    told.forget();
  };
}
