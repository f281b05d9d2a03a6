import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { get } from '../api/client';
import { useMe } from '../session/session';
import { type NoteText, drafts } from './drafts';

/** Whoever pauses so long has finished a thought. */
const PAUSE_MS = 500;
const AGAIN_MS = 3_000;

/** The note about a call: as it was, and kept as one types, through a reload and a killed server. */
export function useNote(call: string) {
  const me = useMe().id;
  const [typed, setTyped] = useState<NoteText | undefined>(() => drafts.read(me, call));
  const [failed, setFailed] = useState(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const { data } = useQuery({
    queryKey: ['note', call],
    queryFn: () => get<NoteText>(`/api/calls/${call}/note`),
    staleTime: Infinity,
    enabled: typed === undefined,
  });

  useEffect(() => {
    function send() {
      clearTimeout(timer.current);
      void drafts.send(me, call).then((kept) => {
        setFailed(!kept && drafts.read(me, call) !== undefined);
        if (!kept) {
          timer.current = setTimeout(send, AGAIN_MS);
        }
      });
    }
    if (typed) {
      clearTimeout(timer.current);
      timer.current = setTimeout(send, PAUSE_MS);
    }
  }, [typed, me, call]);

  // Whoever leaves does not wait for the pause.
  useEffect(
    () => () => {
      clearTimeout(timer.current);
      void drafts.send(me, call);
    },
    [me, call],
  );

  return {
    note: typed ?? data ?? { title: '', text: '' },
    ready: typed !== undefined || data !== undefined,
    failed,
    write(note: NoteText) {
      drafts.write(me, call, note);
      setTyped(note);
    },
  };
}
