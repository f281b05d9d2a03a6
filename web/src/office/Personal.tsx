import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { del, get, sentence } from '../api/client';
import type { ContactsPage, PersonalView } from '../api/types';
import { SearchField } from '../ui/SearchField';
import { dayAndTime } from '../words/time';
import { Section } from './parts/Section';
import { useChange } from './office';

const PERSONAL = '/api/office/personal';
const MOST_CONTACTS = 6;
const LETTER = /\p{L}/u;

/** Everything that is known of somebody: in one file, or erased. */
export function Personal() {
  const { t } = useTranslation();
  const [text, setText] = useState('');
  const [whom, setWhom] = useState('');
  const former = useQuery({
    queryKey: ['office', 'personal', 'former'],
    queryFn: () => get<{ id: number; name: string }[]>(`${PERSONAL}/former`),
  }).data;
  const isName = LETTER.test(text);
  return (
    <Section id="personal" title={t('office.personal.title')} about={t('office.personal.about')}>
      <form
        className="flex flex-wrap items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (!isName && text.trim()) {
            setWhom(query('number', text.trim()));
          }
        }}
      >
        <SearchField
          label={t('office.personal.whom')}
          text={text}
          onType={(typed) => {
            setText(typed);
            setWhom('');
          }}
          look="w-72 max-w-full"
        />
        {!isName && (
          <button type="submit" className="btn btn-sm btn-plain">
            {t('office.personal.look')}
          </button>
        )}
        {former && former.length > 0 && (
          <select
            aria-label={t('office.personal.former')}
            value=""
            onChange={(event) => setWhom(query('person', event.target.value))}
            className="select select-sm bg-base-100 w-56"
          >
            <option value="">{t('office.personal.former')}</option>
            {former.map((each) => (
              <option key={each.id} value={each.id}>
                {each.name}
              </option>
            ))}
          </select>
        )}
      </form>
      {isName && !whom && (
        <ContactsOf text={text.trim()} onChoose={(id) => setWhom(query('contact', String(id)))} />
      )}
      {whom && <Known key={whom} whom={whom} />}
    </Section>
  );
}

const query = (name: string, value: string) => `?${new URLSearchParams({ [name]: value })}`;

interface ContactsOfProps {
  text: string;
  onChoose: (contact: number) => void;
}

function ContactsOf({ text, onChoose }: ContactsOfProps) {
  const { t } = useTranslation();
  const found = useQuery({
    queryKey: ['contacts', 'personal', text],
    queryFn: () => get<ContactsPage>(`/api/contacts?${new URLSearchParams({ text })}`),
    placeholderData: (before) => before,
  }).data;
  return (
    <ul className="mt-2">
      {found?.contacts.slice(0, MOST_CONTACTS).map((each) => (
        <li key={each.id}>
          <button
            type="button"
            className="hover:bg-base-200 w-full rounded px-2 py-1 text-left"
            onClick={() => onChoose(each.id)}
          >
            <span className="font-semibold">{each.title}</span>{' '}
            <span className="quiet">{each.subtitle}</span>{' '}
            {each.numbers.map((number) => number.shown).join(', ')}
          </button>
        </li>
      ))}
      {found?.contacts.length === 0 && <li className="quiet">{t('office.personal.noContact')}</li>}
    </ul>
  );
}

/** What is known of them; and when it is erased, the protocol of that. */
function Known({ whom }: { whom: string }) {
  const { t } = useTranslation();
  const [sure, setSure] = useState(false);
  const [erased, setErased] = useState<PersonalView>();
  const { change, error, busy } = useChange();
  const { data, error: refused } = useQuery({
    queryKey: ['office', 'personal', whom],
    queryFn: () => get<PersonalView>(PERSONAL + whom),
    retry: false,
    enabled: !erased,
    staleTime: 0,
  });
  if (refused && !erased) {
    return (
      <p role="alert" className="text-error mt-2 font-semibold">
        {sentence(refused)}
      </p>
    );
  }
  const view = erased ?? data;
  if (!view) {
    return null;
  }
  const nothing = Object.keys(view.known).length === 0;
  return (
    <div className="mt-3" role="group" aria-label={view.shown}>
      <h3 className="font-semibold">
        {erased
          ? t('office.personal.erased', { name: view.shown, at: dayAndTime(view.at), by: view.by })
          : view.shown}
      </h3>
      <Counts counts={view.known} />
      {nothing && <p>{t('office.personal.nothing')}</p>}
      {Object.keys(view.stays).length > 0 && (
        <>
          <p className="mt-2">{t('office.personal.stays')}</p>
          <Counts counts={view.stays} />
        </>
      )}
      <p role="alert" className="text-error min-h-6 font-semibold">
        {error}
      </p>
      {erased ? (
        <>
          <p className="quiet mb-2">{t('office.personal.backups')}</p>
          <a
            className="btn btn-sm btn-plain"
            download="erased.json"
            href={`data:application/json,${encodeURIComponent(JSON.stringify(erased, null, 2))}`}
          >
            {t('office.personal.protocol')}
          </a>
        </>
      ) : (
        !nothing && (
          <p className="flex flex-wrap items-center gap-2">
            <a className="btn btn-sm btn-plain" href={`${PERSONAL}/file${whom}`} download>
              {t('office.personal.file')}
            </a>
            {sure ? (
              <button
                type="button"
                className="btn btn-error btn-sm"
                aria-disabled={busy}
                onClick={() =>
                  void change(async () => setErased(await del<PersonalView>(PERSONAL + whom)))
                }
              >
                {t('office.personal.eraseNow')}
              </button>
            ) : (
              <button type="button" className="btn btn-sm btn-plain" onClick={() => setSure(true)}>
                {t('office.personal.erase')}
              </button>
            )}
          </p>
        )
      )}
    </div>
  );
}

function Counts({ counts }: { counts: Record<string, number> }) {
  const { t } = useTranslation();
  return (
    <ul className="sm:columns-2 sm:gap-8">
      {Object.entries(counts).map(([name, count]) => (
        <li
          key={name}
          className="border-base-300 flex break-inside-avoid justify-between gap-4 border-t py-0.5"
        >
          <span>{t(`office.personal.parts.${name}`)}</span>
          <span>{count}</span>
        </li>
      ))}
    </ul>
  );
}
