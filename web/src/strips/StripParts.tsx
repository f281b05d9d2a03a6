import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import type { CallView } from '../api/types';
import { CallButtons } from '../calls/CallButtons';
import { useNow } from '../live/now';
import { clockTime } from '../words/time';
import { howItCame } from '../calls/howItCame';
import { aboutParty, nameOf } from '../calls/order';
import { TapeSign } from './TapeSign';
import { WhoIsIt } from './WhoIsIt';

/** Who it is, and what is known of them beside it, cut off if need be. */
export function Who({ call }: { call: CallView }) {
  const { t } = useTranslation();
  const withheld = t('party.withheld');
  const title = call.conference
    ? t('conference.title', {
        names: call.conference.members.map((each) => nameOf(each.who, withheld)).join(', '),
      })
    : nameOf(call.other, withheld);
  const details = call.conference ? [] : aboutParty(call.other, t);
  return (
    <h3 className="flex items-baseline gap-x-2 max-sm:flex-wrap">
      <span
        title={title}
        className="max-w-full text-lg leading-snug font-bold break-words sm:shrink-0 sm:truncate"
      >
        {title}
      </span>
      <span className="quiet min-w-0 truncate">{details.join(' · ')}</span>
    </h3>
  );
}

/** Who it is, with all that can be done beside it: the first row of a low strip. */
export function WhoAndKeys({ call }: { call: CallView }) {
  return (
    <div className="flex items-center gap-x-3 gap-y-1 max-lg:flex-wrap">
      <div className="min-w-0 flex-1 max-lg:basis-44">
        <Who call={call} />
      </div>
      <CallButtons call={call} wide={false} />
    </div>
  );
}

/** On which line and from whom it came. */
export function Came({ call }: { call: CallView }) {
  const { t } = useTranslation();
  return <>{howItCame(call, nameOf(call.other, t('party.withheld')), t)}</>;
}

/** The same beneath the name, with more that is known, what leads to the card, and whether it is recorded. */
export function CameFrom({ call, children }: { call: CallView; children?: ReactNode }) {
  return (
    <div className="flex min-h-6 items-center gap-x-3 gap-y-1 max-lg:flex-wrap">
      <p className="min-w-0 text-sm lg:truncate">
        <span className="quiet">
          <Came call={call} />
        </span>
        {children}
      </p>
      {!call.conference && <WhoIsIt call={call} />}
      <TapeSign call={call} />
    </div>
  );
}

/** What goes on, with its time. Only this and the other times are drawn anew each second. */
export function State({ call }: { call: CallView }) {
  const { t } = useTranslation();
  const now = useNow();
  return call.phase === 'FAILED'
    ? t(`failure.${call.failure}`, { name: nameOf(call.other, t('party.withheld')) })
    : t(`phase.${call.left ? 'ASIDE' : call.phase}`, {
        time: clockTime(now - Date.parse(call.since)),
      });
}

/** How long somebody has waited, beside the cord. */
export function Waiting({ call }: { call: CallView }) {
  const { t } = useTranslation();
  const now = useNow();
  return (
    <p className="shrink-0">
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
    <p className="ml-auto shrink-0 text-right">
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
