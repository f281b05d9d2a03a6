import { IconPhone, IconPhoneOff } from '@tabler/icons-react';
import { useId, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { post } from '../api/client';
import { postDigits } from '../api/digits';
import type { OutsideCallView, SubscriberView } from '../api/types';
import { useNow } from '../live/now';
import { usePeople } from '../people/store';
import { type Handset, useHandset } from './handset';
import { troubleOf } from '../sound/store';
import { clockTime } from '../words/time';

interface Props {
  subscriber: SubscriberView;
  change: (action: Promise<unknown>) => Promise<void>;
}

/** A subscriber I play: what their telephone shows, and what I have them do. */
export function Played({ subscriber, change }: Props) {
  const { t } = useTranslation();
  const people = usePeople((store) => store.people);
  const list = useId();
  const call = subscriber.calls[0];
  const base = `/api/outside/subscribers/${subscriber.number}`;
  const handset = useHandset(subscriber.number, call?.state === 'TALKING');

  function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    void change(
      post(`${base}/calls`, { to: data.get('to'), withheld: data.get('withheld') === 'on' }),
    );
  }

  return (
    <li aria-label={t('outside.phoneOf', { name: subscriber.name })} className="sheet p-4">
      <h3 className="mb-2 flex flex-wrap items-baseline gap-x-2">
        <span className="font-bold">{subscriber.name}</span>
        <span className="quiet">
          {[subscriber.company, subscriber.shown].filter(Boolean).join(' · ')}
        </span>
      </h3>
      {call ? (
        <>
          <CallLine call={call} />
          <HandsetState state={handset} />
          {(call.state === 'TALKING' || call.state === 'CALLING') && (
            <div role="group" aria-label={t('outside.keys')} className="mt-2 flex flex-wrap gap-1">
              {[...'1234567890*#'].map((key) => (
                <button
                  key={key}
                  type="button"
                  className="btn btn-sm btn-plain w-9"
                  onClick={() => void change(postDigits(`${base}/keys`, key))}
                >
                  {key}
                </button>
              ))}
            </div>
          )}
          <div className="mt-3 flex gap-2">
            {call.state === 'RINGING' && (
              <button
                type="button"
                className="btn btn-success"
                onClick={() => void change(post(`${base}/answer`))}
              >
                <IconPhone size={18} aria-hidden="true" />
                {t('action.ANSWER')}
              </button>
            )}
            <button
              type="button"
              className="btn btn-error"
              onClick={() => void change(post(`${base}/hang-up`))}
            >
              <IconPhoneOff size={18} aria-hidden="true" />
              {t(call.state === 'RINGING' ? 'action.DECLINE' : 'outside.hangUp')}
            </button>
          </div>
        </>
      ) : (
        <form onSubmit={submit} className="flex flex-wrap items-end gap-3">
          <label className="min-w-52 flex-1">
            {t('outside.to')}
            <input
              name="to"
              required
              maxLength={100}
              list={list}
              defaultValue="0191 498 0100"
              autoComplete="off"
              className="input bg-base-100 mt-1 w-full"
            />
          </label>
          <datalist id={list}>
            {people.map((person) => (
              <option key={person.id} value={`0191 498 0${person.extension}`}>
                {person.name}
              </option>
            ))}
          </datalist>
          <label className="flex h-10 items-center gap-2">
            <input
              type="checkbox"
              name="withheld"
              className="checkbox checkbox-sm checkbox-primary"
            />
            {t('outside.withheld')}
          </label>
          <button type="submit" className="btn btn-success">
            <IconPhone size={18} aria-hidden="true" />
            {t('dial.call')}
          </button>
        </form>
      )}
    </li>
  );
}

/** Whether one is heard and hears as this subscriber. */
function HandsetState({ state }: { state: Handset }) {
  const { t } = useTranslation();
  const trouble = troubleOf(state.microphone) || (state.live ? '' : 'lost');
  return (
    <p role="status" className={trouble ? 'text-error font-semibold' : 'quiet'}>
      {trouble ? t(`sound.trouble.${trouble}`) : t(`outside.handset.${state.microphone}`)}
    </p>
  );
}

function CallLine({ call }: { call: OutsideCallView }) {
  const { t } = useTranslation();
  const now = useNow();
  return (
    <p>
      <span className="text-xl font-bold">{call.other ?? t('party.withheld')}</span>{' '}
      <span className="quiet">
        {t(`outside.state.${call.state}`)} {clockTime(now - Date.parse(call.since))}
      </span>
      {call.reason && (
        <span className="text-error block font-semibold">{t(`outside.reason.${call.reason}`)}</span>
      )}
      {call.digits && (
        <span className="block">
          {t('outside.digits')}{' '}
          <span className="font-semibold">{call.digits.replaceAll('p', ' ')}</span>
        </span>
      )}
    </p>
  );
}
