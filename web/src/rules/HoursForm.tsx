import { useTranslation } from 'react-i18next';
import type { Hours } from '../api/types';
import { DAYS } from './rules';
import { DayField } from '../words/DayField';
import { TimeField } from '../words/MomentField';

const WEEK = DAYS.slice(0, 5);

/** Hours to begin with. */
export const usual = (): Hours => ({
  spans: [{ days: [...WEEK], from: '08:00', to: '17:00' }],
  holidays: 'NOT',
});

interface Props {
  hours: Hours;
  onChange: (hours: Hours) => void;
  /** Whether it can begin and end on a day. */
  dates?: boolean;
}

/** Times of the week: on which days from when to when, on holidays or not, from one day to another. */
export function HoursForm({ hours, onChange, dates = false }: Props) {
  const { t } = useTranslation();
  const put = (index: number, change: Partial<Hours['spans'][number]>) =>
    onChange({
      ...hours,
      spans: hours.spans.map((each, at) => (at === index ? { ...each, ...change } : each)),
    });
  const day = (name: 'first' | 'last') => (
    <label className="flex flex-col text-sm">
      {t(name === 'first' ? 'rules.firstDay' : 'rules.lastDay')}
      <DayField
        day={hours[name] ?? ''}
        onChange={(chosen) => onChange({ ...hours, [name]: chosen || undefined })}
        look="input-sm w-40"
      />
    </label>
  );
  return (
    <div className="flex flex-col gap-2">
      {hours.spans.map((span, index) => (
        <fieldset key={index} className="flex flex-wrap items-end gap-2">
          <legend className="sr-only">{t('rules.spanOn')}</legend>
          <span className="flex flex-wrap gap-2">
            {DAYS.map((each) => (
              <label key={each} className="flex items-center gap-1 text-sm">
                <input
                  type="checkbox"
                  className="checkbox checkbox-xs checkbox-primary"
                  checked={span.days.includes(each)}
                  onChange={(event) =>
                    put(index, {
                      days: event.target.checked
                        ? [...span.days, each]
                        : span.days.filter((other) => other !== each),
                    })
                  }
                />
                {t(`rules.day.${each}`)}
              </label>
            ))}
          </span>
          {(['from', 'to'] as const).map((name) => (
            <label key={name} className="text-sm">
              {t(name === 'from' ? 'rules.spanFrom' : 'rules.spanTo')}
              <TimeField
                required
                look="input-sm ml-1 w-28"
                time={span[name].slice(0, 5)}
                onChange={(time) => put(index, { [name]: time })}
              />
            </label>
          ))}
          {hours.spans.length > 1 && (
            <button
              type="button"
              className="btn btn-sm btn-plain"
              onClick={() =>
                onChange({ ...hours, spans: hours.spans.filter((_, at) => at !== index) })
              }
            >
              {t('rules.dropSpan')}
            </button>
          )}
        </fieldset>
      ))}
      <div className="flex flex-wrap items-end gap-2">
        <label className="text-sm">
          {t('rules.holidays.label')}
          <select
            className="select select-sm ml-1 w-44"
            value={hours.holidays}
            onChange={(event) =>
              onChange({ ...hours, holidays: event.target.value as Hours['holidays'] })
            }
          >
            {(['AS_USUAL', 'NOT', 'ONLY'] as const).map((each) => (
              <option key={each} value={each}>
                {t(`rules.holidays.${each}`)}
              </option>
            ))}
          </select>
        </label>
        <button
          type="button"
          className="btn btn-sm btn-plain"
          onClick={() => onChange({ ...hours, spans: [...hours.spans, ...usual().spans] })}
        >
          {t('rules.addSpan')}
        </button>
        {dates && (
          <>
            {day('first')}
            {day('last')}
          </>
        )}
      </div>
    </div>
  );
}
