import { useTranslation } from 'react-i18next';
import type { QueueView } from '../api/types';
import { useNow } from '../live/now';
import { clockTime } from '../words/time';
import { useFigures } from './figures';

const AWAY: QueueView['members'][number]['state'][] = ['RESTS', 'AWAY', 'OFF'];

/** How it stands now and how well it went today, in large figures. */
export function Headline({
  queue,
  today,
  large = false,
}: {
  queue: QueueView;
  today: string;
  large?: boolean;
}) {
  const { t } = useTranslation();
  const now = useNow();
  const totals = useFigures(queue.line, today, today).data?.totals;
  const part = queue.members.filter((each) => !AWAY.includes(each.state)).length;
  const figures: [string, string][] = [
    [String(queue.waiting.length), t('queue.figure.wait')],
    [
      queue.longestSince ? clockTime(now - Date.parse(queue.longestSince)) : '0:00',
      t('queue.figure.longest'),
    ],
    [String(queue.free), t('queue.figure.free', { count: part })],
  ];
  if (totals && totals.offered > 0) {
    figures.push([
      `${Math.round((100 * totals.inTime) / totals.offered)} %`,
      t('queue.figure.inTime'),
    ]);
    figures.push([
      t('queue.figure.of', { part: totals.givenUp, all: totals.offered }),
      totals.givenUp > 0
        ? t('queue.figure.gaveUpAfter', { time: clockTime(1000 * totals.patience) })
        : t('queue.figure.gaveUp'),
    ]);
  }
  return (
    <>
      <h2 className={large ? 'text-5xl font-bold' : 'text-lg font-bold'}>
        {queue.name}{' '}
        {!large && (
          <span className="quiet font-normal">
            {queue.extension}
            {' · '}
            {t('queue.goal', { seconds: queue.within, percent: queue.percent })}
          </span>
        )}
      </h2>
      <dl className={`mt-2 flex flex-wrap ${large ? 'gap-x-[4vw] gap-y-6' : 'gap-x-8 gap-y-2'}`}>
        {figures.map(([value, what]) => (
          <div key={what} className="flex flex-col-reverse">
            <dt className={`quiet ${large ? 'text-xl' : 'text-sm'}`}>{what}</dt>
            <dd className={`font-bold ${large ? 'text-[6vw] leading-tight' : 'text-2xl'}`}>
              {value}
            </dd>
          </div>
        ))}
      </dl>
    </>
  );
}
