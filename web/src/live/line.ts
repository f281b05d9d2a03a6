import { create } from 'zustand';
import type { Service } from '../api/types';

/** Whether the server tells this page what happens. */
export type Connection = 'connecting' | 'live' | 'lost';

interface Line {
  connection: Connection;
  /** Which start of the server this page has last heard of. */
  run: string;
  /** Server's clock minus this computer's, in milliseconds. */
  ahead: number;
  /** How the server says the service stands. */
  service: Service;
}

const UNHEARD: Line = {
  connection: 'connecting',
  run: '',
  ahead: 0,
  service: { behind: false, refused: 0, full: false },
};

/** The line to the server and what it says of itself. */
export const useLine = create<Line>(() => UNHEARD);

export const line = {
  /** The server has said something; tells whether it was started anew since the last time. */
  heard(now: string, run: string): boolean {
    const before = useLine.getState().run;
    useLine.setState({ connection: 'live', run, ahead: Date.parse(now) - Date.now() });
    return before !== '' && before !== run;
  },
  lost: () => useLine.setState({ connection: 'lost' }),
  service: (service: Service) => useLine.setState({ service }),
  reset: () => useLine.setState(UNHEARD),
};
