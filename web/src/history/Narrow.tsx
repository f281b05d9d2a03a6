import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { get } from '../api/client';
import type { HistoryLine } from '../api/types';
import { useOutcomes } from '../followup/followUps';
import { useColleagues } from '../people/ColleagueSelect';
import { type Narrowed, NOTHING } from './entries';
import { DayField } from '../words/DayField';

interface Props {
  narrowed: Narrowed;
  onChange: (narrowed: Narrowed) => void;
}

/** Narrows the history down to a colleague, a line, an outcome, some days. */
export function Narrow({ narrowed, onChange }: Props) {
  const { t } = useTranslation();
  const outcomes = useOutcomes();
  const colleagues = useColleagues();
  const lines =
    useQuery({
      queryKey: ['history-lines'],
      queryFn: () => get<HistoryLine[]>('/api/history/lines'),
      staleTime: 60_000,
    }).data ?? [];
  const [shown, setShown] = useState(false);
  const set = Object.values(narrowed).some(Boolean);
  const put = (change: Partial<Narrowed>) => onChange({ ...narrowed, ...change });
  const choices: [keyof Narrowed, string, string, [string, string][]][] = [
    [
      'person',
      t('history.narrow.person'),
      t('history.narrow.anybody'),
      colleagues.map((each) => [String(each.id), each.name]),
    ],
    [
      'line',
      t('history.narrow.line'),
      t('history.narrow.anyLine'),
      lines.map((each) => [String(each.id), each.name]),
    ],
    [
      'outcome',
      t('history.narrow.outcome'),
      t('history.narrow.anyOutcome'),
      outcomes.map((each) => [each, each]),
    ],
  ];
  return (
    <>
      <button
        type="button"
        className="btn btn-sm btn-plain max-lg:hidden"
        aria-expanded={shown}
        onClick={() => setShown(!shown)}
      >
        {t('history.narrow.more')}
      </button>
      <div
        role="group"
        aria-label={t('history.narrow.title')}
        className={`flex flex-wrap items-center gap-2 lg:order-last lg:basis-full ${shown || set ? '' : 'lg:hidden'}`}
      >
        {choices.map(([name, label, any, options]) =>
          options.length === 0 ? null : (
            <select
              key={name}
              aria-label={label}
              className="select select-sm w-40"
              value={narrowed[name]}
              onChange={(event) => put({ [name]: event.target.value })}
            >
              <option value="">{any}</option>
              {options.map(([value, word]) => (
                <option key={value} value={value}>
                  {word}
                </option>
              ))}
            </select>
          ),
        )}
        {(['from', 'to'] as const).map((name) => (
          <label key={name} className="quiet flex items-center gap-1.5 text-sm">
            {t(`history.narrow.${name}`)}
            <DayField
              past
              day={narrowed[name]}
              onChange={(day) => put({ [name]: day })}
              look="input-sm w-36"
            />
          </label>
        ))}
        {narrowed.contact && <strong>{t('history.narrow.contact')}</strong>}
        {set && (
          <button type="button" className="btn btn-sm btn-plain" onClick={() => onChange(NOTHING)}>
            {t('history.narrow.all')}
          </button>
        )}
      </div>
    </>
  );
}
