import { Problem, put } from '../api/client';
import { device } from '../live/device';

/** What is being written about a call. */
export interface NoteText {
  title: string;
  text: string;
}

/** The same with what the note was when this was begun, so that the server can put both together. */
interface Draft extends NoteText {
  from: NoteText;
}

const PREFIX = 'oficina-note';

/** Each window has its own: two that write at once do not overwrite each other. */
const keyOf = (me: number, call: string, window = device) => `${PREFIX} ${me} ${call} ${window}`;

/** The note as the server has it now; what was written meanwhile stays a draft, which goes on from what was sent. */
async function sendUnder(
  key: string,
  call: string,
): Promise<NoteText | 'failed' | 'more' | undefined> {
  const sent = localStorage.getItem(key);
  if (!sent) {
    return undefined;
  }
  const { title, text, from } = JSON.parse(sent) as Draft;
  let kept: NoteText | undefined;
  try {
    kept = await put<NoteText>(`/api/calls/${call}/note`, { title, text, from });
  } catch (problem) {
    if (!(problem instanceof Problem && problem.code === 'NO_SUCH_CALL')) {
      return 'failed';
    }
  }
  const now = localStorage.getItem(key);
  if (now && now !== sent) {
    const draft: Draft = { ...(JSON.parse(now) as Draft), from: { title, text } };
    localStorage.setItem(key, JSON.stringify(draft));
    return 'more';
  }
  localStorage.removeItem(key);
  return kept;
}

/** Notes that the server has not confirmed yet stay in this browser: a reload or a killed server loses none. */
export const drafts = {
  read(me: number, call: string): NoteText | undefined {
    const stored = localStorage.getItem(keyOf(me, call));
    return stored ? (JSON.parse(stored) as Draft) : undefined;
  },

  /**
   * Keeps a draft.
   *
   * @param from what the note was before, unless a draft is there already
   */
  write(me: number, call: string, note: NoteText, from: NoteText) {
    const key = keyOf(me, call);
    const before = localStorage.getItem(key);
    const draft: Draft = { ...note, from: before ? (JSON.parse(before) as Draft).from : from };
    localStorage.setItem(key, JSON.stringify(draft));
  },

  /**
   * Sends this window's draft.
   *
   * @returns the note as it is kept now; whether it could not be sent, or more was written meanwhile; nothing without one
   */
  send: (me: number, call: string) => sendUnder(keyOf(me, call), call),

  /** Sends whatever this person has left unconfirmed here. */
  sendAll(me: number) {
    const start = `${PREFIX} ${me} `;
    for (const key of Object.keys(localStorage)) {
      const call = key.startsWith(start) && key.slice(start.length).split(' ')[0];
      if (call) {
        void sendUnder(key, call);
      }
    }
  },
};
