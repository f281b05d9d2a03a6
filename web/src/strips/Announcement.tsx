import { useTranslation } from 'react-i18next';
import type { CallView } from '../api/types';
import { Cord } from '../cord/Cord';
import { useNow } from '../live/now';
import { Voices } from '../sound/Voices';
import { clockTime } from '../words/time';
import { Foot } from './Foot';
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
  const aside = room ? 'how.aside' : 'how.asideOne';
  const about = t(call.aside ? aside : room ? 'how.adding' : 'how.announcing', { name });
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
      <div className="flex items-start gap-4 pt-2 pr-4">
        <div className="min-w-0 flex-1">
          <h3 className="flex flex-wrap items-baseline gap-x-2 lg:flex-nowrap">
            <span className="text-lg leading-snug font-bold lg:truncate">{target}</span>
            <span className="quiet lg:truncate">{aboutParty(call.other, t).join(' · ')}</span>
          </h3>
          <p className="quiet text-sm">{about}</p>
        </div>
        <p className="shrink-0 text-right">
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
      <div className="relative mr-4 flex items-start gap-x-6 gap-y-1 pt-1.5 max-sm:flex-wrap">
        <div className="min-h-5 min-w-0 flex-1 pt-1.5 max-sm:basis-full">
          <Cord course={call.course} earlier={call.earlier} now={now} />
        </div>
        <Voices call={call} />
      </div>
      <div className="border-base-300 mt-1.5 mr-4 border-t border-dashed pt-1.5">
        <div className="flex items-baseline gap-x-4 max-lg:flex-wrap">
          <h4 className="min-w-0 flex-1 font-bold lg:truncate">
            {room ? t('conference.name') : name} <span className="quiet font-normal">{room}</span>
          </h4>
          <p className="shrink-0 max-lg:shrink">
            {caller.phase === 'HELD'
              ? t(room ? 'how.goesOn' : 'how.waiting', { time: waiting })
              : t(`phase.${caller.phase}`, { time: waiting })}
            <span className="quiet">
              {t('phase.of', { time: clockTime(now - Date.parse(caller.began)) })}
              {caller.phase === 'HELD' && !room && ` · ${t(`hears.${caller.otherHears}`)}`}
            </span>
          </p>
        </div>
        <div className="pt-1.5">
          <Cord course={caller.course} earlier={caller.earlier} now={now} />
        </div>
      </div>
      <Foot of={call}>
        <div className="flex gap-1.5 max-lg:flex-wrap md:mt-2 md:pr-4 md:pb-2 lg:[&_svg]:hidden">
          {call.actions.map((action, index) => (
            <span
              key={action}
              className={`lg:flex ${words[action] ? 'min-w-0' : 'shrink-0'} ${index === last ? 'ml-auto' : ''}`}
            >
              <CallButton call={call} action={action} word={words[action]} main={index === 0} />
            </span>
          ))}
        </div>
      </Foot>
    </article>
  );
}
