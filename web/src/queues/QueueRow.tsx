import { useTranslation } from 'react-i18next';
import type { QueueView } from '../api/types';
import { QueueFigures } from '../dial/QueueFigures';
import { useQueues } from './queues';

/** My queues, each in a line: who waits, how long, who is free. */
export function QueueRow() {
  const { t } = useTranslation();
  const { queues } = useQueues();
  return queues.length === 0 ? null : (
    <section aria-label={t('queues.mine')} className="sheet shrink-0 px-3 py-1.5">
      <ul>
        {queues.map((queue) => (
          <li key={queue.line} className="flex items-baseline gap-2 py-0.5">
            <span className="min-w-0 flex-1 truncate font-semibold">{queue.name}</span>
            <span className={`text-sm ${isLate(queue) ? 'font-bold' : 'quiet'}`}>
              <QueueFigures
                queue={{
                  waiting: queue.waiting.length,
                  free: queue.free,
                  longestSince: queue.longestSince,
                }}
              />
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function isLate({ waiting }: QueueView) {
  return waiting.length > 0;
}
