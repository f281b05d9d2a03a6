import { IconChevronDown } from '@tabler/icons-react';
import { Suspense, lazy, useEffect, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useLocation } from 'wouter';
import { Lamp } from '../people/Lamp';
import { usePeople } from '../people/store';
import { useMe } from '../session/session';
import { saidOf, useKept, useOwnStatus } from '../status/status';
import { standing, useQueues } from '../queues/queues';
import { useFresh } from '../voicemail/messages';
import { DeviceChip } from './DeviceChip';
import { Mark } from '../ui/Mark';
import type { Sheet } from './PersonMenu';
import { RulesChip } from './RulesChip';
import { QUEUES, RULES, TABS } from './tabs';

/** The menu and the sheets load when they are opened. */
const PersonMenu = lazy(() => import('./PersonMenu').then((it) => ({ default: it.PersonMenu })));
const PreferencesDialog = lazy(() =>
  import('../preferences/PreferencesDialog').then((it) => ({ default: it.PreferencesDialog })),
);
const PasswordDialog = lazy(() =>
  import('../session/PasswordDialog').then((it) => ({ default: it.PasswordDialog })),
);
const OfficeRecording = lazy(() =>
  import('../recordings/OfficeRecording').then((it) => ({ default: it.OfficeRecording })),
);
const OpeningSheet = lazy(() =>
  import('../rules/OpeningSheet').then((it) => ({ default: it.OpeningSheet })),
);
const OutcomesDialog = lazy(() =>
  import('../followup/OutcomesDialog').then((it) => ({ default: it.OutcomesDialog })),
);
const PhrasesDialog = lazy(() =>
  import('../followup/PhrasesDialog').then((it) => ({ default: it.PhrasesDialog })),
);
const SignInsDialog = lazy(() =>
  import('../session/SignInsDialog').then((it) => ({ default: it.SignInsDialog })),
);

const SecondFactorDialog = lazy(() =>
  import('../session/SecondFactorDialog').then((it) => ({ default: it.SecondFactorDialog })),
);

const QueuesDialog = lazy(() =>
  import('../queues/QueuesDialog').then((it) => ({ default: it.QueuesDialog })),
);
const SlotsDialog = lazy(() =>
  import('../park/SlotsDialog').then((it) => ({ default: it.SlotsDialog })),
);

interface Props {
  onKeys: () => void;
  onStatus: () => void;
  onPart: () => void;
}

/** The band along the top: the tabs, and always in sight my number, device and state. */
export function Header({ queues, ...person }: Props & { queues: boolean }) {
  const { t } = useTranslation();
  const [pathname] = useLocation();
  const isOpen = (path: string) => pathname === path || pathname.startsWith(`${path}/`);
  return (
    <header className="bg-neutral text-neutral-content flex flex-wrap items-end gap-x-3 px-4 max-md:items-center max-md:gap-x-1.5">
      <p className="flex h-[52px] items-center gap-2 pr-4 text-xl font-bold max-sm:pr-0">
        <Mark />
        <span className="max-xl:sr-only">{t('product')}</span>
      </p>
      <nav
        aria-label={t('tab.all')}
        className="bg-neutral flex gap-1 self-end max-md:fixed max-md:inset-x-0 max-md:bottom-0 max-md:z-20 max-md:h-14"
      >
        {[...TABS, ...(queues ? [QUEUES] : [])].map((tab) => (
          <Link
            key={tab.path}
            to={tab.path}
            title={t('key.title', { key: tab.key })}
            aria-current={isOpen(tab.path) ? 'page' : undefined}
            className={`rounded-t-lg px-3.5 pt-2.5 pb-2.5 max-md:flex max-md:flex-1 max-md:items-center max-md:justify-center max-md:rounded-none max-md:px-1 ${
              isOpen(tab.path)
                ? 'bg-base-200 text-base-content font-semibold'
                : 'opacity-85 hover:opacity-100'
            }`}
          >
            {t(tab.word)}
            {tab.path === '/voicemail' && <Fresh />}
          </Link>
        ))}
      </nav>
      <div className="on-band ml-auto flex min-h-[52px] items-center gap-2 max-md:contents">
        <RulesChip open={isOpen(RULES.path)} title={t('key.title', { key: RULES.key })} />
        <DeviceChip />
        <PersonChip {...person} />
      </div>
    </header>
  );
}

