import { useTranslation } from 'react-i18next';
import type { CardBody } from '../api/types';

const TYPES = ['WORK', 'MOBILE', 'HOME', 'MAIN', 'FAX', 'OTHER'] as const;
const MOST = 20;

type Line = CardBody['numbers'][number];

interface Props {
  numbers: Line[];
  onChange: (numbers: Line[]) => void;
}

/** The numbers of a card, each with what it is for. */
export function NumberRows({ numbers, onChange }: Props) {
  const { t } = useTranslation();
  const put = (at: number, change: Partial<Line>) =>
    onChange(numbers.map((each, index) => (index === at ? { ...each, ...change } : each)));
  return (
    <fieldset className="mb-3">
      <legend className="font-semibold">{t('contacts.numbers')}</legend>
      <ul className="mt-1 flex flex-col gap-1.5">
        {numbers.map((each, index) => (
          <li key={index} className="flex flex-wrap gap-1.5">
            <select
              aria-label={t('contacts.numberType', { n: index + 1 })}
              className="select w-26"
              value={each.type}
              onChange={(event) => put(index, { type: event.target.value as Line['type'] })}
            >
              {TYPES.map((type) => (
                <option key={type} value={type}>
                  {t(`numberType.${type}`)}
                </option>
              ))}
            </select>
            <input
              type="tel"
              aria-label={t('contacts.number', { n: index + 1 })}
              maxLength={100}
              value={each.number}
              onChange={(event) => put(index, { number: event.target.value })}
              className="input bg-base-100 min-w-32 flex-1 basis-32"
            />
            <input
              inputMode="numeric"
              aria-label={t('contacts.extension', { n: index + 1 })}
              placeholder={t('contacts.extensionShort')}
              maxLength={10}
              value={each.extension}
              onChange={(event) => put(index, { extension: event.target.value })}
              className="input bg-base-100 w-16"
            />
            <button
              type="button"
              className="btn btn-plain"
              aria-label={t('contacts.dropNumber', { n: index + 1 })}
              onClick={() => onChange(numbers.filter((_, at) => at !== index))}
            >
              {t('contacts.leaveOut')}
            </button>
          </li>
        ))}
      </ul>
      {numbers.length < MOST && (
        <button
          type="button"
          className="btn btn-sm btn-plain mt-1.5"
          onClick={() => onChange([...numbers, { type: 'WORK', number: '', extension: '' }])}
        >
          {t('contacts.addNumber')}
        </button>
      )}
    </fieldset>
  );
}
