import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { get, post, put } from '../api/client';
import type { KeepingBody, KeepingView } from '../api/types';
import { FormFoot, Section } from './parts/Section';
import { useChange } from './office';

const KEPT = ['history', 'messages', 'notes', 'log'] as const;
const FEWEST_DAYS = 7;
const MOST_DAYS = 36_500;

type Typed = Record<(typeof KEPT)[number], string>;

/** How long things are kept, and what would go the next night. */
export function Keeping() {
  const view = useQuery({
    queryKey: ['office', 'keeping'],
    queryFn: () => get<KeepingView>('/api/office/keeping'),
  }).data;
  return view ? <KeepingForm key={JSON.stringify(view)} view={view} /> : null;
}

function KeepingForm({ view }: { view: KeepingView }) {
  const { t } = useTranslation();
  const [typed, setTyped] = useState<Typed>(() => {
    const days = (each: keyof Typed) => String(view.keeping[each] ?? '');
    return {
      history: days('history'),
      messages: days('messages'),
      notes: days('notes'),
      log: days('log'),
    };
  });
  const { change, error, busy } = useChange();
  const wanted = body(typed);
  const asked = JSON.stringify(wanted);
  const would = useQuery({
    queryKey: ['office', 'keeping', 'try', asked],
    queryFn: () => post<Record<string, number>>('/api/office/keeping/try', wanted),
    enabled: wanted !== undefined,
    placeholderData: (before) => before,
  }).data;

  function submit(event: FormEvent) {
    event.preventDefault();
    void change(() => put('/api/office/keeping', wanted));
  }

  return (
    <Section id="keeping" title={t('office.keeping.title')} about={t('office.keeping.about')}>
      <form onSubmit={submit}>
        <ul>
          {KEPT.map((each) => (
            <li
              key={each}
              className="border-base-300 flex flex-wrap items-center gap-x-4 gap-y-1 border-t py-1.5"
            >
              <label htmlFor={`kept-${each}`} className="min-w-64 flex-1">
                {t(`office.keeping.what.${each}`)}
              </label>
              <span className="flex items-center gap-2">
                <input
                  id={`kept-${each}`}
                  type="number"
                  min={FEWEST_DAYS}
                  max={MOST_DAYS}
                  value={typed[each]}
                  placeholder={t('office.keeping.noEnd')}
                  onChange={(event) => setTyped({ ...typed, [each]: event.target.value })}
                  className="input input-sm bg-base-100 w-36"
                />
                {t('office.keeping.days')}
              </span>
              <span className="quiet min-w-52 text-right">
                {wanted && wanted[each] !== undefined && would
                  ? t('office.keeping.would', { count: would[each.toUpperCase()] ?? 0 })
                  : t('office.keeping.stays')}
              </span>
            </li>
          ))}
          <li className="border-base-300 flex flex-wrap gap-x-4 border-t py-1.5">
            <span className="min-w-64 flex-1">{t('office.keeping.what.recordings')}</span>
            <span>{t('office.keeping.recordings', { count: view.recordings })}</span>
          </li>
        </ul>
        <FormFoot error={error} busy={busy} keep={t('office.keep')} />
      </form>
    </Section>
  );
}

/** Nothing as long as something typed cannot be meant. */
function body(typed: Typed): KeepingBody | undefined {
  const days: KeepingBody = {};
  for (const each of KEPT) {
    const count = Number(typed[each]);
    if (typed[each] !== '') {
      if (!Number.isInteger(count) || count < FEWEST_DAYS || count > MOST_DAYS) {
        return undefined;
      }
      days[each] = count;
    }
  }
  return days;
}
