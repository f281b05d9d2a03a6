import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { QueueView } from '../api/types';
import { clockTime } from '../words/time';
import { halfHour, useNeeded, weekday } from './figures';

/** From the office's own traffic: how many people and lines a half hour of the week needs. */
export function Needed({ queue }: { queue: QueueView }) {
  const { t } = useTranslation();
  const [at, setAt] = useState<{ weekday: number; slot: number }>();
  const needed = useNeeded(queue.line, at);
  const when = (day: number, slot: number) =>
    `${weekday(day)} ${halfHour(slot)}–${halfHour(slot + 1)}`;
  return (
    <section aria-label={t('queue.needed')} className="sheet px-4 py-3">
      <h2 className="font-bold">{t('queue.needed')}</h2>
      {needed ? (
        <>
          <select
            className="select select-sm mt-1 w-full"
            aria-label={t('queue.weekday')}
            value={`${needed.weekday}-${needed.slot}`}
            onChange={(event) => {
              const [day, slot] = event.target.value.split('-').map(Number);
              setAt({ weekday: day ?? 1, slot: slot ?? 0 });
            }}
          >
            {needed.times.map((each) => (
              <option key={`${each.weekday}-${each.slot}`} value={`${each.weekday}-${each.slot}`}>
                {when(each.weekday, each.slot)}
              </option>
            ))}
          </select>
          <p className="quiet mt-1.5">
            {t('queue.neededFrom', {
              when: when(needed.weekday, needed.slot),
              weeks: needed.weeks,
              calls: Math.round(10 * needed.calls) / 10,
              time: clockTime(1000 * needed.handling),
            })}
          </p>
          <ul className="mt-1.5">
            {needed.with.map((each) => (
              <li
                key={each.people}
                className={`flex justify-between gap-2 py-0.5 ${each.people === needed.needed ? 'font-bold' : ''}`}
              >
                <span>{t('queue.with', { count: each.people })}</span>
                <span className={each.people === needed.needed ? '' : 'quiet'}>
                  {each.meanWait === undefined || each.meanWait === null
                    ? t('queue.withEndless')
                    : t('queue.withSays', {
                        percent: each.percent,
                        wait: clockTime(1000 * each.meanWait),
                      })}
                </span>
              </li>
            ))}
          </ul>
          <p className="quiet mt-1.5 text-sm">
            {[
              needed.impatient && t('queue.patience', { count: needed.impatient }),
              t('queue.lines', { count: needed.lines }),
            ]
              .filter(Boolean)
              .join(' · ')}
          </p>
        </>
      ) : (
        <p className="quiet mt-1">{t('queue.neededNone')}</p>
      )}
    </section>
  );
}
