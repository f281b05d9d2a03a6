import { useTranslation } from 'react-i18next';
import { Tips } from '../frame/Tips';
import { activeCall, useCalls } from '../live/calls';
import type { CallView } from '../api/types';
import { Announcement } from './Announcement';
import { CallStrip } from './CallStrip';
import { DialField } from './DialField';
import { People } from './People';

/** The main view: dialling, the calls in hand and the people, all in sight. */
export function Desk() {
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] gap-4 lg:grid-cols-[minmax(0,1fr)_332px]">
      <div className="flex min-h-0 flex-col gap-4">
        <h1 className="sr-only">{useTranslation().t('tab.desk')}</h1>
        <DialField />
        <Tips />
        <InHand />
      </div>
      <People />
    </div>
  );
}

function InHand() {
  const { t } = useTranslation();
  const calls = useCalls();
  const active = activeCall(calls);
  const talking = active?.phase === 'TALKING' ? active.other.name : '';
  return (
    <section aria-label={t('inHand.title')} className="flex min-h-0 flex-col lg:overflow-y-auto">
      <h2 className="mb-2 flex items-baseline gap-3 font-bold">
        {t('inHand.title')}
        <span className="quiet text-sm font-normal">
          {calls.length > 0 && t('inHand.count', { count: calls.length })}
          {talking && t('inHand.talking', { name: talking })}
        </span>
      </h2>
      {calls.length === 0 && <p className="quiet">{t('inHand.none')}</p>}
      <ul className="flex flex-col gap-2.5">
        {ordered(calls).map((call) => (
          <li key={call.id}>
            <Strip call={call} calls={calls} />
          </li>
        ))}
      </ul>
    </section>
  );
}

/** A call alone, or together with the one it announces. */
function Strip({ call, calls }: { call: CallView; calls: CallView[] }) {
  const caller = calls.find((each) => each.id === call.announces);
  return caller ? <Announcement call={call} caller={caller} /> : <CallStrip call={call} />;
}

/** What rings comes first, what is held last, each in the order in which it came. */
function ordered(calls: ReturnType<typeof useCalls>) {
  const place = (phase: string) =>
    phase === 'RINGING' ? 0 : ['HELD', 'SENT'].includes(phase) ? 2 : 1;
  const announced = new Set(calls.map((call) => call.announces));
  return calls
    .filter((call) => !announced.has(call.id))
    .sort((a, b) => place(a.phase) - place(b.phase));
}
