import { Suspense, lazy } from 'react';
import { useTranslation } from 'react-i18next';
import type { CallView } from '../api/types';
import { LiveCord } from '../cord/Cord';
import { useNow } from '../live/now';
import { Voices } from '../sound/Voices';
import { clockTime } from '../words/time';
import { AnyPanel } from './AnyPanel';
import { CallButtons } from './CallButtons';
import { Members } from './Members';
import { useCallDrag, useDrop } from './drag';
import { howItCame } from './howItCame';
import { aboutParty, nameOf } from './order';
import { useCallStore } from './store';
import { TapeSign } from './TapeSign';
import { WhoIsIt } from './WhoIsIt';

const KnownLine = lazy(() =>
  import('../followup/KnownLine').then((it) => ({ default: it.KnownLine })),
);

const LOOK: Record<CallView['phase'], string> = {
  RINGING:
    'ringing-strip border-2 bg-[color-mix(in_oklab,var(--color-accent)_14%,var(--color-base-100))]',
  DIALLING: 'border-accent',
  CALLING: 'border-accent',
  TALKING: 'border-primary',
  WAITING: 'border-primary',
  UNATTENDED: 'border-accent',
  HELD: '',
  FAILED: 'border-error',
  MESSAGE: 'border-secondary',
  SENT: 'border-dashed border-accent',
};

/** One call in hand: who, how it stands, its cord, and what can be done with it now. */
export function CallStrip({ call }: { call: CallView }) {
  const { t } = useTranslation();
  const panel = useCallStore((store) => (store.panel?.call === call.id ? store.panel.what : ''));
  const chosen = useCallStore((store) => store.chosen === call.id);
  const { setNode: setDragNode, handlers } = useCallDrag(call);
  const { setNode: setDropNode, over } = useDrop({ kind: 'call', call });
  /** Whether the buttons stand beside the name, where they are near at hand. */
  const beside = ['RINGING', 'HELD', 'SENT'].includes(call.phase);
  const compact = call.phase === 'HELD' || call.phase === 'SENT';
  const name = nameOf(call.other, t('party.withheld'));
  const title = call.conference
    ? t('conference.title', {
        names: call.conference.members
          .map((each) => nameOf(each.who, t('party.withheld')))
          .join(', '),
      })
    : name;
  const details = call.conference ? [] : aboutParty(call.other, t);

  return (
    <article
      ref={(node) => {
        setDragNode(node);
        setDropNode(node);
      }}
      aria-label={call.conference ? t('conference.name') : name}
      aria-current={chosen || undefined}
      className={`sheet relative px-4 ${compact ? 'py-1.5' : 'py-2.5'} ${LOOK[call.phase]} ${chosen ? 'chosen-strip' : ''} ${over ? 'drop-here' : ''}`}
      {...handlers}
    >
      <div className="flex flex-wrap items-start gap-x-4 gap-y-1">
        <div className="min-w-0 flex-1 basis-44 sm:basis-48">
          <h3
            className={`flex items-baseline gap-x-2 ${compact ? 'sm:flex-nowrap max-sm:flex-wrap' : 'flex-wrap'}`}
          >
            <span
              className={`max-w-full text-lg leading-snug font-bold break-words ${compact ? 'sm:shrink-0' : ''}`}
            >
              {title}
            </span>
            <span className={`quiet ${compact ? 'min-w-0 truncate' : ''}`}>
              {details.join(' · ')}
            </span>
          </h3>
          <div className="flex flex-wrap items-center gap-x-3">
            {!compact && <p className="quiet">{howItCame(call, name, t)}</p>}
            {!compact && !call.conference && <WhoIsIt call={call} />}
          </div>
          {call.phase === 'RINGING' && call.other.kind === 'OUTSIDE' && call.other.dial && (
            <Suspense>
              <KnownLine number={call.other.dial} />
            </Suspense>
          )}
          <TapeSign call={call} />
        </div>
        {compact && <Waiting call={call} />}
        {beside && <CallButtons call={call} wide={false} />}
        {!beside && <Times call={call} />}
      </div>
      <div className={`flex items-start gap-4 ${compact ? 'mt-1.5' : 'mt-2'}`}>
        <div className="min-w-0 flex-1">
          <LiveCord course={call.course} earlier={call.earlier} words={!beside} />
        </div>
        {call.phase === 'RINGING' && (
          <p className="shrink-0 font-semibold">
            <State call={call} />
          </p>
        )}
        {compact && (
          <p className="quiet -mt-1 shrink-0 text-sm max-sm:shrink">{howItCame(call, name, t)}</p>
        )}
      </div>
      {call.conference && <Members call={call} conference={call.conference} />}
      <Voices call={call} />
      {!beside && (
        <div className="mt-2">
          <CallButtons call={call} wide />
        </div>
      )}
      {panel && <AnyPanel call={call} what={panel} />}
    </article>
  );
}

/** What goes on, with its time. Only this and the other times are drawn anew each second. */
function State({ call }: { call: CallView }) {
  const { t } = useTranslation();
  const now = useNow();
  return call.phase === 'FAILED'
    ? t(`failure.${call.failure}`, { name: nameOf(call.other, t('party.withheld')) })
    : t(`phase.${call.phase}`, { time: clockTime(now - Date.parse(call.since)) });
}

/** How long somebody has waited, in the row of the name. */
function Waiting({ call }: { call: CallView }) {
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
function Times({ call }: { call: CallView }) {
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
