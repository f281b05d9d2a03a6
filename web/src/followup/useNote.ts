import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { get } from '../api/client';
import { useMe } from '../session/session';
import { type NoteText, drafts } from './drafts';

/** Whoever pauses so long has finished a thought. */
const PAUSE_MS = 500;
const AGAIN_MS = 3_000;

const BLANK: NoteText = { title: '', text: '' };

/** The note about a call as the server has it. */
export const noteOf = (call: string) => ({
  queryKey: ['note', call],
  queryFn: () => get<NoteText>(`/api/calls/${call}/note`),
  staleTime: Infinity,
});

/**
 * The note about a call: as it is, kept as one types, through a reload and a killed server, and the same in all windows:
 * what two of them write at once is put together by the server.
 */
export function useNote(call: string) {
  const me = useMe().id;
  const queries = useQueryClient();
  const [typed, setTyped] = useState<NoteText | undefined>(() => drafts.read(me, call));
  const [failed, setFailed] = useState(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const { data } = useQuery(noteOf(call));

  const send = useCallback(async () => {
    clearTimeout(timer.current);
    const kept = await drafts.send(me, call);
    setFailed(kept === 'failed');
    if (kept === 'failed' || kept === 'more') {
      return false;
    }
    if (kept) {
      queries.setQueryData(['note', call], kept);
    }
    setTyped(undefined);
    return true;
  }, [me, call, queries]);

  useEffect(() => {
    async function sendOrTryAgain() {
      if (!(await send())) {
        timer.current = setTimeout(() => void sendOrTryAgain(), AGAIN_MS);
      }
    }
    if (typed) {
      clearTimeout(timer.current);
      timer.current = setTimeout(() => void sendOrTryAgain(), PAUSE_MS);
    }
  }, [typed, send]);

  // Whoever leaves does not wait for the pause.
  useEffect(
    () => () => {
      clearTimeout(timer.current);
      void drafts.send(me, call);
    },
    [me, call],
  );

  return {
    note: typed ?? data ?? BLANK,
    failed,
    write(next: NoteText) {
      drafts.write(me, call, next, data ?? BLANK);
      setTyped(next);
    },
  };
}
