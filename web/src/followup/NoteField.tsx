import { Suspense, lazy, useId, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { KeyCap } from '../ui/KeyCap';
import { useKeys } from '../ui/keys';
import { usePhrases } from './followUps';
import { useNote } from './useNote';

const PhrasesDialog = lazy(() =>
  import('./PhrasesDialog').then((it) => ({ default: it.PhrasesDialog })),
);

/** The key that leads here from anywhere on the desk. */
const KEY = '.';

/** Each has a digit as its key. */
const MOST_PHRASES = 9;

/** A note about a call, always open, saved as one types. */
export function NoteField({ call, byKey = false }: { call: string; byKey?: boolean }) {
  const { t } = useTranslation();
  const id = useId();
  const { note, failed, write } = useNote(call);
  const { phrases: own, office } = usePhrases();
  const phrases = [...new Set([...own, ...office])].slice(0, MOST_PHRASES);
  const [editing, setEditing] = useState(false);
  const text = useRef<HTMLTextAreaElement>(null);
  useKeys(
    useMemo(
      () => (byKey ? [{ key: KEY, run: () => document.getElementById(id)?.focus() }] : []),
      [byKey, id],
    ),
  );

  function insert(phrase: string) {
    const field = text.current;
    const at = field?.selectionEnd ?? note.text.length;
    const before = note.text.slice(0, at);
    const gap = before === '' || /\s$/.test(before) ? '' : ' ';
    write({ ...note, text: before + gap + phrase + note.text.slice(at) });
    field?.focus();
  }

  function pressed(event: KeyboardEvent) {
    // By where the key is: with Shift it types something else. Alt and a digit alone is a speed dial.
    const digit = /^Digit([1-9])$/.exec(event.code)?.[1];
    const phrase = event.altKey && event.shiftKey && digit ? phrases[Number(digit) - 1] : undefined;
    if (phrase) {
      event.preventDefault();
      insert(phrase);
    } else if (event.key === 'Escape') {
      (event.target as HTMLElement).blur();
    }
  }

  return (
    <div className="flex min-h-0 min-w-0 flex-col gap-1">
      <div className="flex items-center gap-2">
        <input
          type="text"
          aria-label={t('note.title')}
          placeholder={t('note.titleHint')}
          maxLength={200}
          value={note.title}
          onKeyDown={pressed}
          onChange={(event) => write({ ...note, title: event.target.value })}
          className="input input-sm bg-base-100 min-w-0 flex-1 font-semibold"
        />
        {byKey && <KeyCap name={KEY} />}
      </div>
      <textarea
        ref={text}
        id={id}
        rows={3}
        aria-label={t('note.text')}
        placeholder={t('note.textHint')}
        maxLength={10_000}
        value={note.text}
        onKeyDown={pressed}
        onChange={(event) => write({ ...note, text: event.target.value })}
        className="input bg-base-100 h-auto min-h-12 w-full flex-1 p-2"
      />
      <div className="flex flex-wrap items-center gap-1">
        {phrases.map((phrase, index) => (
          <button
            key={phrase}
            type="button"
            className="btn btn-xs btn-plain max-w-44"
            onClick={() => insert(phrase)}
          >
            <span className="truncate">{phrase}</span> <KeyCap name={`Alt ⇧ ${index + 1}`} />
          </button>
        ))}
        <button type="button" className="btn btn-xs btn-plain" onClick={() => setEditing(true)}>
          {t('note.edit')}
        </button>
        <span role="status" className="ml-auto text-sm">
          {failed && <strong className="text-error">{t('note.trying')}</strong>}
        </span>
      </div>
      <Suspense>{editing && <PhrasesDialog onClose={() => setEditing(false)} />}</Suspense>
    </div>
  );
}
