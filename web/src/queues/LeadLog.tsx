import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { get, sentence } from '../api/client';
import type { LedView, QueueView } from '../api/types';
import { useNow } from '../live/now';
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
  const asked = useQuery({
    queryKey: ['queues', 'log', line],
    queryFn: () => get<LedView[]>(`/api/queues/${line}/log`),
  });
  const withheld = t('party.withheld');
  return (
    <>
      <ul className="mt-1 max-h-80 overflow-y-auto text-sm">
        {asked.data?.map((each) => (
          <li key={each.at} className="py-0.5">
            <span className="quiet">{shortMoment(each.at, now)}</span>{' '}
            {t(`queue.led.${each.what}`, { ...each, caller: each.caller || withheld })}
            {each.reason && <span className="quiet"> · {each.reason}</span>}
          </li>
        ))}
      </ul>
      {asked.data?.length === 0 && <p className="quiet">{t('queue.logNone')}</p>}
      <p role="alert" className="text-error font-semibold">
        {asked.error && sentence(asked.error)}
      </p>
    </>
  );
}