/** How many messages are new. */
function Fresh() {
  const { t } = useTranslation();
  const fresh = useFresh();
  return fresh > 0 ? (
    <span
      aria-label={t('mailbox.count', { count: fresh })}
      className="bg-accent text-accent-content ml-2 rounded px-1.5 py-0.5 text-sm font-bold"
    >
      {fresh}
    </span>
  ) : null;
}

/** That I rest, or write down what the last call was about, where I am a member of queues. */
function AsMember({ me }: { me: number }) {
  const { t } = useTranslation();
  const { queues, finishing } = useQueues();
  const rests = standing(queues, me).find((each) => each.state === 'RESTS');
  const word = rests?.byExchange
    ? 'queues.missed'
    : rests?.reason
      ? 'queues.restsBecause'
      : 'queues.rests';
  if (finishing) {
    return <span className="text-accent"> · {t('queues.finishes')}</span>;
  }
  return rests ? <span className="text-accent"> · {t(word, { reason: rests.reason })}</span> : null;
}

function PersonChip({ onKeys, onStatus, onPart }: Props) {
  const { t } = useTranslation();
  const me = useMe();
  const own = usePeople((store) => store.people.find((person) => person.id === me.id));
  const status = useOwnStatus();
  // To others I am away when my calls go elsewhere; here stands what I have said.
  const said = own?.lamp === 'AWAY' && own.forwarded ? (status?.kind ?? 'FREE') : undefined;
  const lamp = said ?? own?.lamp ?? 'OFF';
  const kept = useKept(status);
  const [open, setOpen] = useState(false);
  const [dialog, setDialog] = useState<Sheet | ''>('');
  const box = useRef<HTMLDivElement>(null);

  useEffect(() => {
    if (!open) {
      return undefined;
    }
    const outside = (event: Event) => {
      const escape = event instanceof KeyboardEvent && event.key === 'Escape';
      if (
        escape ||
        (event.type === 'pointerdown' && !box.current?.contains(event.target as Node))
      ) {
        setOpen(false);
      }
    };
    document.addEventListener('pointerdown', outside);
    document.addEventListener('keydown', outside);
    return () => {
      document.removeEventListener('pointerdown', outside);
      document.removeEventListener('keydown', outside);
    };
  }, [open]);

  return (
    <div ref={box} className="relative">
      <button
        type="button"
        className="chip flex h-10 items-center gap-2 px-3 text-left text-sm max-sm:px-2"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        <Lamp lamp={lamp} />
        <span className="leading-tight">
          <span className="block max-w-40 truncate font-semibold max-sm:sr-only">
            {me.name} <span className="font-normal">{me.extension}</span>
          </span>
          <span className="block text-xs opacity-80">
            <span className="sm:hidden">{me.extension} · </span>
            {t(`lamp.${lamp}`)}
            {kept > 0 && (
              <span className="text-accent"> · {t('status.kept', { count: kept })}</span>
            )}
            <AsMember me={me.id} />
            {kept === 0 && status?.until && ` · ${saidOf({ ...status, text: '' }, t)}`}
          </span>
        </span>
        <IconChevronDown size={16} aria-hidden="true" />
      </button>
      <Suspense>
        {open && (
          <PersonMenu
            onClose={() => setOpen(false)}
            onKeys={onKeys}
            onStatus={onStatus}
            onPart={onPart}
            onSheet={setDialog}
          />
        )}
        {dialog === 'password' && <PasswordDialog onClose={() => setDialog('')} />}
        {dialog === 'opening' && <OpeningSheet onClose={() => setDialog('')} />}
        {dialog === 'outcomes' && <OutcomesDialog onClose={() => setDialog('')} />}
        {dialog === 'phrases' && <PhrasesDialog ofOffice onClose={() => setDialog('')} />}
        {dialog === 'recording' && <OfficeRecording onClose={() => setDialog('')} />}
        {dialog === 'slots' && <SlotsDialog onClose={() => setDialog('')} />}
        {dialog === 'queues' && <QueuesDialog onClose={() => setDialog('')} />}
        {dialog === 'secondFactor' && <SecondFactorDialog onClose={() => setDialog('')} />}
        {dialog === 'signIns' && <SignInsDialog onClose={() => setDialog('')} />}
        {dialog === 'preferences' && <PreferencesDialog onClose={() => setDialog('')} />}
      </Suspense>
    </div>
  );
}
