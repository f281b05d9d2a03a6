import { IconArrowDownLeft, IconArrowUpRight, IconChevronDown } from '@tabler/icons-react';
import { Suspense, lazy, useId, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'wouter';
import type { HistoryEntry } from '../api/types';
import { aboutParty, nameOf } from '../calls/order';
import { CardAndKey } from '../contacts/CardAndKey';
import { Cord } from '../cord/Cord';
import { PrintKey } from '../ui/PrintKey';
import { useSwipe } from '../ui/useSwipe';
import { NoteField } from '../followup/NoteField';
import { Outcome } from '../followup/Outcome';
import { CallPartyButton } from '../people/CallPartyButton';
import { clockTime, dayAndTime, timeOfDay } from '../words/time';
import { alsoIn, copyNumber, remove } from './entries';
import { outcome } from './outcome';

/** Only who opens a recorded call needs a player. */
const OfCall = lazy(() => import('../recordings/OfCall').then((it) => ({ default: it.OfCall })));

interface Props {
  entry: HistoryEntry;
  chosen: boolean;
  onChoose: (chosen: boolean) => void;
}

/** One call of the history; opened, it tells its whole course. */
export function Entry({ entry, chosen, onChoose }: Props) {
  const { t } = useTranslation();
  const [open, setOpen] = useState(false);
  const details = useId();
  const name = nameOf(entry.other, t('party.withheld'));
  const swipe = useSwipe(() => void remove([entry.id]));
  const { missed } = entry;
  const Arrow = entry.direction === 'PLACED' ? IconArrowUpRight : IconArrowDownLeft;
  const also = alsoIn(entry);
  const about = [
    also.length > 0 ? t('history.also', { names: also.join(', ') }) : '',
    ...aboutParty(entry.other, t),
    entry.line ? t('party.onLine', { line: entry.line }) : '',
    entry.behalf ? t('history.behalf', { name: entry.behalf }) : '',
    entry.outcome,
    entry.noted ? t('history.noted') : '',
  ];

  return (
    <div data-paper className="border-base-300 overflow-hidden border-b">
      <div
        {...swipe}
        className="hover:bg-base-200/60 flex items-center gap-3 py-1.5 pr-3 pl-3 max-sm:flex-wrap"
      >
        <input
          type="checkbox"
          checked={chosen}
          aria-label={t('history.chooseOne', { name })}
          onChange={(event) => onChoose(event.target.checked)}
          className="checkbox checkbox-xs checkbox-primary"
        />
        <button
          type="button"
          className="flex min-w-0 flex-1 items-center gap-3 text-left"
          aria-expanded={open}
          aria-controls={details}
          onClick={() => setOpen(!open)}
        >
          <Arrow
            size={18}
            className={`shrink-0 ${missed ? 'text-error' : 'quiet'}`}
            role="img"
            aria-label={t(`history.direction.${entry.direction}`)}
          />
          <span className="quiet w-11 shrink-0 max-sm:hidden">{timeOfDay(entry.began)}</span>
          <span className="min-w-0 flex-1">
            <span className="flex flex-wrap items-baseline gap-x-2">
              <span className="font-semibold break-words">{name}</span>
              <span className="quiet text-sm">{about.filter(Boolean).join(' · ')}</span>
            </span>
            <span
              className={`block text-sm sm:hidden ${missed ? 'text-error font-semibold' : 'quiet'}`}
            >
              <span className="quiet font-normal">{timeOfDay(entry.began)} · </span>
              {outcome(entry, t)}
            </span>
          </span>
          <span className="w-40 shrink-0 max-lg:hidden">
            <Cord course={entry.course} now={Date.parse(entry.ended)} />
          </span>
          <span
            className={`w-52 shrink-0 text-right text-sm max-sm:hidden ${missed ? 'text-error font-semibold' : 'quiet'}`}
          >
            {outcome(entry, t)}
          </span>
          <IconChevronDown
            size={16}
            aria-hidden="true"
            className={`shrink-0 max-sm:hidden ${open ? 'rotate-180' : ''}`}
          />
        </button>
        {entry.other.dial && <CallPartyButton party={entry.other} word={t('dial.call')} />}
      </div>
      {open && (
        <div id={details} className="px-4 pt-1 pb-4 sm:pl-14">
          <Cord course={entry.course} now={Date.parse(entry.ended)} words whole />
          <dl className="mt-3 grid grid-cols-[auto_1fr] gap-x-4 gap-y-0.5 sm:max-w-md">
            {facts(entry, t).map(([word, value]) => (
              <div key={word} className="contents">
                <dt className="quiet">{word}</dt>
                <dd>{value}</dd>
              </div>
            ))}
          </dl>
          {entry.ruling && (
            <Link
              className="btn btn-xs btn-plain mt-1"
              to={
                entry.ruling.block ? '/rules?blocked=1' : `/rules?rule=${entry.ruling.rule ?? ''}`
              }
            >
              {t(entry.ruling.block ? 'history.ruling.openBlocks' : 'history.ruling.open')}
            </Link>
          )}
          <div className="mt-3 flex flex-wrap gap-2">
            <CardAndKey other={entry.other} />
            <PrintKey />
            {entry.other.number && (
              <button
                type="button"
                className="btn btn-sm btn-plain"
                onClick={() => void copyNumber(entry)}
              >
                {t('history.copy')}
              </button>
            )}
          </div>
          <div className="mt-3 grid gap-2 sm:max-w-xl">
            <div>
              <Outcome call={entry.call} chosen={entry.outcome} />
            </div>
            <NoteField call={entry.call} />
          </div>
          {entry.recorded && (
            <Suspense>
              <OfCall call={entry.call} />
            </Suspense>
          )}
        </div>
      )}
    </div>
  );
}

type Translate = ReturnType<typeof useTranslation>['t'];

function facts(entry: HistoryEntry, t: Translate): [string, string][] {
  const all: [string, string][] = [
    [t('history.fact.when'), dayAndTime(entry.began)],
    [
      t('history.fact.direction'),
      t(`history.direction.${entry.direction}`) +
        (entry.line ? ` · ${t('party.onLine', { line: entry.line })}` : ''),
    ],
    [t('history.fact.rang'), clockTime(entry.rang)],
    [t('history.fact.talked'), clockTime(entry.talked)],
    [
      t('history.fact.ended'),
      `${timeOfDay(entry.ended)}, ${entry.ending ? t(`history.ending.${entry.ending}`, { name: entry.endedBy }) : outcome(entry, t)}`,
    ],
  ];
  if (entry.ruling) {
    all.push([t('history.fact.ruled'), ruled(entry.ruling, t)]);
  }
  if (entry.held > 0) {
    all.splice(4, 0, [t('history.fact.held'), clockTime(entry.held)]);
  }
  return all;
}

/** What had been decided about it beforehand, in words. */
function ruled({ why, block, to }: NonNullable<HistoryEntry['ruling']>, t: Translate): string {
  if (block || !why) {
    return t('history.ruling.blocked');
  }
  const about = { why: t(`history.ruling.why.${why}`), name: to ? nameOf(to, '') : '' };
  return t(to?.kind === 'MAILBOX' ? 'history.ruling.toVoicemail' : 'history.ruling.to', about);
}
