import { Problem, put } from '../api/client';

/** What is being written about a call. */
export interface NoteText {
  title: string;
  text: string;
}

const PREFIX = 'oficina-note';

const keyOf = (me: number, call: string) => `${PREFIX} ${me} ${call}`;

/** Notes that the server has not confirmed yet stay in this browser: a reload or a killed server loses none. */
export const drafts = {
  read(me: number, call: string): NoteText | undefined {
    const stored = localStorage.getItem(keyOf(me, call));
    return stored ? (JSON.parse(stored) as NoteText) : undefined;
  },

  write: (me: number, call: string, note: NoteText) =>
    localStorage.setItem(keyOf(me, call), JSON.stringify(note)),

  /**
   * Sends a draft.
   *
   * @returns whether it is kept; what was written meanwhile stays a draft
   */
  async send(me: number, call: string): Promise<boolean> {
    const key = keyOf(me, call);
    const sent = localStorage.getItem(key);
    if (!sent) {
      return true;
    }
    try {
      await put(`/api/calls/${call}/note`, JSON.parse(sent) as NoteText);
    } catch (problem) {
      if (!(problem instanceof Problem && problem.code === 'NO_SUCH_CALL')) {
        return false;
      }
    }
    if (localStorage.getItem(key) !== sent) {
      return false;
    }
    localStorage.removeItem(key);
    return true;
  },

  /** Sends whatever this person has left unconfirmed here. */
  sendAll(me: number) {
    const start = keyOf(me, '');
    for (const key of Object.keys(localStorage)) {
      if (key.startsWith(start)) {
        void drafts.send(me, key.slice(start.length));
      }
    }
  },
};
