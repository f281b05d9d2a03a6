import { useQuery } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { get } from '../api/client';
import type { CallView, CallerFields as Fields } from '../api/types';
import { addWords } from '../words';
import words from './words.view.en.json';

addWords(words);

/**
 * What the line by which a call came has its members see of the caller. Its row is there from the
 * beginning: nothing moves when the answer comes.
 */
export function CallerFields({ call }: { call: CallView }) {
  return call.queued?.shows ? <Row call={call.id} /> : null;
}

function Row({ call }: { call: string }) {
  const { t } = useTranslation();
  const asked = useQuery({
    queryKey: ['caller-fields', call],
    queryFn: () => get<Fields>(`/api/calls/${call}/caller-fields`),
    retry: false,
  });
  const fields = asked.data?.fields ?? [];
  const trouble = asked.error ? 'FAILED' : asked.data?.trouble;
  return (
    <div className="min-h-5 text-sm leading-5 lg:h-5 lg:overflow-hidden">
      <dl aria-label={t('callerFields.title')} className="flex gap-x-4 max-lg:flex-wrap">
        {fields.map(({ field, name, value }) => (
          <div key={field ?? name} className="max-w-full min-w-16 truncate" title={value}>
            <dt className="quiet inline">{field ? t(`callerFields.${field}`) : name}</dt>{' '}
            <dd className="inline font-semibold">{value}</dd>
          </div>
        ))}
      </dl>
      {trouble && <p className="quiet">{t(`callerFields.trouble.${trouble}`)}</p>}
    </div>
  );
}
