import { Suspense, lazy, useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { CallBackView, CallView } from '../api/types';
import { Announcement } from '../strips/Announcement';
import { OthersCalls } from '../calls/OthersCalls';
import { CallStrip } from '../strips/CallStrip';
import { Ringing } from '../calls/Ringing';
import { DragBoard } from '../calls/drag';
import { activeCall, inOrder } from '../calls/order';
import { cancelCallBack } from '../calls/services';
import { useCallStore, useCalls } from '../calls/store';
import { DialField } from '../dial/DialField';
import { isBack, useFinished } from '../followup/finished';
import { Tips } from './Tips';
import { Shelf } from '../park/Shelf';
import { People } from '../people/People';
import { SpeedDials } from '../speed/SpeedDials';
import { timeOfDay } from '../words/time';

const NotSetUp = lazy(() => import('../office/NotSetUp').then((it) => ({ default: it.NotSetUp })));

/** Nobody waits for it who has a call. */
const Worklist = lazy(() => import('./Worklist').then((it) => ({ default: it.Worklist })));

const QueueRow = lazy(() => import('../queues/QueueRow').then((it) => ({ default: it.QueueRow })));
const FinishingRow = lazy(() =>
  import('../queues/FinishingRow').then((it) => ({ default: it.FinishingRow })),
);

/** Loads once the desk is there: whoever answers can write at once. */
const loadKnown = () => import('../followup/Known');
const Known = lazy(() => loadKnown().then((it) => ({ default: it.Known })));
const Finished = lazy(() =>
  import('../followup/Finished').then((it) => ({ default: it.Finished })),
);

/** The main view: dialling, the calls in hand, the people and the park slots, all in sight. */
export function Desk() {
  useEffect(() => void loadKnown(), []);
  return (
    <DragBoard>
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] gap-3 lg:grid-cols-[minmax(0,1fr)_var(--people)] lg:grid-rows-[minmax(0,1fr)_auto] lg:gap-x-4">
        <div className="flex min-h-0 flex-col gap-3">
          <h1 className="sr-only">{useTranslation().t('tab.desk')}</h1>
          <DialField />
          <Ringing />
          <Heading />
          <InHand />
        </div>
        <div className="flex min-w-0 flex-col gap-2 lg:col-span-2 lg:row-start-2">
          <SpeedDials />
          <Shelf />
        </div>
        <div className="flex min-h-0 flex-col gap-3 lg:col-start-2 lg:row-start-1">
          <People />
          <Suspense>
            <QueueRow />
          </Suspense>
          <OthersCalls />
        </div>
      </div>
    </DragBoard>
  );
}

/**
 * How many calls are in hand, and what came of the last one. Its height is kept: whatever rings covers it and moves
 * nothing. On a narrow screen, where that is above everything, the last call stands behind those in hand.
 */
function Heading() {
  const { t } = useTranslation();
  const calls = useCalls();
  const active = activeCall(calls);
  const talking = active?.phase === 'TALKING' ? active.other.name : '';
  const over = useFinished((store) => store.all).filter((each) => !isBack(each, calls));
  const [next, setNext] = useState('');
  const shown = over.find((each) => each.id === next) ?? over[0];
  return (
    <div className="flex flex-col gap-1 max-lg:contents lg:h-(--ringing) lg:shrink-0">
      <h2 className="flex min-h-8 items-center gap-3 font-bold max-lg:flex-wrap">
        <span className="shrink-0">{t('inHand.title')}</span>
        <span className="quiet text-sm font-normal">
          {calls.length > 0 && t('inHand.count', { count: calls.length })}
          {active?.conference
            ? t('inHand.conference')
            : talking && t('inHand.talking', { name: talking })}
        </span>
        <span className="ml-auto text-sm font-normal">
          <Suspense>
            <FinishingRow />
          </Suspense>
        </span>
      </h2>
      {shown && (
        <div className={calls.length > 0 ? 'max-lg:order-1' : ''}>
          <Suspense>
            <Finished
              key={shown.id}
              over={shown}
              others={over.length - 1}
              onNext={() => setNext(over[(over.indexOf(shown) + 1) % over.length]?.id ?? '')}
            />
          </Suspense>
        </div>
      )}
      {calls.length === 0 && !shown && <p className="quiet">{t('inHand.none')}</p>}
    </div>
  );
}

function InHand() {
  const { t } = useTranslation();
  const calls = useCalls();
  const callBacks = useCallStore((store) => store.callBacks);
  const others = inOrder(calls).filter((call) => call.phase !== 'RINGING');
  const active = activeCall(calls);
  return (
    <section
      aria-label={t('inHand.title')}
      className="flex min-h-0 flex-1 flex-col gap-2 lg:overflow-y-auto"
    >
      <ul className="flex shrink-0 flex-col gap-2">
        {others.map((call) => (
          <li key={call.id}>
            <Strip call={call} calls={calls} />
          </li>
        ))}
        {callBacks.map((each) => (
          <li key={each.id}>
            <CallBackStrip callBack={each} />
          </li>
        ))}
      </ul>
      {/* Behind all calls: it must push none of them out of sight. */}
      <Suspense>{active && <Known call={active} />}</Suspense>
      {/* What rings only covers what it finds; whoever has a call in hand has no eyes for these. */}
      {others.length === 0 && (
        <>
          <Suspense>
            <NotSetUp />
          </Suspense>
          <Tips />
          <Suspense>
            <Worklist />
          </Suspense>
        </>
      )}
    </section>
  );
}

/** A call alone, or together with the one it announces. */
function Strip({ call, calls }: { call: CallView; calls: CallView[] }) {
  const caller = calls.find((each) => each.id === call.announces);
  return caller ? <Announcement call={call} caller={caller} /> : <CallStrip call={call} />;
}

/** A colleague I wait for. */
function CallBackStrip({ callBack }: { callBack: CallBackView }) {
  const { t } = useTranslation();
  return (
    <div className="sheet flex flex-wrap items-center gap-3 border-dashed px-4 py-2">
      <p className="flex-1">
        <span className="font-bold">{t('callBack.waiting', { name: callBack.name })}</span>{' '}
        <span className="quiet">{t('callBack.until', { time: timeOfDay(callBack.until) })}</span>
      </p>
      <button
        type="button"
        className="btn btn-sm btn-plain"
        onClick={() => void cancelCallBack(callBack.id)}
      >
        {t('callBack.stop')}
      </button>
    </div>
  );
}
