import { useTranslation } from 'react-i18next';
import type { CallView } from '../api/types';
import { useNow } from '../live/now';
import { clockTime } from '../words/time';

/** In these nothing of either side is recorded. */
const WAITS: CallView['phase'][] = ['HELD', 'WAITING', 'UNATTENDED'];

/** That a call is recorded, for whom and since when; or that it was, until it was stopped. */
export function TapeSign({ call }: { call: CallView }) {
  const { t } = useTranslation();
  const { tape, phase } = call;
  if (!tape) {
    return null;
  }
  const runs = tape.on && !WAITS.includes(phase);
  return (
    <p className="shrink-0 text-sm">
      <strong
        className={`inline-flex items-center gap-1.5 rounded px-1.5 py-0.5 whitespace-nowrap ${runs ? 'bg-error text-error-content' : 'bg-base-200'}`}
      >
        <span
          aria-hidden="true"
          className={`size-2.5 border-2 border-current ${runs ? 'bg-current' : ''}`}
        />
        {runs ? <Running tape={tape} /> : t(tape.on ? 'tape.waits' : 'tape.off')}
      </strong>
    </p>
  );
}

function Running({ tape }: { tape: NonNullable<CallView['tape']> }) {
  const { t } = useTranslation();
  const time = clockTime(useNow() - Date.parse(tape.since));
  return tape.by ? t('tape.onFor', { name: tape.by, time }) : t('tape.on', { time });
}
