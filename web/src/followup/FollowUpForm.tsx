import { useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import type { FollowUpBody, FollowUpView } from '../api/types';
import { useNow } from '../live/now';
import { usePeople } from '../people/store';
import { useMe } from '../session/session';
import { dayOf, minuteOf } from '../words/time';
import { DayField } from '../words/DayField';
import { TimeField } from '../words/MomentField';

interface Props {
  /** The call in which it was promised. */
  call?: string;
  /** What a new one begins with. */
  begin?: string;
  /** What is to be changed; a new one when there is none. */
  followUp?: FollowUpView;
  onKeep: (body: FollowUpBody) => Promise<unknown>;
  onDone: () => void;
}

const DAY_MS = 86_400_000;
/** When the day begins for what is promised for tomorrow. */
const MORNING = '09:00';

/** What is to be done, when and by whom, in one line. */
export function FollowUpForm({ call, begin, followUp, onKeep, onDone }: Props) {
  const { t } = useTranslation();
  const me = useMe();
  const now = useNow();
  const people = usePeople((store) => store.people);
  const [error, setError] = useState('');

  async function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const text = (name: string) => String(data.get(name) ?? '');
    try {
      await onKeep({
        call,
        what: text('what'),
        due: `${text('day')}T${text('time')}`,
        assignee: Number(text('assignee')),
      });
      onDone();
    } catch (problem) {
      setError(sentence(problem));
    }
  }

  return (
    <form className="mt-2 flex flex-wrap items-end gap-2" onSubmit={(event) => void submit(event)}>
      <label className="min-w-52 flex-1 text-sm">
        {t('followUp.what')}
        <input
          type="text"
          name="what"
          // eslint-disable-next-line jsx-a11y/no-autofocus -- it is what was just asked for
          autoFocus
          maxLength={400}
          required
          defaultValue={followUp?.what ?? begin}
          className="input input-sm bg-base-100 block w-full"
        />
      </label>
      <label className="flex flex-col text-sm">
        {t('followUp.day')}
        <DayField
          name="day"
          required
          day={dayOf(followUp?.due ?? now + DAY_MS)}
          look="input-sm w-36"
        />
      </label>
      <label className="flex flex-col text-sm">
        {t('followUp.time')}
        <TimeField
          name="time"
          required
          time={followUp ? minuteOf(followUp.due) : MORNING}
          look="input-sm w-28"
        />
      </label>
      <label className="text-sm">
        {t('followUp.assignee')}
        <select
          name="assignee"
          defaultValue={followUp?.assignee ?? me.id}
          className="select select-sm bg-base-100 flex w-44"
        >
          {people.map((person) => (
            <option key={person.id} value={person.id}>
              {person.id === me.id ? t('followUp.me', { name: person.name }) : person.name}
            </option>
          ))}
        </select>
      </label>
      <button type="submit" className="btn btn-sm btn-primary">
        {t('followUp.keep')}
      </button>
      <button type="button" className="btn btn-sm btn-plain" onClick={onDone}>
        {t('followUp.cancel')}
      </button>
      <p role="alert" className="text-error w-full font-semibold empty:hidden">
        {error}
      </p>
    </form>
  );
}
