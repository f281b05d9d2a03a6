import { Suspense, lazy, useEffect, useMemo, useState, type ReactNode } from 'react';
import { useLocation } from 'wouter';
import { loadPanel } from '../calls/AnyPanel';
import { RingingOver } from '../calls/Ringing';
import { CallsElsewhere } from '../calls/CallsElsewhere';
import { useCallKeys } from '../calls/callKeys';
import { cardSheet, useCardSheet } from '../contacts/cardSheet';
import { drafts } from '../followup/drafts';
import { finished } from '../followup/finished';
import { useLine } from '../live/line';
import { pickUp } from '../calls/services';
import { useHasQueues } from '../queues/queues';
import { Notices } from '../notices/Notices';
import { useAlerts } from '../ring/alerts';
import { useMe } from '../session/session';
import { Banner } from './Banner';
import { Header } from './Header';
import { useKeys } from '../ui/keys';
import { views } from './tabs';
import { standsAbove } from '../ui/above';

standsAbove(RingingOver);

const StatusSheet = lazy(() =>
  import('../status/StatusSheet').then((it) => ({ default: it.StatusSheet })),
);
const PartSheet = lazy(() =>
  import('../queues/PartSheet').then((it) => ({ default: it.PartSheet })),
);
const CardSheet = lazy(() =>
  import('../contacts/CardSheet').then((it) => ({ default: it.CardSheet })),
);
const KeysDialog = lazy(() => import('./KeysDialog').then((it) => ({ default: it.KeysDialog })));

/** After the page is there: nobody waits for it, and it is part of no view. */
function startSound() {
  let stop: (() => void) | undefined;
  let over = false;
  void import('../sound/softphone').then(({ startSoftphone }) => {
    stop = over ? undefined : startSoftphone();
  });
  return () => {
    over = true;
    stop?.();
  };
}

/** What surrounds every view: tabs, my state, banners, notices, and calls that need me. */
export function Frame({ children }: { children: ReactNode }) {
  const [pathname, navigate] = useLocation();
  const me = useMe();
  const run = useLine((line) => line.run);
  const [keysOpen, setKeysOpen] = useState(false);
  const [statusOpen, setStatusOpen] = useState(false);
  const [partOpen, setPartOpen] = useState(false);
  const queues = useHasQueues();
  const card = useCardSheet((store) => store.card);
  useAlerts();
  useCallKeys();
  useEffect(startSound, []);
  useEffect(() => void loadPanel(), []);
  useEffect(() => finished.restore(), []);
  useEffect(() => drafts.sendAll(me.id), [me.id, run]);
  useKeys(
    useMemo(
      () => [
        { key: '?', run: () => setKeysOpen(true) },
        { key: ',', run: () => setStatusOpen(true) },
        { key: '-', run: () => setPartOpen(true) },
        { key: 'g', run: () => void pickUp() },
        ...views(me, queues).map((tab) => ({
          key: tab.key.toLowerCase(),
          run: () => navigate(tab.path),
        })),
      ],
      [navigate, me, queues],
    ),
  );

  return (
    <div className="flex min-h-dvh flex-col max-md:pb-14 lg:h-dvh">
      <Header
        queues={queues}
        onKeys={() => setKeysOpen(true)}
        onStatus={() => setStatusOpen(true)}
        onPart={() => setPartOpen(true)}
      />
      <Banner />
      <main className="relative mx-auto flex w-full max-w-[1600px] min-h-0 flex-1 flex-col px-4 pt-4 pb-[calc(1rem+var(--foot,0px))] md:pb-4">
        {children}
        {/* At the foot: nothing of the view moves when a call begins or ends. */}
        {pathname !== '/desk' && <CallsElsewhere />}
      </main>
      <Notices />
      <Suspense>{statusOpen && <StatusSheet onClose={() => setStatusOpen(false)} />}</Suspense>
      <Suspense>{partOpen && <PartSheet onClose={() => setPartOpen(false)} />}</Suspense>
      <Suspense>{card && <CardSheet {...card} onClose={cardSheet.close} />}</Suspense>
      <Suspense>{keysOpen && <KeysDialog onClose={() => setKeysOpen(false)} />}</Suspense>
    </div>
  );
}
