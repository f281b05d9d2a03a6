import { useTranslation } from 'react-i18next';
import type { ColleagueGroup, PersonView } from '../api/types';

/** Whom of the office somebody wants to see: all, those of a team, a site or a group of their own. */
export type Whom = '' | `team:${string}` | `site:${string}` | `mine:${string}`;

export function isOf(whom: Whom, person: PersonView, groups: ColleagueGroup[]): boolean {
  const name = whom.slice(whom.indexOf(':') + 1);
  switch (whom.split(':')[0]) {
    case 'team':
      return person.team === name;
    case 'site':
      return person.site === name;
    case 'mine': {
      // Of a group that is there no more everybody is shown, as the choice says then.
      const group = groups.find((each) => each.name === name);
      return !group || group.people.includes(person.id);
    }
    default:
      return true;
  }
}

interface Props {
  whom: Whom;
  everybody: PersonView[];
  groups: ColleagueGroup[];
  onChoose: (whom: Whom) => void;
}

/** Chooses whom to show. */
export function WhomSelect({ whom, everybody, groups, onChoose }: Props) {
  const { t } = useTranslation();
  const choices: [string, Whom, string][] = [
    ...groups.map(({ name }): [string, Whom, string] => [
      t('ownGroups.mine'),
      `mine:${name}`,
      name || t('ownGroups.favourites'),
    ]),
    ...[...new Set(everybody.map((person) => person.team))].map((team): [string, Whom, string] => [
      t('people.teams'),
      `team:${team}`,
      team,
    ]),
    ...[...new Set(everybody.map((person) => person.site))].map((site): [string, Whom, string] => [
      t('people.sites'),
      `site:${site}`,
      site,
    ]),
  ];
  return (
    <select
      aria-label={t('people.team')}
      className="select select-sm w-26"
      value={choices.some(([, value]) => value === whom) ? whom : ''}
      onChange={(event) => onChoose(event.target.value as Whom)}
    >
      <option value="">{t('people.all')}</option>
      {[...new Set(choices.map(([kind]) => kind))].map((kind) => (
        <optgroup key={kind} label={kind}>
          {choices
            .filter(([of]) => of === kind)
            .map(([, value, name]) => (
              <option key={value} value={value}>
                {name}
              </option>
            ))}
        </optgroup>
      ))}
    </select>
  );
}
