import { whoIsSignedIn } from '../api/client';
import type { Item, Push } from '../api/types';
import { Again } from './again';
import { device } from './device';
import { line } from './line';

const SIGNED_OUT = 4001;
/** The server says something every 3 seconds; a silence longer than this is a lost line. */
const LONGEST_SILENCE_MS = 8_000;
/** What the server takes for a page that is there: anything. */
const HERE = 'here';

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
  let ended = false;
  const again = new Again(connect);
  let silence: ReturnType<typeof setTimeout> | undefined;

  function connect() {
    again.stop();
    const scheme = location.protocol === 'https:' ? 'wss:' : 'ws:';
    const mine = new WebSocket(`${scheme}//${location.host}/api/push?device=${device}`);
    socket = mine;
    listenOn();
    mine.onmessage = (message) => {
      if (socket !== mine) {
        return;
      }
      again.done();
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
    if (code === SIGNED_OUT || again.tries === 1) {
      // Perhaps it is the sign-in that is gone and not the line: asking tells.
      void whoIsSignedIn().catch(() => undefined);
    }
    again.later();
  }

  const online = () => {
    again.done();
    connect();
  };
  window.addEventListener('offline', drop);
  window.addEventListener('online', online);
  connect();

  return () => {
    ended = true;
    again.stop();
    clearTimeout(silence);
    window.removeEventListener('offline', drop);
    window.removeEventListener('online', online);
    socket?.close();
    told.forget();
  };
}
