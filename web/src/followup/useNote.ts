import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { get } from '../api/client';
import { useMe } from '../session/session';
import { type NoteText, drafts } from './drafts';

/** Whoever pauses so long has finished a thought. */
const PAUSE_MS = 500;
const AGAIN_MS = 3_000;

const BLANK: NoteText = { title: '', text: '' };

/** What was written before, and what somebody typed before it was there. */
function together(before: NoteText, typed: NoteText): NoteText {
  return {
    title: typed.title || before.title,
    text: [before.text, typed.text].filter(Boolean).join('\n'),
  };
}

/** The note about a call: as it was, and kept as one types, through a reload and a killed server. */
export function useNote(call: string) {
  const me = useMe().id;
  const queries = useQueryClient();
  const [typed, setTyped] = useState<NoteText | undefined>(() => drafts.read(me, call));
  /** Whether something was typed before it was known what was written before. */
  const [early, setEarly] = useState(false);
  const [failed, setFailed] = useState(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const { data } = useQuery({
    queryKey: ['note', call],
    queryFn: () => get<NoteText>(`/api/calls/${call}/note`),
    staleTime: Infinity,
  });
  const note = early && data && typed ? together(data, typed) : (typed ?? data ?? BLANK);

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
    note,
    failed,
    write(next: NoteText) {
      setEarly(data === undefined);
      drafts.write(me, call, next);
      setTyped(next);
      if (data !== undefined) {
        queries.setQueryData(['note', call], next);
      }
    },
  };
}
