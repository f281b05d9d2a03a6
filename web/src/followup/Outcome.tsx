import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { chooseOutcome, useOutcomes } from './followUps';

/** What came of a call, from the office's list. */
export function Outcome({ call, chosen = '' }: { call: string; chosen?: string }) {
  const { t } = useTranslation();
  const outcomes = useOutcomes();
  const [value, setValue] = useState(chosen);
  // What was chosen when the list was another one stays to be seen.
  const all = value && !outcomes.includes(value) ? [value, ...outcomes] : outcomes;
  return (
    <select
      aria-label={t('outcome.label')}
      className="select select-sm w-44"
      value={value}
      onChange={(event) => {
        setValue(event.target.value);
        void chooseOutcome(call, event.target.value);
      }}
    >
      <option value="">{t('outcome.none')}</option>
      {all.map((each) => (
        <option key={each}>{each}</option>
      ))}
    </select>
  );
}
