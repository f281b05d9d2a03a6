import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { PeopleRegister } from '../api/types';
import { SearchField } from '../ui/SearchField';
import { PEOPLE_FILE, PeopleFile } from './PeopleFile';
import { PersonForm } from './PersonForm';
import { Section } from './parts/Section';
import { usePeopleRegister } from './office';

const PAGE = 100;
const COLUMNS = ['name', 'extension', 'directNumber', 'team', 'site', 'role'] as const;

/** Everybody of the office; a row opens where it stands. */
export function People() {
  const { t } = useTranslation();
  const [text, setText] = useState('');
  const [from, setFrom] = useState(0);
  const [open, setOpen] = useState<number | 'new'>();
  const [file, setFile] = useState(false);
  const register = usePeopleRegister(text.trim(), from);
  const close = () => setOpen(undefined);
  return (
    <Section
      id="people"
      title={t('office.people')}
      about={t('office.peopleAbout')}
      keys={
        <>
          <SearchField
            label={t('office.find')}
            text={text}
            onType={(typed) => {
              setText(typed);
              setFrom(0);
            }}
            look="w-52"
          />
          <button type="button" className="btn btn-sm btn-plain" onClick={() => setOpen('new')}>
            {t('office.addPerson')}
          </button>
          <button type="button" className="btn btn-sm btn-plain" onClick={() => setFile(true)}>
            {t('office.file.open')}
          </button>
          <a className="btn btn-sm btn-plain" href={PEOPLE_FILE} download>
            {t('office.file.save')}
          </a>
        </>
      }
    >
      {file && <PeopleFile onClose={() => setFile(false)} />}
      {open === 'new' && <PersonForm onClose={close} />}
      <div className="overflow-x-auto">
        <table className="w-full text-left">
          <thead>
            <tr className="quiet text-sm">
              {COLUMNS.map((each) => (
                <th key={each} scope="col" className="pr-3 font-normal max-sm:nth-[n+3]:hidden">
                  {t(`office.${each}`)}
                </th>
              ))}
              <th>
                <span className="sr-only">{t('office.change')}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {register?.people.map((row) =>
              open === row.id ? (
                <tr key={row.id}>
                  <td colSpan={COLUMNS.length + 1}>
                    <PersonForm row={row} onClose={close} />
                  </td>
                </tr>
              ) : (
                <Row key={row.id} row={row} onOpen={() => setOpen(row.id)} />
              ),
            )}
          </tbody>
        </table>
      </div>
      {register?.count === 0 && <p className="quiet mt-2">{t('office.nobodyFits')}</p>}
      {register && register.count > PAGE && (
        <p className="mt-2 flex items-center gap-2">
          <button
            type="button"
            className="btn btn-sm btn-plain"
            aria-disabled={from === 0}
            onClick={() => setFrom(Math.max(0, from - PAGE))}
          >
            {t('office.before')}
          </button>
          {t('office.part', {
            first: from + 1,
            last: Math.min(from + PAGE, register.count),
            count: register.count,
          })}
          <button
            type="button"
            className="btn btn-sm btn-plain"
            aria-disabled={from + PAGE >= register.count}
            onClick={() => from + PAGE < register.count && setFrom(from + PAGE)}
          >
            {t('office.after')}
          </button>
        </p>
      )}
    </Section>
  );
}

function Row({ row, onOpen }: { row: PeopleRegister['people'][number]; onOpen: () => void }) {
  const { t } = useTranslation();
  const { person } = row;
  const cells = [
    person.name,
    person.extension,
    person.directNumber,
    person.team,
    person.site,
    t(`office.roles.${person.role}`),
  ];
  return (
    <tr className="border-base-300 border-t">
      {cells.map((cell, index) => (
        <td
          key={COLUMNS[index]}
          className={`py-1 pr-3 max-sm:nth-[n+3]:hidden ${index === 0 ? 'font-semibold break-words' : ''}`}
        >
          {cell}
        </td>
      ))}
      <td className="py-1 text-right">
        <button
          type="button"
          className="btn btn-sm btn-plain"
          aria-label={t('office.changeWho', { name: person.name })}
          onClick={onOpen}
        >
          {t('office.change')}
        </button>
      </td>
    </tr>
  );
}
