import { useTranslation } from 'react-i18next';
import { Link } from 'wouter';
import type { CallView } from '../api/types';
import { useNow } from '../live/now';
import { KeyCap } from '../ui/KeyCap';
import { clockTime } from '../words/time';
import { CallButton } from '../calls/CallButton';
import { State } from './StripParts';
import { TapeSign } from './TapeSign';
import { nameOf } from '../calls/order';
import type { Action } from '../calls/services';
import { useCalls } from '../calls/store';

/** What is had at hand in every view; the rest is at the desk. */
const AT_HAND: Action[] = ['HOLD', 'RETRIEVE', 'MUTE', 'UNMUTE', 'RECONNECT', 'PULL_BACK', 'CLEAR'];

/**
 * The call one is on, in a row, while another view than the desk is open.
 *
 * @param more how many other calls are in hand
 */
export function CallBar({ call, more }: { call: CallView; more: number }) {
  const { t } = useTranslation();
  const announced = useCalls().find((each) => each.id === call.announces);
  const back = announced && nameOf(announced.other, t('party.withheld'));
  const name = call.conference ? t('conference.name') : nameOf(call.other, t('party.withheld'));
  return (
    <article
      aria-label={name}
      className="sheet border-primary flex flex-wrap items-center gap-x-4 gap-y-1 px-4 py-1.5"
    >
      <p className="min-w-0 flex-1 basis-52 truncate">
        <strong>{name}</strong>{' '}
        <span className={call.phase === 'FAILED' ? 'text-error font-semibold' : 'quiet'}>
          <State call={call} />
        </span>
      </p>
      <Total call={call} />
      {call.muted && (
        <strong className="bg-warning text-warning-content rounded px-1.5 py-0.5">
          {t('phase.muted')}
        </strong>
      )}
      <TapeSign call={call} />
      <span className="flex flex-wrap items-center gap-1.5 max-md:[&_.btn]:h-11">
        {AT_HAND.filter((action) => call.actions.includes(action)).map((action) => (
          <CallButton
            key={action}
            call={call}
            action={action}
            word={action === 'RECONNECT' ? t('action.RECONNECT', { name: back ?? '' }) : undefined}
          />
        ))}
        <Link to="/desk" className="btn btn-call btn-plain">
          {t('inHand.toDesk', { count: more })} <KeyCap name="B" />
        </Link>
      </span>
    </article>
  );
}

/** How long the whole call has lasted. */
function Total({ call }: { call: CallView }) {
  return (
    <span className="text-lg font-bold tabular-nums">
      {clockTime(useNow() - Date.parse(call.began))}
    </span>
  );
}
