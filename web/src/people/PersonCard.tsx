import { useTranslation } from 'react-i18next';
import type { ColleagueGroup, PersonView } from '../api/types';
import { activeCall, nameOf } from '../calls/order';
import { callParty, send } from '../calls/services';
import { useCalls } from '../calls/store';
import { attempt } from '../notices/attempt';
import { AddKeyButton } from '../speed/AddKeyButton';
import { saidOf } from '../status/status';
import { timeOfDay } from '../words/time';
import { Lamp } from './Lamp';
import { OwnGroups } from './OwnGroups';
import { changeGroupsOf } from './groups';
import type { Beside } from './usePointed';

interface Props {
  person: PersonView;
  groups: ColleagueGroup[];
  beside: Beside;
}

/** More about the colleague one points at, and what one can do with them. */
export function PersonCard({ person, groups, beside }: Props) {
  const { t } = useTranslation();
  const active = activeCall(useCalls());
  // Nobody is put through to themselves.
  const transfers = active?.actions.includes('TRANSFER') && active.other.dial !== person.extension;
  const state = t(`lamp.${person.lamp}`);
  return (
    <aside
      aria-label={t('people.about', { name: person.name })}
      data-person-card
      style={beside}
      className="sheet border-base-content absolute inset-x-1 z-20 p-3 shadow-lg"
    >
      <p className="flex items-center gap-2 font-bold">
        <Lamp lamp={person.lamp} />
        <span className="min-w-0 flex-1 break-words">{person.name}</span>
        <span>{person.extension}</span>
      </p>
      <p className="quiet text-sm">
        {[
          person.since ? t('people.since', { state, time: timeOfDay(person.since) }) : state,
          person.team,
          person.site,
        ].join(' · ')}
      </p>
      {person.forwarded && (
        <p className="text-sm">
          {t(`people.forwarded.${person.forwarded.kind}`, { name: person.forwarded.name })}
        </p>
      )}
      {person.said && <p className="text-sm">{saidOf(person.said, t)}</p>}
      {person.directNumber && (
        <p className="text-sm">
          <span className="quiet">{t('people.direct')}</span> {person.directNumber}
        </p>
      )}
      {person.mobile && (
        <p className="text-sm">
          <span className="quiet">{t('numberType.MOBILE')}</span> {person.mobile}
        </p>
      )}
      <div className="mt-2 flex flex-wrap gap-1.5">
        <button
          type="button"
          className="btn btn-sm btn-plain"
          onClick={() => void callParty({ dial: person.extension })}
        >
          {t('dial.call')}
        </button>
        {person.mobile && (
          <button
            type="button"
            className="btn btn-sm btn-plain"
            onClick={() => void callParty({ dial: person.mobile ?? '' })}
          >
            {t('people.callMobile')}
          </button>
        )}
        {active && transfers && (
          <button
            type="button"
            className="btn btn-sm btn-primary"
            onClick={() => void attempt(send(active, 'put-through', { to: person.extension }))}
          >
            {t('people.transferHere', { caller: nameOf(active.other, t('party.withheld')) })}
          </button>
        )}
        <AddKeyButton target={{ kind: 'PERSON', of: String(person.id), name: person.name }} />
        {person.mail && (
          <a className="btn btn-sm btn-plain" href={`mailto:${person.mail}`} title={person.mail}>
            {t('people.mail')}
          </a>
        )}
      </div>
      <OwnGroups
        names={groups.filter((each) => each.people.includes(person.id)).map((each) => each.name)}
        onChange={(change) => void changeGroupsOf(person.id, change)}
        look="mt-2"
      />
    </aside>
  );
}
