import { useTranslation } from 'react-i18next';
import type { QueueView } from '../api/types';
import { aboutParty, nameOf } from '../calls/order';
import { useNow } from '../live/now';
import { clockTime } from '../words/time';
import { moveTo, takeOutOfTurn } from './queues';

interface Props {
  queue: QueueView;
  others: QueueView[];
}

/** The axis shows at least so much more than the longest wait. */
const ROOM = 1.25;
const LEAST_MS = 60_000;

/** Whoever waits, each a hollow cord on one axis of time that crosses a line where the target is passed. */
export function Waiting({ queue, others }: Props) {
  const { t } = useTranslation();
  const now = useNow();
  const waits = queue.waiting.map((each) => now - Date.parse(each.since));
  const axis = Math.max(LEAST_MS, 2000 * queue.within, ROOM * Math.max(0, ...waits));
  const target = (100_000 * queue.within) / axis;
  return (
    <>
      <h3 className="mt-4 mb-1 font-semibold">{t('queue.now')}</h3>
      {queue.waiting.length === 0 && <p className="quiet">{t('queue.nobody')}</p>}
      <ol className="flex flex-col gap-1.5">
        {queue.waiting.map((each, index) => (
          <li key={each.call} className="flex items-center gap-x-3 max-sm:flex-wrap">
            <p className="w-48 min-w-0 shrink-0 leading-tight max-sm:w-full">
              <span className="block truncate">{nameOf(each.who, t('party.withheld'))}</span>
              <span className="quiet block truncate text-xs">
                {[
                  each.kept && t('queue.kept'),
                  each.why && t(`how.first.${each.why}`),
                  ...aboutParty(each.who, t),
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </span>
            </p>
            <div className="relative min-w-0 flex-1 py-2">
              <div
                className={`cord-stretch ${each.rings ? 'cord-RINGING' : 'cord-WAITING'} ${each.kept ? 'cord-kept' : ''}`}
                style={{ width: `${Math.max(1, (100 * (waits[index] ?? 0)) / axis)}%` }}
              />
              <div
                aria-hidden="true"
                className="border-error absolute inset-y-0 border-l-2 border-dashed"
                style={{ left: `${target}%` }}
              />
            </div>
            <span className="w-24 shrink-0 text-right font-semibold">
              {clockTime(waits[index] ?? 0)}
              {each.rings && <span className="quiet font-normal"> {t('queue.rings')}</span>}
            </span>
            {queue.leads && <OutOfTurn queue={queue} others={others} waiter={each} />}
          </li>
        ))}
      </ol>
      {queue.waiting.length > 0 && (
        <p className="quiet mt-0.5 text-xs">{t('queue.targetLine', { seconds: queue.within })}</p>
      )}
    </>
  );
}

/** What whoever leads the queue does with a caller. */
function OutOfTurn({ queue, others, waiter }: Props & { waiter: QueueView['waiting'][number] }) {
  const { t } = useTranslation();
  const name = nameOf(waiter.who, t('party.withheld'));
  const elsewhere = others.filter((each) => each.line !== queue.line);
  return (
    <span className="flex shrink-0 gap-1.5">
      <button
        type="button"
        className="btn btn-sm btn-plain"
        aria-label={t('queue.takeWho', { name })}
        onClick={() => void takeOutOfTurn(queue.line, waiter.call)}
      >
        {t('queue.take')}
      </button>
      {elsewhere.length > 0 && (
        <select
          className="select select-sm w-28"
          aria-label={t('queue.moveWho', { name })}
          value=""
          onChange={(event) => void moveTo(queue.line, waiter.call, Number(event.target.value))}
        >
          <option value="">{t('queue.move')}</option>
          {elsewhere.map((each) => (
            <option key={each.line} value={each.line}>
              {each.name}
            </option>
          ))}
        </select>
      )}
    </span>
  );
}
