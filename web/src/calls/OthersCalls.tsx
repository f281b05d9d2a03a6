import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import type { LineUseView, OthersCallView, PartyView } from '../api/types';
import { KeyCap } from '../ui/KeyCap';
import { useKeys } from '../ui/keys';
import { usePrincipals } from '../lines/lines';
import { useNow } from '../live/now';
import { useOnce } from '../live/useOnce';
import { Lamp } from '../people/Lamp';
import { useQueues } from '../queues/queues';
import { useMe } from '../session/session';
import { usePeople } from '../people/store';
import { clockTime } from '../words/time';
import { nameOf } from './order';
import { takeOver } from './services';
import { useCallStore, useCalls } from './store';

/** Those I act for, with their calls; the calls that others have in my name; my shared lines in use. */
export function OthersCalls() {
  const { t } = useTranslation();
  const others = useCallStore((store) => store.others);
  const people = usePeople((store) => store.people);
  const callsOf = (person?: number | null) =>
    others.filter(({ holder, mine }) => !mine && holder.person === person);
  // A meeting room nobody uses takes no space; its lamp is on the people board all the same.
  const principals = usePrincipals().filter(
    ({ person }) =>
      callsOf(person).length > 0 || people.find(({ id }) => id === person)?.lamp !== 'OFF',
  );
  const me = useMe();
  const calls = useCalls();
  // What rings here has a strip of its own.
  const elsewhere = ({ name, ringing }: LineUseView) =>
    ringing > calls.filter(({ phase, line }) => phase === 'RINGING' && line === name).length;
  // Those that keep callers have a row of their own, with who waits.
  const { queues } = useQueues();
  const lines = useCallStore((store) => store.lines).filter(
    (each) =>
      !queues.some(({ line }) => line === each.line) &&
      (elsewhere(each) || each.talking.some((name) => name !== me.name)),
  );
  const first = others.find((each) => each.service);
  useKeys(
    useMemo(
      () => [{ key: '=', run: () => first !== undefined && (void takeOver(first), true) }],
      [first],
    ),
  );
  const mine = others.filter((each) => each.mine);
  if (principals.length + mine.length + lines.length === 0) {
    return null;
  }
  return (
    <section
      aria-label={t('others.title')}
      className="sheet shrink-0 px-3 py-1.5 lg:max-h-[40%] lg:overflow-y-auto"
    >
      <h2 className="sr-only">{t('others.title')}</h2>
      <ul className="divide-base-300 divide-y">
        {principals.map((each) => (
          <Principal
            key={each.person}
            principal={each}
            calls={callsOf(each.person)}
            first={first}
          />
        ))}
        {mine.map((each) => (
          <li key={each.call} className="flex flex-wrap items-center gap-x-3 py-0.5">
            <span className="w-full font-semibold">
              {t('others.mine', { name: nameOf(each.holder, '') })}
            </span>
            <OthersCall call={each} first={each === first} />
          </li>
        ))}
        {lines.map((each) => (
          <Line key={each.line} use={each} />
        ))}
      </ul>
    </section>
  );
}

function Line({ use }: { use: LineUseView }) {
  const { t } = useTranslation();
  const now = useNow();
  const time = use.ringsSince && clockTime(now - Date.parse(use.ringsSince));
  return (
    <li className="flex flex-wrap items-center gap-x-3 py-1">
      <span className="w-full font-semibold">{t('others.line', { line: use.name })}</span>
      <span className="min-w-0 flex-1">
        {[
          time && t('others.rings', { count: use.ringing, time }),
          use.talking.length > 0 && t('others.talking', { names: use.talking.join(', ') }),
        ]
          .filter(Boolean)
          .join(' · ')}
      </span>
    </li>
  );
}

interface PrincipalProps {
  principal: PartyView;
  calls: OthersCallView[];
  first?: OthersCallView;
}

function Principal({ principal, calls, first }: PrincipalProps) {
  const { t } = useTranslation();
  const person = usePeople((store) => store.people.find(({ id }) => id === principal.person));
  return (
    <li className="flex flex-wrap items-start gap-x-3 py-0.5">
      <span className="flex w-full items-center gap-2 pt-1 font-semibold">
        {person && <Lamp lamp={person.lamp} />}
        {t('others.actsFor', { name: nameOf(principal, '') })}
      </span>
      {calls.length === 0 ? (
        <span className="quiet pt-1">
          {(person && person.lamp !== 'FREE' && t(`lamp.${person.lamp}`)) || t('others.none')}
        </span>
      ) : (
        <ul className="min-w-0 flex-1">
          {calls.map((each) => (
            <li key={each.call} className="flex flex-wrap items-center gap-x-3">
              <OthersCall call={each} first={each === first} />
            </li>
          ))}
        </ul>
      )}
    </li>
  );
}

function OthersCall({ call, first }: { call: OthersCallView; first: boolean }) {
  const { t } = useTranslation();
  const now = useNow();
  const name = nameOf(call.other, t('party.withheld'));
  const { run, busy } = useOnce(takeOver);
  const word =
    call.service &&
    t(`others.${call.mine && call.service === 'TAKE_OVER' ? 'TAKE_BACK' : call.service}`);
  return (
    <>
      <span className="min-w-0 flex-1 py-1 break-words">
        {t('others.with', { name })}{' '}
        <span className="quiet">
          {t(`phase.${call.phase}`, { time: clockTime(now - Date.parse(call.since)) })}
        </span>
      </span>
      {word && (
        <button
          type="button"
          className={`btn btn-sm ${call.phase === 'RINGING' ? 'btn-success' : 'btn-plain'}`}
          aria-label={t('others.label', { word, name })}
          disabled={busy}
          onClick={() => void run(call)}
        >
          {word} {first && <KeyCap name="=" />}
        </button>
      )}
    </>
  );
}
