import { Suspense, lazy, useCallback, useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { PersonView } from '../api/types';
import { useDrop } from '../calls/drag';
import { callParty, pickUp } from '../calls/services';
import { useNow } from '../live/now';
import { useOnce } from '../live/useOnce';
import { useMe } from '../session/session';
import { clockTime } from '../words/time';
import { Lamp } from './Lamp';
import { saidOf } from '../status/status';
import { usePeople } from './store';
import { usePointed } from './usePointed';
import { useGroups } from './groups';
import { type Whom, WhomSelect, isOf } from './Whom';

const loadCard = () => import('./PersonCard');
const PersonCard = lazy(() => loadCard().then((it) => ({ default: it.PersonCard })));

/** The people of the office by team, with live lamps. A click calls. */
export function People() {
  const { t } = useTranslation();
  const me = useMe();
  // Whoever points at somebody does not wait for it.
  useEffect(() => void loadCard(), []);
  const everybody = usePeople((store) => store.people).filter((person) => person.id !== me.id);
  const [freeOnly, setFreeOnly] = useState(false);
  const [whom, setWhom] = useState<Whom>('');
  const groups = useGroups();
  const teams = [...new Set(everybody.map((person) => person.team))];
  const shown = everybody.filter(
    (person) => (!freeOnly || person.lamp === 'FREE') && isOf(whom, person, groups),
  );
  const free = everybody.filter((person) => person.lamp === 'FREE').length;
  const { board, pointed, row, leaving } = usePointed();
  const about = everybody.find((person) => person.id === pointed?.id);

  return (
    <section
      ref={board}
      aria-label={t('people.title')}
      {...leaving}
      className="sheet relative flex min-h-0 flex-1 flex-col"
    >
      <div className="border-base-300 flex flex-wrap items-center gap-x-2 gap-y-1 border-b px-3 py-2">
        <h2 className="font-bold">{t('people.title')}</h2>
        <p className="quiet flex-1 text-sm whitespace-nowrap">
          {t('people.free', { count: free })}
        </p>
        <WhomSelect whom={whom} everybody={everybody} groups={groups} onChoose={setWhom} />
        <button
          type="button"
          className={`btn btn-sm ${freeOnly ? 'btn-primary' : 'btn-plain'}`}
          aria-pressed={freeOnly}
          onClick={() => setFreeOnly(!freeOnly)}
        >
          {t('people.freeOnly')}
        </button>
      </div>
      {/* Scrollable by keyboard: it holds buttons. */}
      <div className="min-h-0 flex-1 overflow-y-auto px-1.5 py-1">
        {teams
          .filter((each) => shown.some((person) => person.team === each))
          .map((each) => (
            <div key={each} className="mb-1">
              <h3 className="quiet px-2 pt-1.5 pb-0.5 text-sm font-semibold">{each}</h3>
              <ul>
                {shown
                  .filter((person) => person.team === each)
                  .map((person) => (
                    <PersonRow key={person.id} person={person} pointing={row(person.id)} />
                  ))}
              </ul>
            </div>
          ))}
        {shown.length === 0 && everybody.length > 0 && (
          <p className="quiet px-2 py-3">{t('people.nobody')}</p>
        )}
      </div>
      {about && pointed && (
        <Suspense>
          <PersonCard key={about.id} person={about} groups={groups} beside={pointed.beside} />
        </Suspense>
      )}
    </section>
  );
}

interface RowProps {
  person: PersonView;
  pointing: object;
}

function PersonRow({ person, pointing }: RowProps) {
  const { t } = useTranslation();
  const { run, busy } = useOnce(
    useCallback(() => callParty({ dial: person.extension }), [person.extension]),
  );
  const { setNode, over } = useDrop({ kind: 'person', person });
  return (
    <li ref={setNode} className={`flex items-center rounded ${over ? 'drop-here' : ''}`}>
      <button
        type="button"
        className="group hover:bg-base-200 focus-visible:bg-base-200 flex w-full items-center gap-2.5 rounded px-2 py-[5px] text-left"
        aria-label={t('people.call', {
          name: person.name,
          extension: person.extension,
          state: t(`lamp.${person.lamp}`),
        })}
        aria-disabled={busy}
        {...pointing}
        onClick={() => void run()}
      >
        <Lamp lamp={person.lamp} />
        <span className="min-w-0 flex-1 truncate">
          {person.name} <StateText person={person} />
        </span>
        <span className="text-sm font-semibold opacity-0 group-hover:opacity-100 group-focus-visible:opacity-100">
          {t('dial.call')}
        </span>
        <span className="quiet">{person.extension}</span>
      </button>
      {person.lamp === 'RINGING' && (
        <button
          type="button"
          className="btn btn-xs btn-warning ml-1"
          aria-label={t('people.takeName', { name: person.name })}
          onClick={() => void pickUp(person.id)}
        >
          {t('people.take')}
        </button>
      )}
    </li>
  );
}

function StateText({ person }: { person: PersonView }) {
  const { t } = useTranslation();
  if (person.lamp === 'FREE' && !person.said) {
    return null;
  }
  const { forwarded } = person;
  const state =
    person.lamp === 'AWAY' && forwarded
      ? t(`people.forwarded.${forwarded.kind}`, { name: forwarded.name })
      : t(`lamp.${person.lamp}`).toLowerCase();
  return (
    <span className="quiet text-sm leading-none">
      {person.lamp === 'ON_CALL' && person.since ? (
        <Since instant={person.since} />
      ) : (
        [state, saidOf(person.said, t)].filter(Boolean).join(', ')
      )}
    </span>
  );
}

function Since({ instant }: { instant: string }) {
  return clockTime(useNow() - Date.parse(instant));
}
