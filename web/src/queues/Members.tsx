import { useTranslation } from 'react-i18next';
import type { PersonView, QueueView } from '../api/types';
import { useNow } from '../live/now';
import { Lamp } from '../people/Lamp';
import { clockTime } from '../words/time';
import { type MemberView, letTakePart } from './queues';

/** The lamp that looks as a member stands. */
const LAMP: Record<MemberView['state'], PersonView['lamp']> = {
  FREE: 'FREE',
  RINGING: 'RINGING',
  SERVING: 'ON_CALL',
  ON_CALL: 'ON_CALL',
  FINISHING: 'BUSY',
  RESTS: 'AWAY',
  AWAY: 'AWAY',
  OFF: 'OFF',
};

/** The members of a queue, how each stands and since when; who leads it has them rest or take part. */
export function Members({ queue }: { queue: QueueView }) {
  const { t } = useTranslation();
  return (
    <section aria-label={t('queue.members')} className="sheet px-4 py-3">
      <h2 className="font-bold">{t('queue.members')}</h2>
      <ul className="mt-1">
        {queue.members.map((each) => (
          <li key={each.person} className="flex items-center gap-2 py-1">
            <Lamp lamp={LAMP[each.state]} />
            <span className="min-w-0 flex-1 leading-tight">
              {each.name}
              <span className="quiet block text-sm">
                <Stands member={each} />
              </span>
            </span>
            {queue.leads && <Switch queue={queue.line} member={each} />}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Stands({ member }: { member: MemberView }) {
  const { t } = useTranslation();
  const now = useNow();
  const left = member.until ? clockTime(Date.parse(member.until) - now) : '';
  const known = member.since && member.state !== 'FINISHING';
  return [
    t(`queue.state.${member.state}`, { time: left }),
    known && clockTime(now - Date.parse(member.since ?? '')),
    member.byExchange ? t('queue.byExchange') : member.reason,
  ]
    .filter(Boolean)
    .join(' · ');
}

function Switch({ queue, member }: { queue: number; member: MemberView }) {
  const { t } = useTranslation();
  const rests = member.state === 'RESTS';
  return (
    <button
      type="button"
      className="btn btn-sm btn-plain"
      aria-label={t(rests ? 'queue.letTakePart' : 'queue.letRest', { name: member.name })}
      onClick={() => void letTakePart(queue, member, rests)}
    >
      {t(rests ? 'queue.partShort' : 'queue.restShort')}
    </button>
  );
}
