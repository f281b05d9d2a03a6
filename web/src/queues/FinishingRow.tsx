import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { KeyCap } from '../ui/KeyCap';
import { useKeys } from '../ui/keys';
import { useNow } from '../live/now';
import { clockTime } from '../words/time';
import { finish, useQueues } from './queues';

const MORE = 30;

/** After a call for a queue: how long I am left alone to write it down. */
export function FinishingRow() {
  const { t } = useTranslation();
  const { finishing } = useQueues();
  const now = useNow();
  useKeys(
    useMemo(
      () => [{ key: '\\', run: () => finishing !== undefined && (void finish(), true) }],
      [finishing],
    ),
  );
  return finishing ? (
    <div role="group" aria-label={finishing.line} className="flex items-center gap-2">
      <span className="font-semibold">
        {t('queues.finishing', {
          line: finishing.line,
          time: clockTime(Date.parse(finishing.until) - now),
        })}
      </span>
      <button type="button" className="btn btn-sm btn-primary" onClick={() => void finish()}>
        {t('queues.done')} <KeyCap name="\" />
      </button>
      <button type="button" className="btn btn-sm btn-plain" onClick={() => void finish(MORE)}>
        {t('queues.longer')}
      </button>
    </div>
  ) : null;
}
