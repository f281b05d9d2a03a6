import { useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { post, putFile, sentence } from '../api/client';
import type { PeopleFileView, PersonEntry } from '../api/types';
import { Dialog } from '../ui/Dialog';
import { Field } from './parts/Field';
import { useChange } from './office';

export const PEOPLE_FILE = '/api/office/people-file';

const COLUMNS = [
  'name',
  'signInName',
  'role',
  'extension',
  'directNumber',
  'team',
  'site',
  'mail',
  'mobile',
] as const satisfies (keyof PersonEntry)[];

/** People from a file: what it would mean is shown first, then all of it is taken over at once. */
export function PeopleFile({ onClose }: { onClose: () => void }) {
  const { t } = useTranslation();
  const [read, setRead] = useState<PeopleFileView>();
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState('');

  async function chosen(input: HTMLInputElement) {
    const file = input.files?.[0];
    input.value = ''; // so that the same one can be chosen again when it was mended
    if (!file) {
      return;
    }
    setError('');
    setBusy(true);
    try {
      setRead(await putFile<PeopleFileView>(PEOPLE_FILE, file, 'text/csv'));
    } catch (problem) {
      setRead(undefined);
      setError(sentence(problem));
    } finally {
      setBusy(false);
    }
  }

  return (
    <Dialog title={t('office.file.title')} onClose={onClose} wide>
      <p className="mb-3">{t('office.file.how')}</p>
      <label className={`btn focus-within:outline-2 ${read ? 'btn-plain' : 'btn-primary'}`}>
        {t('office.file.choose')}
        <input
          type="file"
          accept=".csv,.txt,.tsv,text/csv"
          className="sr-only"
          onChange={(event) => void chosen(event.currentTarget)}
        />
      </label>
      {busy && <p className="quiet mt-3">{t('loading')}</p>}
      <p role="alert" className="text-error mt-3 font-semibold empty:hidden">
        {error}
      </p>
      {read && <Preview key={read.id} read={read} />}
    </Dialog>
  );
}

function Preview({ read }: { read: PeopleFileView }) {
  const { t } = useTranslation();
  const [done, setDone] = useState(false);
  const { change, error, busy } = useChange(() => setDone(true));
  const { counts } = read;
  const wanted = counts.fresh + counts.changed;

  function take(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const password = new FormData(event.currentTarget).get('password');
    void change(() => post(`${PEOPLE_FILE}/${read.id}`, { password }));
  }

  if (done) {
    return (
      <p role="status" className="mt-4 font-semibold">
        {t('office.file.done', { count: wanted })}
      </p>
    );
  }
  return (
    <form onSubmit={take} className="mt-4">
      <ul className="mb-3 flex flex-wrap gap-x-6 gap-y-1 font-semibold">
        {(['fresh', 'changed', 'same', 'bad'] as const).map((kind) => (
          <li key={kind} className={kind === 'bad' && counts.bad > 0 ? 'text-error' : ''}>
            {t(`office.file.${kind}`, { count: counts[kind] })}
          </li>
        ))}
      </ul>
      {read.fresh.length > 0 && (
        <p className="quiet mb-3 line-clamp-3">
          {t('office.file.names', { names: read.fresh.join(', ') })}
        </p>
      )}
      {read.changed.length > 0 && (
        <List title={t('office.file.changes')} shown={read.changed.length} of={counts.changed}>
          {read.changed.map(({ before, after }) => (
            <li key={before.signInName} className="py-0.5">
              <span className="font-semibold">{before.name}</span>{' '}
              <Difference {...{ before, after }} />
            </li>
          ))}
        </List>
      )}
      {read.bad.length > 0 && (
        <List title={t('office.file.wrong')} shown={read.bad.length} of={counts.bad}>
          {read.bad.map(({ line, code, text, name }) => (
            <li key={line + code} className="py-0.5">
              <span className="font-semibold">{t('office.file.line', { line })}</span>{' '}
              {t(`problem.${code}`, { text, name })}
            </li>
          ))}
        </List>
      )}
      {counts.fresh > 0 && (
        <div className="max-w-sm">
          <Field
            label={t('office.file.password')}
            name="password"
            value=""
            longest={200}
            required
            hint={t('office.passwordHow')}
          />
        </div>
      )}
      <p role="alert" className="text-error min-h-6 font-semibold">
        {error}
      </p>
      {wanted === 0 ? (
        <p>{t('office.file.none')}</p>
      ) : (
        <button type="submit" className="btn btn-primary" aria-disabled={busy}>
          {t('office.file.take', { count: wanted })}
        </button>
      )}
    </form>
  );
}

interface ListProps {
  title: string;
  /** How many there are, of whom only the first are shown. */
  of: number;
  shown: number;
  children: React.ReactNode;
}

function List({ title, of, shown, children }: ListProps) {
  const { t } = useTranslation();
  return (
    <section aria-label={title} className="mb-4">
      <h3 className="mb-1 font-bold">{title}</h3>
      <ul className="max-h-52 overflow-y-auto text-sm wrap-anywhere">{children}</ul>
      {shown < of && <p className="quiet text-sm">{t('office.file.more')}</p>}
    </section>
  );
}

function Difference({ before, after }: { before: PersonEntry; after: PersonEntry }) {
  const { t } = useTranslation();
  return COLUMNS.filter((column) => before[column] !== after[column])
    .map((column) =>
      t('office.file.becomes', {
        what: t(`office.${column}`),
        before: before[column] || t('office.file.nothing'),
        after: after[column] || t('office.file.nothing'),
      }),
    )
    .join('; ');
}
