import { useTranslation } from 'react-i18next';
import type { RuleTarget } from '../api/types';
import { useLines } from '../lines/lines';
import { usePeople } from '../people/store';

/** What one chooses from; a colleague, a line and an outside number are all dialled. */
export type Choice = 'VOICEMAIL' | 'PERSON' | 'LINE' | 'NUMBER' | 'REFUSE' | 'RING';

export interface Chosen {
  choice: Choice;
  dial: string;
}

export const targetOf = ({ choice, dial }: Chosen): RuleTarget =>
  choice === 'PERSON' || choice === 'LINE' || choice === 'NUMBER'
    ? { kind: 'DIAL', dial }
    : { kind: choice, dial: '' };

interface Props {
  label: string;
  choices: readonly Choice[];
  chosen: Chosen;
  onChange: (chosen: Chosen) => void;
}

/** Where calls go: a kind of place, and which. */
export function TargetFields({ label, choices, chosen, onChange }: Props) {
  const { t } = useTranslation();
  const people = usePeople((store) => store.people);
  const lines = useLines();
  const { choice, dial } = chosen;
  const some = (of: { dial: string; name: string }[], word: string) => (
    <label className="text-sm">
      {t(word)}
      <select
        required
        className="select select-sm mt-0.5 flex w-52"
        value={dial}
        onChange={(event) => onChange({ choice, dial: event.target.value })}
      >
        <option value="" />
        {of.map((each) => (
          <option key={each.dial} value={each.dial}>
            {each.name}
          </option>
        ))}
      </select>
    </label>
  );
  return (
    <>
      <label className="text-sm">
        {label}
        <select
          className="select select-sm mt-0.5 flex w-52"
          value={choice}
          onChange={(event) => onChange({ choice: event.target.value as Choice, dial: '' })}
        >
          {choices.map((each) => (
            <option key={each} value={each}>
              {t(`rules.target.${each}`)}
            </option>
          ))}
        </select>
      </label>
      {choice === 'PERSON' &&
        some(
          people.map((each) => ({ dial: each.extension, name: each.name })),
          'rules.targetPerson',
        )}
      {choice === 'LINE' &&
        some(
          lines.map((each) => ({ dial: each.extension, name: each.name })),
          'rules.targetLine',
        )}
      {choice === 'NUMBER' && (
        <label className="text-sm">
          {t('rules.targetNumber')}
          <input
            type="tel"
            required
            maxLength={40}
            className="input input-sm bg-base-100 block w-52"
            value={dial}
            onChange={(event) => onChange({ choice, dial: event.target.value })}
          />
        </label>
      )}
    </>
  );
}
