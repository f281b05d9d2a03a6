import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import type { OpeningBody } from '../api/types';
import { Dialog } from '../ui/Dialog';
import { HoursForm, usual } from './HoursForm';
import { keepOpening, opening, readHolidays } from './rules';
import { DayField } from '../words/DayField';

/** For administrators: when the office is open, its holidays, and whose number is shown when calls go outside. */
export function OpeningSheet({ onClose }: { onClose: () => void }) {
  const { t } = useTranslation();
  const { data, refetch } = useQuery({ ...opening, staleTime: 0, gcTime: 0 });
  const [read, setRead] = useState(0);
  return (
    <Dialog title={t('opening.title')} onClose={onClose} wide>
      {data && (
        <Form
          key={`${read} ${data.holidays.length}`}
          body={data}
          onClose={onClose}
          onRead={async (file) => {
            const { added } = await readHolidays(file);
            await refetch();
            setRead(added);
          }}
          read={read}
        />
      )}
    </Dialog>
  );
}

interface FormProps {
  body: OpeningBody;
  read: number;
  onRead: (file: File) => Promise<void>;
  onClose: () => void;
}

function Form({ body, read, onRead, onClose }: FormProps) {
  const { t } = useTranslation();
  const [now, setNow] = useState(body);
  const [error, setError] = useState('');
  const { hours, holidays } = now;

  const doing = (done: Promise<unknown>, then?: () => void) =>
    void done.then(then).catch((problem: unknown) => setError(sentence(problem)));

  function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    doing(keepOpening({ ...now, holidays: holidays.filter((each) => each.day) }), onClose);
  }

  return (
    <form className="flex flex-col gap-4" onSubmit={submit}>
      <section>
        <h3 className="mb-1 font-bold">{t('opening.hours')}</h3>
        <label className="mb-2 flex items-center gap-2">
          <input
            type="checkbox"
            className="toggle toggle-primary"
            checked={!hours}
            onChange={(event) =>
              setNow({ ...now, hours: event.target.checked ? undefined : usual() })
            }
          />
          {t('opening.never')}
        </label>
        {hours && <HoursForm hours={hours} onChange={(next) => setNow({ ...now, hours: next })} />}
      </section>
      <section>
        <h3 className="mb-1 font-bold">{t('opening.holidays')}</h3>
        <ul className="max-h-56 overflow-y-auto">
          {holidays.map((each, index) => (
            <li key={index} className="flex flex-wrap items-center gap-2 py-0.5">
              <DayField
                label={t('opening.day')}
                day={each.day}
                onChange={(day) => put(index, { ...each, day })}
                look="input-sm w-40"
              />
              <input
                type="text"
                aria-label={t('opening.name')}
                maxLength={120}
                className="input input-sm bg-base-100 min-w-40 flex-1"
                value={each.name}
                onChange={(event) => put(index, { ...each, name: event.target.value })}
              />
              <button
                type="button"
                className="btn btn-sm btn-plain"
                aria-label={t('opening.dropDay', { name: each.name || each.day })}
                onClick={() =>
                  setNow({ ...now, holidays: holidays.filter((_, at) => at !== index) })
                }
              >
                {t('rules.take')}
              </button>
            </li>
          ))}
        </ul>
        <div className="mt-2 flex flex-wrap items-center gap-2">
          <button
            type="button"
            className="btn btn-sm btn-plain"
            onClick={() => setNow({ ...now, holidays: [...holidays, { day: '', name: '' }] })}
          >
            {t('opening.addDay')}
          </button>
          <label className="btn btn-sm btn-plain focus-within:outline-2">
            {t('opening.read')}
            <input
              type="file"
              aria-label={t('opening.readOf')}
              accept=".ics,text/calendar"
              className="sr-only"
              onChange={(event) => {
                const file = event.target.files?.[0];
                if (file) {
                  doing(onRead(file));
                }
              }}
            />
          </label>
          <span role="status">{read > 0 && t('opening.readIn', { count: read })}</span>
        </div>
      </section>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          className="toggle toggle-primary"
          checked={now.showsCaller}
          onChange={(event) => setNow({ ...now, showsCaller: event.target.checked })}
        />
        {t('opening.shows')}
      </label>
      <p role="alert" className="text-error font-semibold">
        {error}
      </p>
      <button type="submit" className="btn btn-primary self-start">
        {t('opening.keep')}
      </button>
    </form>
  );

  function put(index: number, day: OpeningBody['holidays'][number]) {
    setNow({ ...now, holidays: holidays.map((each, at) => (at === index ? day : each)) });
  }
}
