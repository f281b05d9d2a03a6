import { useTranslation } from 'react-i18next';
import type { CallView } from '../api/types';
import { useNow } from '../live/now';
import { clockTime } from '../words/time';
import { howItCame } from '../calls/howItCame';
import { aboutParty, nameOf } from '../calls/order';
import { WhoIsIt } from './WhoIsIt';

/**
 * Who it is, and what is known of them beside it.
 *
 * @param oneRow whether that stays in the row of the name, cut off if need be
 */
export function Who({ call, oneRow = false }: { call: CallView; oneRow?: boolean }) {
  const { t } = useTranslation();
  const withheld = t('party.withheld');
  const title = call.conference
    ? t('conference.title', {
        names: call.conference.members.map((each) => nameOf(each.who, withheld)).join(', '),
      })
    : nameOf(call.other, withheld);
  const details = call.conference ? [] : aboutParty(call.other, t);
  return (
    <h3
      className={`flex items-baseline gap-x-2 ${oneRow ? 'sm:flex-nowrap max-sm:flex-wrap' : 'flex-wrap'}`}
    >
      <span
        className={`max-w-full text-lg leading-snug font-bold break-words ${oneRow ? 'sm:shrink-0' : ''}`}
      >
        {title}
      </span>
      <span className={`quiet ${oneRow ? 'min-w-0 truncate' : ''}`}>{details.join(' · ')}</span>
    </h3>
  );
}

/** On which line and from whom it came. */
export function Came({ call }: { call: CallView }) {
  const { t } = useTranslation();
  return <>{howItCame(call, nameOf(call.other, t('party.withheld')), t)}</>;
}

/** The same beneath the name, with what leads to the card of whoever it is. */
export function CameFrom({ call }: { call: CallView }) {
  return (
    <div className="flex flex-wrap items-center gap-x-3">
      <p className="quiet">
        <Came call={call} />
      </p>
      {!call.conference && <WhoIsIt call={call} />}
    </div>
  );
}

/** What goes on, with its time. Only this and the other times are drawn anew each second. */
export function State({ call }: { call: CallView }) {
  const { t } = useTranslation();
  const now = useNow();
  return call.phase === 'FAILED'
    ? t(`failure.${call.failure}`, { name: nameOf(call.other, t('party.withheld')) })
    : t(`phase.${call.phase}`, { time: clockTime(now - Date.parse(call.since)) });
}

/** How long somebody has waited, in the row of the name. */
export function Waiting({ call }: { call: CallView }) {
  const { t } = useTranslation();
  const now = useNow();
  return (
    <p className="pt-0.5">
      {call.reminded && call.phase === 'HELD' && (
        <strong className="bg-warning text-warning-content mr-2 rounded px-1.5 py-0.5">
          {t('phase.tooLong')}
        </strong>
      )}
      <State call={call} />
      <span className="quiet">
        {t('phase.of', { time: clockTime(now - Date.parse(call.began)) })}
      </span>
    </p>
  );
}

/** The time of the whole call, large, with that of the present state and of all holds. */
export function Times({ call }: { call: CallView }) {
  const { t } = useTranslation();
  const now = useNow();
  const present = now - Date.parse(call.since);
  const held = call.heldBefore + (call.phase === 'WAITING' ? present : 0);
  return (
    <p className="text-right">
      {call.muted && (
        <strong className="bg-warning text-warning-content mr-3 rounded px-1.5 py-0.5">
          {t('phase.muted')}
        </strong>
      )}
      <span className="text-2xl leading-tight font-bold">
        {clockTime(now - Date.parse(call.began))}
      </span>
      <br />
      <span className={call.phase === 'FAILED' ? 'text-error font-semibold' : 'quiet'}>
        <State call={call} />
        {held >= 1000 &&
          call.phase === 'TALKING' &&
          t('phase.heldBefore', { time: clockTime(held) })}
      </span>
    </p>
  );
}
