import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { FiguresView, QueueView } from '../api/types';
import { PrintKey } from '../ui/PrintKey';
import { DayField } from '../words/DayField';
import { clockTime, readersDate } from '../words/time';
import { HalfHours } from './HalfHours';
import { figuresFile, halfHour, useFigures } from './figures';

const A_WEEK = 7 * 86_400_000;

/** What a queue has done on some days: drawn by half hours, with the tables it comes from beneath. */
export function Days({ queue, today }: { queue: QueueView; today: string }) {
  const { t } = useTranslation();
  const [first, setFirst] = useState(today);
  const [last, setLast] = useState(today);
  const until = last < first ? first : last;
  const figures = useFigures(queue.line, first, until).data;
  const before = readersDate(Date.parse(`${first}T12:00:00Z`) - A_WEEK, {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    timeZone: 'UTC',
  });
  return (
    <section aria-label={t('queue.day')} data-paper className="sheet px-4 py-3 sm:px-5">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-2">
        <h2 className="font-bold">
          <span className="on-paper">{queue.name}, </span>
          {t('queue.day')}
        </h2>
        <fieldset className="ml-auto flex flex-wrap items-center gap-2">
          <legend className="sr-only">{t('queue.days')}</legend>
          <DayField
            label={t('queue.from')}
            day={first}
            required
            past
            onChange={setFirst}
            look="w-36"
          />
          {t('queue.to')}
          <DayField
            label={t('queue.to')}
            day={until}
            required
            past
            onChange={setLast}
            look="w-36"
          />
        </fieldset>
        <a className="btn btn-sm btn-plain" href={figuresFile(queue.line, first, until)} download>
          {t('queue.csv')}
        </a>
        <PrintKey />
      </div>
      {figures && figures.totals.offered + figures.before.length > 0 ? (
        <>
          <HalfHours figures={figures} />
          <p className="quiet mt-1 text-xs">
            {t('queue.legend')}
            {figures.before.length > 0 && ` · ${t('queue.before', { day: before })}`}
          </p>
          <Totals totals={figures.totals} />
          <Tables figures={figures} />
        </>
      ) : (
        <p className="quiet mt-3">{figures && t('queue.nothing')}</p>
      )}
    </section>
  );
}

const share = (percent?: number) => (percent === undefined ? '–' : `${percent} %`);

function Totals({ totals }: { totals: FiguresView['totals'] }) {
  const { t } = useTranslation();
  const seconds = (value: number) => clockTime(1000 * value);
  const all: [string, string | number][] = [
    [t('queue.totals.offered'), totals.offered],
    [t('queue.totals.answered'), totals.answered],
    [t('queue.figure.inTime'), totals.inTime],
    [t('queue.figure.gaveUp'), totals.givenUp],
    [t('queue.totals.sentOn'), totals.sentOn],
    [t('queue.totals.messages'), totals.messages],
    [t('queue.totals.failed'), totals.failed],
    [t('queue.totals.meanWait'), seconds(totals.meanWait)],
    [t('queue.totals.longest'), seconds(totals.longest)],
    [t('queue.totals.talk'), seconds(totals.talk)],
    [t('queue.totals.finishing'), seconds(totals.finishing)],
  ];
  if (totals.occupancy !== undefined) {
    all.push([t('queue.totals.occupancy'), share(totals.occupancy)]);
  }
  return (
    <dl className="mt-2 flex flex-wrap gap-x-5 gap-y-1">
      {all.map(([what, value]) => (
        <div key={what} className="flex gap-1.5">
          <dd className="font-semibold">{value}</dd>
          <dt className="quiet">{what}</dt>
        </div>
      ))}
    </dl>
  );
}

/** Behind the drawing, for whoever wants to read the figures or does not see it. */
function Tables({ figures }: { figures: FiguresView }) {
  const { t } = useTranslation();
  const seconds = (value: number) => clockTime(1000 * value);
  const head = (words: string[]) => (
    <tr>
      {words.map((word) => (
        <th key={word} scope="col" className="pr-4 text-left font-semibold">
          {word}
        </th>
      ))}
    </tr>
  );
  return (
    <details className="mt-2">
      <summary className="cursor-pointer font-semibold">{t('queue.table')}</summary>
      <div className="mt-2 flex flex-wrap gap-x-10 gap-y-4 overflow-x-auto">
        <table>
          <thead>
            {head([
              t('queue.half'),
              t('queue.inTime'),
              t('queue.later'),
              t('queue.givenUp'),
              t('queue.elsewhere'),
            ])}
          </thead>
          <tbody>
            {figures.halfHours.map((each) => (
              <tr key={each.slot}>
                <th scope="row" className="pr-4 text-left font-normal">
                  {halfHour(each.slot)}
                </th>
                <td>{each.inTime}</td>
                <td>{each.later}</td>
                <td>{each.givenUp}</td>
                <td>{each.elsewhere}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <table>
          <caption className="text-left font-semibold">{t('queue.perMember')}</caption>
          <thead>
            {head([
              t('queue.name'),
              t('queue.taken'),
              t('queue.talked'),
              t('queue.finished'),
              t('queue.present'),
              t('queue.occupancy'),
            ])}
          </thead>
          <tbody>
            {figures.members.map((each) => (
              <tr key={each.person}>
                <th scope="row" className="pr-4 text-left font-normal">
                  {each.name}
                </th>
                <td>{each.taken}</td>
                <td>{seconds(each.talked)}</td>
                <td>{seconds(each.finishing)}</td>
                <td>{seconds(each.present)}</td>
                <td>{share(each.occupancy)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}
