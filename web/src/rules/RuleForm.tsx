import { useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import type { Hours, RuleBody, RuleView } from '../api/types';
import { nameOf } from '../calls/order';
import { usePeople } from '../people/store';
import { HoursForm, usual } from './HoursForm';
import { type Chosen, type Choice, TargetFields, targetOf } from './TargetFields';
import type { Situation } from './rules';
import { callersOf } from './callers';

const CALLERS = ['ANYBODY', 'INSIDE', 'OUTSIDE', 'WITHHELD', 'CHOSEN'] as const;
type Callers = (typeof CALLERS)[number];

interface Props {
  when: Situation;
  /** What is to be changed; a new one when there is none. */
  rule?: RuleView;
  onKeep: (rule: RuleBody) => Promise<unknown>;
  onDone: () => void;
}

function chosenOf(rule?: RuleView): Chosen {
  if (!rule) {
    return { choice: 'VOICEMAIL', dial: '' };
  }
  const { kind, dial, party } = rule.to;
  if (kind !== 'DIAL') {
    return { choice: kind, dial: '' };
  }
  const choices: Partial<Record<string, Choice>> = { PERSON: 'PERSON', GROUP: 'LINE' };
  return { choice: choices[party?.kind ?? ''] ?? 'NUMBER', dial };
}

/** Whose calls go where in a case, and when; changed in its place. */
export function RuleForm({ when, rule, onKeep, onDone }: Props) {
  const { t } = useTranslation();
  const people = usePeople((store) => store.people);
  const [callers, setCallers] = useState<Callers>(rule?.callers.kind ?? 'ANYBODY');
  const [named, setNamed] = useState(
    rule
      ? [
          ...[...rule.callers.people, ...rule.callers.numbers].map((each) =>
            each.kind === 'PERSON' ? nameOf(each, '') : (each.number ?? ''),
          ),
          ...rule.callers.companies,
        ].join(', ')
      : '',
  );
  const [to, setTo] = useState(chosenOf(rule));
  const [times, setTimes] = useState<Hours | undefined>(rule?.times);
  const [error, setError] = useState('');
  const rings = when !== 'NO_ANSWER' && when !== 'DECLINED';

  async function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    try {
      await onKeep({
        id: rule?.id ?? 0,
        when,
        callers: callersOf(callers, named, people),
        times,
        until: rule?.until,
        to: targetOf(to),
      });
      onDone();
    } catch (problem) {
      setError(sentence(problem));
    }
  }

  return (
    <form
      aria-label={t('rules.addFor', { case: t(`rules.case.${when}`) })}
      className="border-base-300 my-1 flex flex-col gap-2 rounded border p-3"
      onSubmit={(event) => void submit(event)}
    >
      <div className="flex flex-wrap items-end gap-2">
        <label className="text-sm">
          {t('rules.callers.label')}
          <select
            // eslint-disable-next-line jsx-a11y/no-autofocus -- it is what was just asked for
            autoFocus
            className="select select-sm mt-0.5 flex w-52"
            value={callers}
            onChange={(event) => setCallers(event.target.value as Callers)}
          >
            {CALLERS.map((each) => (
              <option key={each} value={each}>
                {t(`rules.callers.${each}`)}
              </option>
            ))}
          </select>
        </label>
        <TargetFields
          label={t('rules.target.label')}
          choices={[
            'VOICEMAIL',
            'PERSON',
            'LINE',
            'NUMBER',
            'REFUSE',
            ...(rings ? (['RING'] as const) : []),
          ]}
          chosen={to}
          onChange={setTo}
        />
        <label className="text-sm">
          {t('rules.times.label')}
          <select
            className="select select-sm mt-0.5 flex w-40"
            value={times ? 'WEEK' : 'ALWAYS'}
            onChange={(event) => setTimes(event.target.value === 'WEEK' ? usual() : undefined)}
          >
            <option value="ALWAYS">{t('rules.times.ALWAYS')}</option>
            <option value="WEEK">{t('rules.times.WEEK')}</option>
          </select>
        </label>
      </div>
      {callers === 'CHOSEN' && (
        <label className="text-sm">
          {t('rules.chosen')}
          <input
            type="text"
            required
            maxLength={2000}
            placeholder={t('rules.chosenHint')}
            className="input input-sm bg-base-100 block w-full"
            value={named}
            onChange={(event) => setNamed(event.target.value)}
          />
        </label>
      )}
      {times && <HoursForm hours={times} onChange={setTimes} dates />}
      <p role="alert" className="text-error font-semibold">
        {error}
      </p>
      <div className="flex gap-2">
        <button type="submit" className="btn btn-sm btn-primary">
          {t('rules.keep')}
        </button>
        <button type="button" className="btn btn-sm btn-plain" onClick={onDone}>
          {t('rules.cancel')}
        </button>
      </div>
    </form>
  );
}
