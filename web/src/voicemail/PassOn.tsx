import { useState, type FormEvent, type KeyboardEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import { KeyCap } from '../ui/KeyCap';
import { notify } from '../notices/store';
import { ColleagueSelect, useColleagues } from '../people/ColleagueSelect';
import { passOn } from './messages';

/** Puts a copy of a message into a colleague's mailbox, with a word about it. */
export function PassOn({ id, onDone }: { id: number; onDone: () => void }) {
  const { t } = useTranslation();
  const people = useColleagues();
  const [error, setError] = useState('');

  async function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const person = people.find((each) => each.id === Number(data.get('person')));
    if (!person) {
      setError(t('voicemail.passToWhom'));
      return;
    }
    try {
      await passOn(id, person.id, String(data.get('note')));
      notify('messagePassed', { name: person.name });
      onDone();
    } catch (problem) {
      setError(sentence(problem));
    }
  }

  const escape = (event: KeyboardEvent) => event.key === 'Escape' && onDone();
  return (
    <form
      aria-label={t('voicemail.pass')}
      className="border-base-300 mt-3 flex flex-wrap items-end gap-3 border-t pt-3"
      onSubmit={(event) => void submit(event)}
    >
      <ColleagueSelect label={t('voicemail.passTo')} onKeyDown={escape} />
      <label className="min-w-52 flex-1">
        {t('voicemail.passNote')}
        <input
          name="note"
          maxLength={500}
          onKeyDown={escape}
          className="input bg-base-100 mt-1 w-full"
        />
      </label>
      <button type="submit" className="btn btn-primary">
        {t('voicemail.passNow')} <KeyCap name="Enter" />
      </button>
      <button type="button" className="btn btn-plain" onClick={onDone}>
        {t('target.cancel')} <KeyCap name="Esc" />
      </button>
      <div role="alert" className="w-full">
        {error && <p className="text-error font-semibold">{error}</p>}
      </div>
    </form>
  );
}
