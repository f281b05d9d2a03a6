import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { FollowUpView } from '../api/types';
import { nameOf } from '../calls/order';
import { useNow } from '../live/now';
import { CallPartyButton } from '../people/CallPartyButton';
import { useArrival } from '../ui/arrival';
import { shortMoment } from '../words/time';
import { FollowUpForm } from './FollowUpForm';
import { change, done } from './followUps';

interface Props {
  followUp: FollowUpView;
  /** Whether it stands beside a call with whom it is for. */
  compact?: boolean;
}

/** Something to be done: done, moved, handed on, and the call it needs. */
export function FollowUpRow({ followUp, compact = false }: Props) {
  const { t } = useTranslation();
  const now = useNow();
  const [moving, setMoving] = useState(false);
  const arrived = useArrival<HTMLLIElement>();
  const { who, what, due, dueNow, assigneeName, by } = followUp;
  const at = shortMoment(due, now);
  const about = [
    !compact && who ? t('followUp.for', { name: nameOf(who, t('party.withheld')) }) : '',
    assigneeName,
    by === assigneeName ? '' : t('followUp.by', { by }),
  ];
  return (
    <li ref={arrived} className={compact ? 'py-0.5 text-sm' : 'px-4 py-1.5'}>
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <p className="min-w-0 flex-1 max-sm:basis-full">
          <span className="font-semibold break-words">{what}</span>{' '}
          <span className="quiet">{about.filter(Boolean).join(' · ')}</span>
        </p>
        <p className={`text-sm max-sm:mr-auto ${dueNow ? 'text-error font-semibold' : 'quiet'}`}>
          {t('followUp.due', { at })}
        </p>
        {!compact && who?.dial && <CallPartyButton party={who} word={t('dial.call')} />}
        {!compact && (
          <button
            type="button"
            className="btn btn-sm btn-plain"
            aria-label={t('followUp.moveWhat', { what })}
            aria-expanded={moving}
            onClick={() => setMoving(!moving)}
          >
            {t('followUp.move')}
          </button>
        )}
        <button
          type="button"
          className={`btn btn-plain ${compact ? 'btn-xs' : 'btn-sm'}`}
          aria-label={t('followUp.doneWhat', { what })}
          onClick={() => void done(followUp)}
        >
          {t('followUp.done')}
        </button>
      </div>
      {moving && (
        <FollowUpForm
          followUp={followUp}
          onKeep={(body) => change(followUp.id, body)}
          onDone={() => setMoving(false)}
        />
      )}
    </li>
  );
}
