import { useCallback, useEffect, useId, useState, type KeyboardEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import type { CallView } from '../api/types';
import { nameOf } from '../calls/order';
import { park, takeParked } from '../calls/services';
import { callStore } from '../calls/store';
import { KeyCap } from '../ui/KeyCap';
import { useOnce } from '../live/useOnce';
import { notify } from '../notices/store';
import { PersonField, usePersonTyped } from '../dial/PersonField';
import { useShelf } from './store';

/** Chooses where and for whom a call is to wait. Enter alone parks it in the next free slot. */
export function ParkPanel({ call }: { call: CallView }) {
  const { t } = useTranslation();
  const id = useId();
  const slots = useShelf((store) => store.slots);
  const next = slots.find((each) => !each.waiting);
  const [slot, setSlot] = useState('');
  const typed = usePersonTyped();
  const { text, meant } = typed;
  const [note, setNote] = useState('');
  const [error, setError] = useState('');
  const name = nameOf(call.other, t('party.withheld'));

  useEffect(() => document.getElementById(`${id}-slot`)?.focus(), [id]);

  const { run, busy } = useOnce(
    useCallback(async () => {
      const chosen = slot || next?.slot;
      try {
        const forWhom = await meant();
        if (forWhom === null) {
          setError(t('park.nobody', { text }));
          return;
        }
        await park(call, { slot: chosen, forWhom, note });
        callStore.closePanel();
        notify(
          'done',
          { sentence: t('drop.parked', { name, slot: chosen }) },
          chosen ? () => void takeParked(chosen, call.id) : undefined,
        );
      } catch (problem) {
        setError(sentence(problem));
      }
    }, [call, slot, next, text, meant, note, name, t]),
  );

  function pressed(event: KeyboardEvent) {
    if (event.key === 'Enter') {
      event.preventDefault();
      void run();
    } else if (event.key === 'Escape') {
      callStore.closePanel();
    }
  }

  return (
    <div
      role="group"
      aria-label={t('park.title', { name })}
      className="border-base-300 mt-3 flex flex-wrap items-end gap-2 border-t pt-3"
    >
      <div className="flex flex-col gap-0.5 text-sm">
        <label htmlFor={`${id}-slot`}>{t('park.slot')}</label>
        <select
          id={`${id}-slot`}
          className="select bg-base-100 w-44"
          value={slot}
          onChange={(event) => setSlot(event.target.value)}
          onKeyDown={pressed}
        >
          <option value="">{t('park.next', { slot: next?.slot ?? '' })}</option>
          {slots.map((each) => (
            <option key={each.slot} value={each.slot} disabled={!!each.waiting}>
              {[each.slot, each.label, each.waiting && t('park.taken')].filter(Boolean).join(' · ')}
            </option>
          ))}
        </select>
      </div>
      <div className="flex flex-col gap-0.5 text-sm">
        <label htmlFor={`${id}-for`}>{t('park.for')}</label>
        <PersonField
          id={`${id}-for`}
          typed={typed}
          placeholder={t('park.anyone')}
          onKeyDown={pressed}
        />
      </div>
      <div className="flex min-w-40 flex-1 flex-col gap-0.5 text-sm">
        <label htmlFor={`${id}-note`}>{t('park.note')}</label>
        <input
          id={`${id}-note`}
          type="text"
          className="input bg-base-100 w-full"
          maxLength={200}
          value={note}
          onChange={(event) => setNote(event.target.value)}
          onKeyDown={pressed}
        />
      </div>
      <button
        type="button"
        className="btn btn-primary"
        aria-disabled={busy}
        onClick={() => void run()}
      >
        {t('park.go')} <KeyCap name="Enter" />
      </button>
      <button type="button" className="btn btn-plain" onClick={callStore.closePanel}>
        {t('target.cancel')} <KeyCap name="Esc" />
      </button>
      <p role="alert" className="text-error basis-full font-semibold">
        {error}
      </p>
    </div>
  );
}
