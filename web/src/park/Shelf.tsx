import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { SlotView } from '../api/types';
import { useDrop } from '../calls/drag';
import { nameOf } from '../calls/order';
import { takeParked } from '../calls/services';
import { callStore, useTransferring } from '../calls/store';
import { useNow } from '../live/now';
import { usePreferences } from '../preferences/preferences';
import { useMe } from '../session/session';
import { clockTime } from '../words/time';
import { useShelf } from './store';

/** A call that comes back in less than this wants attention. */
const SOON_MS = 30_000;

/** Where calls wait, along the foot of the desk; the same for everybody in the office. */
export function Shelf() {
  const { t } = useTranslation();
  const { preference } = usePreferences();
  const slots = useShelf((store) => store.slots).filter(
    // A slot with somebody in it is never hidden: a caller must not be overlooked.
    (slot) => slot.waiting || !preference?.hiddenSlots.includes(slot.slot),
  );
  const taken = slots.filter((slot) => slot.waiting).length;
  if (slots.length === 0) {
    return null;
  }
  return (
    <section
      aria-label={t('shelf.title')}
      className="border-base-300 bg-base-300/40 flex items-stretch gap-2 rounded-lg border p-1.5 max-lg:flex-col"
    >
      <h2 className="w-20 shrink-0 self-center pl-2 leading-tight font-bold max-lg:w-auto max-lg:self-start">
        {t('shelf.title')}
        <span className="quiet block text-xs font-normal">
          {t('shelf.count', { taken, all: slots.length })}
        </span>
      </h2>
      <ul className="grid min-w-0 flex-1 grid-cols-[repeat(auto-fit,minmax(6.25rem,1fr))] gap-1.5">
        {slots.map((slot) => (
          <Slot key={slot.slot} slot={slot} />
        ))}
      </ul>
    </section>
  );
}

function Slot({ slot }: { slot: SlotView }) {
  const { t } = useTranslation();
  const { setNode, over } = useDrop({ kind: 'slot', slot });
  const { waiting } = slot;
  return (
    <li
      ref={setNode}
      aria-label={t('shelf.slot', { slot: slot.slot })}
      className={`min-w-0 rounded ${over ? 'drop-here' : ''} ${waiting ? '' : 'max-sm:hidden'}`}
    >
      {waiting ? (
        <Parked key={waiting.call} slot={slot} waiting={waiting} />
      ) : (
        <Empty slot={slot} />
      )}
    </li>
  );
}

const PLACE =
  'border-base-content/25 flex h-[3.25rem] w-full items-center gap-2 rounded border border-dashed px-2.5';

/** A free slot; while one chooses where to send a call, it can be chosen. */
function Empty({ slot }: { slot: SlotView }) {
  const { t } = useTranslation();
  const transferring = useTransferring();
  const shown = (
    <>
      <span className="quiet text-base font-bold">{slot.slot}</span>
      <span className="quiet truncate text-xs">{slot.label}</span>
    </>
  );
  return transferring ? (
    <button
      type="button"
      aria-label={t('shelf.choose', { slot: slot.slot })}
      className={`${PLACE} bg-base-100`}
      onClick={() => callStore.meantFor(slot.slot)}
    >
      {shown}
    </button>
  ) : (
    <p className={PLACE}>{shown}</p>
  );
}

interface ParkedProps {
  slot: SlotView;
  waiting: NonNullable<SlotView['waiting']>;
}

function Parked({ slot, waiting }: ParkedProps) {
  const { t } = useTranslation();
  const now = useNow();
  const me = useMe();
  /** What waits for somebody else is taken with a second click. */
  const [asking, setAsking] = useState(false);
  const name = nameOf(waiting.who, t('party.withheld'));
  const waited = now - Date.parse(waiting.since);
  const left = Date.parse(waiting.back) - now;
  const share = waited / Math.max(1, waited + Math.max(0, left));
  const urgent = left < SOON_MS || waiting.forId === me.id;
  const forWhom =
    waiting.forId === me.id
      ? t('shelf.forMe')
      : waiting.forWhom
        ? t('shelf.for', { name: waiting.forWhom.split(' ')[0] })
        : t('shelf.forAnyone');
  const whole = t(asking ? 'shelf.takeAllTheSame' : 'shelf.take', {
    name,
    slot: slot.slot,
    forWhom: waiting.forWhom ?? t('shelf.anyone'),
    by: waiting.by,
    note: waiting.note,
  });
  return (
    <button
      type="button"
      aria-label={whole}
      title={whole}
      className={`bg-base-100 flex h-[3.25rem] w-full flex-col justify-center overflow-hidden leading-tight rounded border px-2 text-left ${urgent ? 'border-accent border-2' : 'border-secondary'}`}
      onClick={() => {
        setAsking(!waiting.unasked && !asking);
        if (waiting.unasked || asking) {
          void takeParked(slot.slot, waiting.call, asking);
        }
      }}
      onBlur={() => setAsking(false)}
    >
      <span className="flex w-full items-baseline gap-1.5">
        <span className="text-base font-bold">{slot.slot}</span>
        <span className="min-w-0 flex-1 truncate text-[0.8125rem] font-semibold">{name}</span>
      </span>
      <span className="flex w-full items-baseline justify-between gap-1 text-xs">
        <span className={asking ? 'min-w-0 truncate font-bold' : 'quiet min-w-0 truncate'}>
          {asking ? t('shelf.allTheSame') : left < 0 ? t('shelf.back') : forWhom}
        </span>
        {!asking && (
          <span className={left < SOON_MS ? 'font-bold' : 'quiet'}>{clockTime(waited)}</span>
        )}
      </span>
      <span className="mt-0.5 h-[5px] w-full">
        <span
          className="cord-stretch cord-PARKED cord-thin block"
          style={{ width: `${Math.min(100, 100 * share)}%` }}
        />
      </span>
    </button>
  );
}
