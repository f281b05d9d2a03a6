import { useTranslation } from 'react-i18next';
import type { Found } from '../api/types';
import { useNow } from '../live/now';
import { clockTime } from '../words/time';

/** How it stands at a queue, for whoever is about to send somebody there. */
export function QueueFigures({ queue }: { queue: Found['queue'] }) {
  const { t } = useTranslation();
  const now = useNow();
  const { waiting, free, longestSince, expected } = queue;
  return [
    waiting > 0 ? t('queues.waitCount', { count: waiting }) : t('queues.nobodyWaits'),
    longestSince && t('queues.longest', { time: clockTime(now - Date.parse(longestSince)) }),
    t('queues.free', { count: free }),
    expected !== undefined &&
      (expected === 0
        ? t('queues.atOnce')
        : t('queues.expected', { time: clockTime(1000 * expected) })),
  ]
    .filter(Boolean)
    .join(' · ');
}
