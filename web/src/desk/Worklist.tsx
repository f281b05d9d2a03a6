import { IconMessage } from '@tabler/icons-react';
import { useQuery } from '@tanstack/react-query';
import { Fragment, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'wouter';
import { get, sentence } from '../api/client';
import type { MessageView, SlotView, ToCallBack } from '../api/types';
import { aboutParty, nameOf } from '../calls/order';
import { takeParked } from '../calls/services';
import { useCallStore } from '../calls/store';
import { FollowUpRow } from '../followup/FollowUpRow';
import { useFollowUps } from '../followup/followUps';
import { useNow } from '../live/now';
import { useShelf } from '../park/store';
import { useArrival } from '../ui/arrival';
import { usePlaces } from '../ui/places';
import { CallPartyButton } from '../people/CallPartyButton';
import { useMe } from '../session/session';
import { Leaving } from '../voicemail/Leaving';
import { useNewMessages } from '../voicemail/messages';
import { clockTime, dayAndTime } from '../words/time';
import { TakeOn, TakenOn } from './TakeOn';

/** What waits for me while I have no call: callers parked for me, new messages, missed calls to return. */
export function Worklist() {
  const { t } = useTranslation();
  const me = useMe();
  const parked = useShelf((store) => store.slots).filter((slot) => slot.waiting?.forId === me.id);
  const { data, error } = useQuery({
    queryKey: ['to-call-back'],
    queryFn: () => get<ToCallBack[]>('/api/to-call-back'),
  });
  const messages = (useNewMessages()?.messages ?? []).toReversed();
  const leaving = useCallStore((store) => store.leaving).length;
  // Whoever has left a message too waits once.
  const written = new Set(messages.map((message) => message.who.dial));
  const calls = (data ?? []).filter((each) => !written.has(each.who.dial));
  const due = (useFollowUps(false).data ?? []).filter((each) => each.dueNow);
  const rows: [string, ReactNode][] = [
    ...parked.map((slot): [string, ReactNode] => [slot.slot, <ParkedForMe slot={slot} />]),
    ...messages.map((each): [string, ReactNode] => [`m${each.id}`, <NewMessage message={each} />]),
    ...calls.map((each): [string, ReactNode] => [`c${each.who.dial}`, <Missed missed={each} />]),
    ...due.map((each): [string, ReactNode] => [`f${each.id}`, <FollowUpRow followUp={each} />]),
  ];
  const row = new Map(rows);
  const { order, pointing } = usePlaces([...row.keys()]);
  const count = calls.length + parked.length + messages.length + leaving + due.length;
  return (
    <section aria-label={t('worklist.title')} className="mt-4 flex flex-col">
      <h2 className="mb-2 flex items-baseline gap-3 font-bold">
        {t('worklist.title')}
        <span className="quiet text-sm font-normal">{data && t('worklist.count', { count })}</span>
      </h2>
      {error && (
        <p role="alert" className="text-error font-semibold">
          {sentence(error)}
        </p>
      )}
      {order.length > 0 && (
        <ul className="sheet divide-base-300 divide-y" {...pointing}>
          {order.map((key) => (
            <Fragment key={key}>{row.get(key)}</Fragment>
          ))}
        </ul>
      )}
      {/* Behind the others, where the message will stand. */}
      <Leaving />
      {data && count === 0 && <p className="quiet">{t('worklist.nothing')}</p>}
    </section>
  );
}

const ROW = 'flex flex-wrap items-center gap-x-3 gap-y-1 px-4 py-1.5';

function ParkedForMe({ slot }: { slot: SlotView }) {
  const { t } = useTranslation();
  const now = useNow();
  const arrived = useArrival<HTMLLIElement>();
  if (!slot.waiting) {
    return null;
  }
  const { who, by, note, since, call } = slot.waiting;
  const name = nameOf(who, t('party.withheld'));
  return (
    <li ref={arrived} className={`${ROW} bg-accent/15`}>
      <p className="min-w-0 flex-1 max-sm:basis-full">
        <span className="font-semibold">{name}</span>{' '}
        <span className="quiet">
          {[
            t('worklist.parked', { slot: slot.slot, by, time: clockTime(now - Date.parse(since)) }),
            note,
          ]
            .filter(Boolean)
            .join(' · ')}
        </span>
      </p>
      <button
        type="button"
        className="btn btn-sm btn-success"
        onClick={() => void takeParked(slot.slot, call)}
      >
        {t('worklist.take', { slot: slot.slot })}
      </button>
    </li>
  );
}

function NewMessage({ message }: { message: MessageView }) {
  const { t } = useTranslation();
  const now = useNow();
  const about = [
    ...aboutParty(message.who, t),
    message.line ? t('party.onLine', { line: message.line }) : '',
    t('worklist.message', { length: clockTime(message.length) }),
  ];
  return (
    <li ref={useArrival<HTMLLIElement>()} className={ROW}>
      <p className="min-w-0 flex-1 max-sm:basis-full">
        <span className="font-semibold">{nameOf(message.who, t('party.withheld'))}</span>{' '}
        <span className="quiet">{about.filter(Boolean).join(' · ')}</span>
        {message.firstWords && (
          <span className="block truncate">
            {t('worklist.quoted', { words: message.firstWords })}
          </span>
        )}
      </p>
      <p className="quiet text-sm max-sm:mr-auto">{dayAndTime(message.began, now)}</p>
      <Link to={`/voicemail?message=${message.id}`} className="btn btn-sm btn-primary">
        <IconMessage size={16} aria-hidden="true" />
        {t('worklist.open')}
      </Link>
    </li>
  );
}

function Missed({ missed }: { missed: ToCallBack }) {
  const { t } = useTranslation();
  const now = useNow();
  const name = nameOf(missed.who, t('party.withheld'));
  const about = [
    ...aboutParty(missed.who, t),
    missed.line ? t('party.onLine', { line: missed.line }) : '',
  ];
  return (
    <li ref={useArrival<HTMLLIElement>()} className={ROW}>
      <p className="min-w-0 flex-1 max-sm:basis-full">
        <span className="font-semibold">{name}</span>{' '}
        <span className="quiet">{about.filter(Boolean).join(' · ')}</span>
        <TakenOn missed={missed} />
      </p>
      <p className="quiet text-sm max-sm:mr-auto">
        {missed.times > 1
          ? t('worklist.times', {
              count: missed.times,
              since: dayAndTime(missed.since, now),
              last: dayAndTime(missed.last, now),
            })
          : dayAndTime(missed.since, now)}
      </p>
      <TakeOn missed={missed} />
      <CallPartyButton party={missed.who} word={t('worklist.call')} />
    </li>
  );
}
