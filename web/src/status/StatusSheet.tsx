import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import type { NewStatus } from '../api/types';
import { Dialog } from '../ui/Dialog';
import { KeyCap } from '../ui/KeyCap';
import { useKeys } from '../ui/keys';
import { useNow } from '../live/now';
import { Lamp } from '../people/Lamp';
import { dayOf, minuteOf } from '../words/time';
import { MyLines } from './MyLines';
import { KINDS, type Kind, nextOpening, say, untilWhen, useOwnStatus } from './status';
import { DayField } from '../words/DayField';
import { TimeField } from '../words/MomentField';

const ENDS = ['CHANGED', 'MIN30', 'HOUR1', 'HOUR2', 'OPENING', 'TIME'] as const;
type End = (typeof ENDS)[number];

const MINUTES: Partial<Record<End, number>> = { MIN30: 30, HOUR1: 60, HOUR2: 120 };

/** Says what I am, by a digit; with words of mine and an end when I take the time. */
export function StatusSheet({ onClose }: { onClose: () => void }) {
  const { t } = useTranslation();
  const own = useOwnStatus();
  const [text, setText] = useState(own?.text ?? '');
  const now = useNow();
  const [end, setEnd] = useState<End>(own?.until ? 'TIME' : 'CHANGED');
  const [at, setAt] = useState(() =>
    own?.until
      ? { day: dayOf(own.until), time: minuteOf(own.until) }
      : { day: dayOf(now), time: '17:00' },
  );
  // Words and an end are chosen before the state or after it, in whichever order they come to mind.
  const [changed, setChanged] = useState(false);
  const [error, setError] = useState('');
  const opens = useQuery({ queryKey: ['rules', 'next-opening'], queryFn: nextOpening }).data?.at;

  const choose = useMemo(
    () => async (kind: Kind) => {
      // The end of what I am now is none of what I say instead, unless I have touched it.
      const chosen = changed || kind === own?.kind ? end : 'CHANGED';
      const status: NewStatus = {
        kind,
        // Whoever is free again has said what there was to say.
        text: kind === 'FREE' && text === own?.text ? '' : text,
        minutes: MINUTES[chosen],
        until: chosen === 'TIME' ? `${at.day}T${at.time}` : undefined,
        untilOpening: chosen === 'OPENING',
      };
      try {
        await say(status);
        onClose();
      } catch (problem) {
        setError(sentence(problem));
      }
    },
    [text, end, at, own, changed, onClose],
  );
  useKeys(
    useMemo(
      () =>
        KINDS.map((kind, index) => ({
          key: String(index + 1),
          always: true,
          run: () => void choose(kind),
        })),
      [choose],
    ),
  );

  return (
    <Dialog title={t('status.title')} onClose={onClose}>
      <div role="group" aria-label={t('status.choose')} className="flex flex-col gap-1.5">
        {KINDS.map((kind, index) => (
          <button
            key={kind}
            type="button"
            aria-pressed={(own?.kind ?? 'FREE') === kind}
            className={`btn btn-plain h-auto justify-start gap-3 py-2 text-left ${(own?.kind ?? 'FREE') === kind ? 'border-primary border-2' : ''}`}
            onClick={() => void choose(kind)}
          >
            <Lamp lamp={kind} />
            <span className="min-w-0 flex-1">
              <span className="block font-semibold">{t(`lamp.${kind}`)}</span>
              <span className="quiet block text-sm font-normal">{t(`status.says.${kind}`)}</span>
            </span>
            <KeyCap name={String(index + 1)} />
          </button>
        ))}
      </div>
      <form
        className="mt-4 grid gap-3 sm:grid-cols-2"
        onChange={() => setChanged(true)}
        onSubmit={(event) => {
          event.preventDefault();
          void choose(own?.kind ?? 'FREE');
        }}
      >
        <label>
          {t('status.text')}
          <input
            type="text"
            maxLength={80}
            placeholder={t('status.textHint')}
            value={text}
            onChange={(event) => setText(event.target.value)}
            className="input bg-base-100 mt-1 w-full"
          />
        </label>
        <label>
          {t('status.until')}
          <select
            className="select bg-base-100 mt-1 w-full"
            value={end}
            onChange={(event) => setEnd(event.target.value as End)}
          >
            {ENDS.filter((each) => each !== 'OPENING' || opens).map((each) => (
              <option key={each} value={each}>
                {t(`status.ends.${each}`, { time: opens ? untilWhen(opens) : '' })}
              </option>
            ))}
          </select>
        </label>
        {end === 'TIME' && (
          <fieldset className="flex gap-2 sm:col-span-2">
            <legend className="sr-only">{t('status.untilTime')}</legend>
            <DayField
              label={t('followUp.day')}
              day={at.day}
              required
              onChange={(day) => setAt({ ...at, day })}
              look="w-40"
            />
            <TimeField
              label={t('followUp.time')}
              look="w-32"
              time={at.time}
              onChange={(time) => setAt({ ...at, time })}
            />
          </fieldset>
        )}
        {own && changed && (
          <button type="submit" className="btn btn-primary justify-self-start">
            {t('status.keep', { state: t(`lamp.${own.kind}`) })}
          </button>
        )}
      </form>
      <MyLines />
      <p role="alert" className="text-error font-semibold">
        {error}
      </p>
    </Dialog>
  );
}
