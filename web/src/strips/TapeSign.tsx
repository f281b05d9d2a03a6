import { useTranslation } from 'react-i18next';
import type { CallView } from '../api/types';
import { useNow } from '../live/now';
import { clockTime } from '../words/time';
import { recordedFor } from './recordedFor';

/** In these nothing of either side is recorded. */
const WAITS: CallView['phase'][] = ['HELD', 'WAITING', 'UNATTENDED'];

/** That a call is recorded, for whom and how long; or that it was, until it was stopped. */
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
        {runs ? <Running call={call} by={tape.by} /> : t(tape.on ? 'tape.waits' : 'tape.off')}
      </strong>
    </p>
  );
}

function Running({ call, by }: { call: CallView; by?: string }) {
  const { t } = useTranslation();
  const time = clockTime(recordedFor(call, useNow()));
  return by ? t('tape.onFor', { name: by, time }) : t('tape.on', { time });
}
