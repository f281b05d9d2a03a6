import { create } from 'zustand';
import type { Panel } from '../api/types';
import { Again } from '../live/again';
import { line } from '../live/line';

const KEY = 'oficina-phone';
const UNKNOWN = 4003;
/** Often enough for the office to notice within ten seconds that the network is gone. */
const HEARTBEAT_MS = 3_000;

/** How it stands between this telephone and the office. */
export type Plug = 'connecting' | 'plugged' | 'inUse' | 'replaced' | 'unknown' | 'lost';

interface Phone {
  plug: Plug;
  panel: Panel | null;
}

export const usePhone = create<Phone>(() => ({ plug: 'connecting', panel: null }));

/** What a telephone is told. */
interface Told {
  panel?: Panel;
  now?: string;
  inUse?: boolean;
  replaced?: boolean;
  sdp?: string;
}

/** The secret by which this telephone shows who it is: in the address once, then in this window. */
function secretOfWindow(): string {
  const given = location.hash.slice(1);
  if (given) {
    sessionStorage.setItem(KEY, given);
    history.replaceState(null, '', location.pathname);
  }
  return sessionStorage.getItem(KEY) ?? '';
}

/** The line of a telephone to the office: keys and sound out, display and lamps in. */
export class PhoneLine {
  private readonly secret = secretOfWindow();
  private socket: WebSocket | undefined;
  private readonly again = new Again(() => this.connect());
  private heart: ReturnType<typeof setInterval> | undefined;
  private answered: ((sdp: string) => void) | undefined;
  private ended = false;

  constructor(private readonly plugged: () => void) {}

  /** Plugs the telephone in. */
  connect = (inPlaceOf = false) => {
    this.again.stop();
    if (!this.secret) {
      usePhone.setState({ plug: 'unknown' });
      return;
    }
    const scheme = location.protocol === 'https:' ? 'wss:' : 'ws:';
    const mine = new WebSocket(`${scheme}//${location.host}/api/handset`);
    this.socket = mine;
    mine.onopen = () => this.say({ secret: this.secret, inPlaceOf });
    mine.onmessage = (message) => {
      if (this.socket === mine) {
        this.heard(JSON.parse(message.data as string) as Told);
      }
    };
    mine.onclose = (event) => {
      if (this.socket === mine) {
        this.lost(event.code);
      }
    };
    clearInterval(this.heart);
    this.heart = setInterval(() => this.say({}), HEARTBEAT_MS);
  };

  private heard(told: Told) {
    if (told.inUse) {
      usePhone.setState({ plug: 'inUse' });
    }
    if (told.replaced) {
      usePhone.setState({ plug: 'replaced' });
      const old = this.socket;
      this.socket = undefined;
      clearInterval(this.heart);
      old?.close();
    }
    if (told.panel) {
      const first = usePhone.getState().plug !== 'plugged';
      this.again.done();
      line.heard(told.now ?? new Date().toISOString(), 'phone');
      usePhone.setState({ plug: 'plugged', panel: told.panel });
      if (first) {
        this.plugged();
      }
    }
    if (told.sdp) {
      this.answered?.(told.sdp);
    }
  }

  private lost(code: number) {
    clearInterval(this.heart);
    this.socket = undefined;
    if (this.ended) {
      return;
    }
    if (code === UNKNOWN) {
      usePhone.setState({ plug: 'unknown' });
      return;
    }
    usePhone.setState({ plug: 'lost' });
    this.again.later();
  }

  private say(what: object) {
    if (this.socket?.readyState === WebSocket.OPEN) {
      this.socket.send(JSON.stringify(what));
    }
  }

  /** A key is pressed, or the handset lifted or put down. */
  press = (key: string, number = 0) => this.say({ key, number });

  /** Offers this telephone's sound and waits for the answer. */
  offer = (sdp: string): Promise<{ sdp: string }> =>
    new Promise((resolve, reject) => {
      const patience = setTimeout(() => reject(new Error('no answer')), 5_000);
      this.answered = (answer) => {
        clearTimeout(patience);
        resolve({ sdp: answer });
      };
      this.say({ sdp });
    });

  end() {
    this.ended = true;
    this.again.stop();
    clearInterval(this.heart);
    this.socket?.close();
  }
}
