import { useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import type { RuleBody, RulesView } from '../api/types';
import { useNow } from '../live/now';
import { dayAndTime, dayOf } from '../words/time';
import { type Chosen, TargetFields, targetOf } from './TargetFields';
import { targetInWords } from './rules';
import { DayField } from '../words/DayField';
import { TimeField } from '../words/MomentField';

interface Props {
  rules: RulesView;
  onStart: (rule: RuleBody) => Promise<unknown>;
  onStop: (id: number) => void;
}

/** One switch for all calls: to somebody else, until a time at which it undoes itself. */
export function ForAWhile({ rules, onStart, onStop }: Props) {
  const { t } = useTranslation();
  const now = useNow();
  const [to, setTo] = useState<Chosen>({ choice: 'VOICEMAIL', dial: '' });
  const [error, setError] = useState('');
  const running = rules.rules.find(
    (each) =>
      each.when === 'ALWAYS' && each.callers.kind === 'ANYBODY' && !each.times && each.holds,
  );

  async function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    try {
      await onStart({
        id: 0,
        when: 'ALWAYS',
        callers: { kind: 'ANYBODY', people: [], numbers: [], companies: [] },
        until: `${String(typed.get('day'))}T${String(typed.get('time'))}`,
        to: targetOf(to),
      });
      setError('');
    } catch (problem) {
      setError(sentence(problem));
    }
  }

  if (running) {
    return (
      <p className="sheet border-accent mb-3 flex flex-wrap items-center gap-3 border-2 px-4 py-2 font-semibold">
        {t('rules.nowEverything', {
          target: targetInWords(running.to, t),
          until: running.until ? t('rules.until', { time: dayAndTime(running.until) }) : '',
        })}
        <button
          type="button"
          className="btn btn-sm btn-primary ml-auto"
          onClick={() => onStop(running.id)}
        >
          {t('rules.stop')}
        </button>
      </p>
    );
  }
  return (
    <form
      aria-label={t('rules.forAWhile')}
      className="sheet mb-3 flex flex-wrap items-end gap-3 px-4 py-2"
      onSubmit={(event) => void submit(event)}
    >
      <h2 className="self-center font-bold max-sm:basis-full">{t('rules.forAWhile')}</h2>
      <TargetFields
        label={t('rules.everything')}
        choices={['VOICEMAIL', 'PERSON', 'LINE', 'NUMBER', 'REFUSE']}
        chosen={to}
        onChange={setTo}
      />
      <fieldset className="flex items-end gap-2">
        <legend className="text-sm">{t('rules.untilDay')}</legend>
        <DayField
          name="day"
          required
          label={t('followUp.day')}
          day={dayOf(now)}
          look="input-sm w-36"
        />
        <TimeField
          name="time"
          required
          label={t('followUp.time')}
          time="17:30"
          look="input-sm w-28"
        />
      </fieldset>
      <button type="submit" className="btn btn-sm btn-plain ml-auto">
        {t('rules.start')}
      </button>
      <p role="alert" className="text-error basis-full font-semibold">
        {error}
      </p>
    </form>
  );
}
