import { useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import { KeyCap } from '../ui/KeyCap';
import { useNow } from '../live/now';
import { notify } from '../notices/store';
import { ColleagueSelect, useColleagues } from '../people/ColleagueSelect';
import { handOn } from './recordings';

const DAY_MS = 86_400_000;
const DAYS = [1, 7, 30] as const;

/** Lets a colleague hear a recording for a time. */
export function HandOn({ id, onDone }: { id: number; onDone: () => void }) {
  const { t } = useTranslation();
  const now = useNow();
  const people = useColleagues();
  const [error, setError] = useState('');

  async function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const person = people.find((each) => each.id === Number(data.get('person')));
    if (!person) {
      setError(t('recording.toWhom'));
      return;
    }
    try {
      const until = new Date(now + Number(data.get('days')) * DAY_MS).toISOString();
      await handOn(id, person.id, until);
      notify('recordingHanded', { name: person.name });
      onDone();
    } catch (problem) {
      setError(sentence(problem));
    }
  }

  return (
    <form
      aria-label={t('recording.hand')}
      className="border-base-300 mt-3 flex flex-wrap items-end gap-3 border-t pt-3"
      onSubmit={(event) => void submit(event)}
    >
      <ColleagueSelect label={t('recording.to')} />
      <label>
        {t('recording.forDays')}
        <select name="days" defaultValue="7" className="select bg-base-100 mt-1 w-full">
          {DAYS.map((days) => (
            <option key={days} value={days}>
              {t('recording.days', { count: days })}
            </option>
          ))}
        </select>
      </label>
      <button type="submit" className="btn btn-primary">
        {t('recording.handNow')} <KeyCap name="Enter" />
      </button>
      <button type="button" className="btn btn-plain" onClick={onDone}>
        {t('target.cancel')}
      </button>
      <div role="alert" className="w-full">
        {error && <p className="text-error font-semibold">{error}</p>}
      </div>
    </form>
  );
}
