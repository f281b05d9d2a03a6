import { useTranslation } from 'react-i18next';
import type { CallView } from '../api/types';
import { Cord } from '../cord/Cord';
import { useNow } from '../live/now';
import { Voices } from '../sound/Voices';
import { clockTime } from '../words/time';
import { CallButton } from '../calls/CallButton';
import { aboutParty, nameOf } from '../calls/order';

interface Props {
  /** The call to the colleague. */
  call: CallView;
  /** The held call it announces. */
  caller: CallView;
}

/** The two calls of an announced transfer, bound together. */
export function Announcement({ call, caller }: Props) {
  const { t } = useTranslation();
  const now = useNow();
  const target = nameOf(call.other, t('party.withheld'));
  const room = caller.conference
    ? caller.conference.members.map((each) => nameOf(each.who, t('party.withheld'))).join(', ')
    : '';
  const name = room ? t('conference.the') : nameOf(caller.other, t('party.withheld'));
  const about = t(call.aside ? 'how.aside' : room ? 'how.adding' : 'how.announcing', { name });
  const present = clockTime(now - Date.parse(call.since));
  const waiting = clockTime(now - Date.parse(caller.since));
  const words: Partial<Record<CallView['actions'][number], string>> = {
    HAND_OVER: t('action.HAND_OVER_TO', { name: target }),
    RECONNECT: t('action.RECONNECT', { name }),
    RETRIEVE: t('action.RETRIEVE_TO', { name: target }),
    ...(call.aside || room
      ? { JOIN: t(call.aside ? 'action.BRING_BACK' : 'action.LET_IN', { name: target }) }
      : {}),
  };
  const last = call.actions.length - 1;

  return (
    <article aria-label={about} className="sheet border-primary relative overflow-hidden pl-6">
      <span className="bound absolute inset-y-0 left-0 w-2" aria-hidden="true" />
      <div className="flex items-start gap-4 pt-3 pr-4">
        <div className="min-w-0 flex-1">
          <h3 className="flex flex-wrap items-baseline gap-x-2">
            <span className="text-lg leading-snug font-bold">{target}</span>
            <span className="quiet">{aboutParty(call.other, t).join(' · ')}</span>
          </h3>
          <p className="quiet">{about}</p>
        </div>
        <p className="text-right">
          <span className="block text-2xl leading-tight font-bold">
            {clockTime(now - Date.parse(call.began))}
          </span>
          <span className={call.phase === 'FAILED' ? 'text-error font-semibold' : 'quiet'}>
            {call.phase === 'FAILED'
              ? t(`failure.${call.failure}`, { name: target })
              : t(`phase.${call.phase}`, { time: present })}
          </span>
        </p>
      </div>
      <div className="pr-4 pt-2">
        <Cord course={call.course} earlier={call.earlier} now={now} />
        <Voices call={call} />
      </div>
      <div className="border-base-300 mt-3 mr-4 border-t border-dashed pt-2">
        <div className="flex flex-wrap items-baseline gap-x-4">
          <h4 className="flex-1 font-bold">
            {room ? t('conference.name') : name} <span className="quiet font-normal">{room}</span>
          </h4>
          <p>
            {caller.phase === 'HELD'
              ? t(room ? 'how.goesOn' : 'how.waiting', { time: waiting })
              : t(`phase.${caller.phase}`, { time: waiting })}
            <span className="quiet">
              {t('phase.of', { time: clockTime(now - Date.parse(caller.began)) })}
              {caller.phase === 'HELD' && !room && ` · ${t(`hears.${caller.otherHears}`)}`}
            </span>
          </p>
        </div>
        <div className="pt-2">
          <Cord course={caller.course} earlier={caller.earlier} now={now} />
        </div>
      </div>
      <div className="mt-3 flex flex-wrap gap-2 pr-4 pb-3">
        {call.actions.map((action, index) => (
          <span key={action} className={index === last ? 'ml-auto' : ''}>
            <CallButton call={call} action={action} word={words[action]} main={index === 0} />
          </span>
        ))}
      </div>
    </article>
  );
}
