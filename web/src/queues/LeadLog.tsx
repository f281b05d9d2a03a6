import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { get, sentence } from '../api/client';
import type { LedView, QueueView } from '../api/types';
import { useNow } from '../live/now';
import { useTyped } from '../live/useTyped';
import { SearchField } from '../ui/SearchField';
import { shortMoment } from '../words/time';

/** What those who lead the queue have decided for others, latest first; asked for when it is opened. */
export function LeadLog({ queue }: { queue: QueueView }) {
  const { t } = useTranslation();
  const [open, setOpen] = useState(false);
  return (
    <details className="sheet px-4 py-3" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="cursor-pointer font-bold">{t('queue.log')}</summary>
      {open && <Entries line={queue.line} />}
    </details>
  );
}

function Entries({ line }: { line: number }) {
  const { t } = useTranslation();
  const now = useNow();
  const [text, asFor, setText] = useTyped('');
  const asked = useQuery({
    queryKey: ['queues', 'log', line, asFor],
    queryFn: () => get<LedView[]>(`/api/queues/${line}/log?text=${encodeURIComponent(asFor)}`),
    placeholderData: keepPreviousData,
  });
  const withheld = t('party.withheld');
  return (
    <>
      <SearchField label={t('queue.logFind')} text={text} onType={setText} look="mt-2 w-72" />
      <ul className="mt-1 max-h-80 overflow-y-auto text-sm">
        {asked.data?.map((each) => (
          <li key={each.at} className="py-0.5">
            <span className="quiet">{shortMoment(each.at, now)}</span>{' '}
            {t(`queue.led.${each.what}`, { ...each, caller: each.caller || withheld })}
            {each.reason && <span className="quiet"> · {each.reason}</span>}
          </li>
        ))}
      </ul>
      {asked.data?.length === 0 && (
        <p className="quiet">{t(asFor ? 'queue.logNothing' : 'queue.logNone')}</p>
      )}
      <p role="alert" className="text-error font-semibold">
        {asked.error && sentence(asked.error)}
      </p>
    </>
  );
}
