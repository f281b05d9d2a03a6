import { useTranslation } from 'react-i18next';
import type { CallView } from '../api/types';
import { useNow } from '../live/now';
import { clockTime } from '../words/time';

/** That a call is recorded, for whom and since when; or that it was, until it was stopped. */
export function TapeSign({ tape }: { tape: NonNullable<CallView['tape']> }) {
  const { t } = useTranslation();
  return (
    <strong
      className={`inline-flex items-center gap-1.5 rounded px-1.5 py-0.5 whitespace-nowrap ${tape.on ? 'bg-error text-error-content' : 'bg-base-200'}`}
    >
      <span
        aria-hidden="true"
        className={`size-2.5 border-2 border-current ${tape.on ? 'bg-current' : ''}`}
      />
      {tape.on ? <Running tape={tape} /> : t('tape.off')}
    </strong>
  );
}

function Running({ tape }: { tape: NonNullable<CallView['tape']> }) {
  const { t } = useTranslation();
  const time = clockTime(useNow() - Date.parse(tape.since));
  return tape.by ? t('tape.onFor', { name: tape.by, time }) : t('tape.on', { time });
}
