import type { KeyboardEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { useMe } from '../session/session';
import { usePeople } from './store';

/** Everybody but me. */
export function useColleagues() {
  const me = useMe();
  return usePeople((store) => store.people).filter((person) => person.id !== me.id);
}

interface Props {
  label: string;
  onKeyDown?: (event: KeyboardEvent) => void;
}

/** The field `person` of a form in which a colleague is chosen; it is what was just asked for. */
export function ColleagueSelect({ label, onKeyDown }: Props) {
  const { t } = useTranslation();
  return (
    <label className="min-w-52">
      {label}
      <select
        name="person"
        // eslint-disable-next-line jsx-a11y/no-autofocus -- it is what was just asked for
        autoFocus
        defaultValue=""
        onKeyDown={onKeyDown}
        className="select bg-base-100 mt-1 w-full"
      >
        <option value="" disabled>
          {t('people.chooseColleague')}
        </option>
        {useColleagues().map((person) => (
          <option key={person.id} value={person.id}>
            {person.name}
          </option>
        ))}
      </select>
    </label>
  );
}
