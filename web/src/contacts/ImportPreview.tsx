import { useCallback, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import type { ContactImport, TakeOver } from '../api/types';
import { useOnce } from '../live/useOnce';
import { inShort } from './inShort';
import { take } from './imports';

interface Props {
  read: ContactImport;
  onTaken: () => void;
  onError: (sentence: string) => void;
}

type Doubtful = TakeOver['others'];

const CHOICES: Doubtful[] = ['MERGE', 'ADD', 'LEAVE'];

/** What a file would bring: new, changed, doubtful ones side by side, and what cannot be read, line by line. */
export function ImportPreview({ read, onTaken, onError }: Props) {
  const { t } = useTranslation();
  const [chosen, setChosen] = useState<Record<string, Doubtful>>({});
  const [others, setOthers] = useState<Doubtful>('MERGE');
  const { counts, doubtful, bad, fresh } = read;
  const rest = bad.find((each) => each.flaw === 'REST_NOT_READ');
  const { run, busy } = useOnce(
    useCallback(async () => {
      try {
        await take(read.id, { chosen, others });
        onTaken();
      } catch (problem) {
        onError(sentence(problem));
      }
    }, [read.id, chosen, others, onTaken, onError]),
  );
  return (
    <>
      <ul className="mb-3 flex flex-wrap gap-x-6 gap-y-1 font-semibold">
        {(['fresh', 'changed', 'same', 'doubtful', 'bad'] as const).map((kind) => (
          <li key={kind} className={kind === 'bad' && counts.bad > 0 ? 'text-error' : ''}>
            {t(`contacts.import.count.${kind}`, { count: counts[kind] })}
          </li>
        ))}
      </ul>
      {fresh.length > 0 && (
        <p className="quiet mb-3 line-clamp-2">
          {t('contacts.import.fresh', { names: fresh.slice(0, 20).join(', ') })}
        </p>
      )}
      {doubtful.length > 0 && (
        <section aria-label={t('contacts.import.doubtful')} className="mb-4">
          <h3 className="mb-1 font-bold">{t('contacts.import.doubtful')}</h3>
          <label className="mb-2 flex flex-wrap items-center gap-2 text-sm">
            {t('contacts.import.others')}
            <Choice value={others} onChoose={setOthers} />
          </label>
          <ul className="divide-base-300 max-h-72 divide-y overflow-y-auto">
            {doubtful.map((each) => (
              <li
                key={each.index}
                className="grid items-center gap-x-4 gap-y-1 py-1.5 text-sm sm:grid-cols-[1fr_1fr_auto]"
              >
                <span>
                  <span className="quiet block">{t('contacts.import.there')}</span>
                  {inShort(each.existing)}
                </span>
                <span>
                  <span className="quiet block">{t('contacts.import.file')}</span>
                  {inShort(each.incoming)}
                </span>
                <Choice
                  label={t('contacts.import.chooseFor', {
                    name: each.incoming.name || each.incoming.company,
                  })}
                  value={chosen[each.index] ?? others}
                  onChoose={(value) => setChosen({ ...chosen, [each.index]: value })}
                />
              </li>
            ))}
          </ul>
        </section>
      )}
      {bad.length > 0 && (
        <section aria-label={t('contacts.import.bad')} className="mb-4">
          <h3 className="mb-1 font-bold">{t('contacts.import.bad')}</h3>
          {rest && (
            <p role="alert" className="text-error mb-1 text-sm font-semibold">
              <BadLine card={rest} />
            </p>
          )}
          <ul className="max-h-52 overflow-y-auto text-sm wrap-anywhere">
            {bad
              .filter((each) => each !== rest)
              .map((each) => (
                <li key={each.line} className="py-0.5">
                  <BadLine card={each} />
                </li>
              ))}
          </ul>
        </section>
      )}
      {read.of === 0 ? (
        <p>{t('contacts.import.nothing')}</p>
      ) : (
        <button
          type="button"
          className="btn btn-primary"
          aria-disabled={busy}
          onClick={() => void run()}
        >
          {t('contacts.import.take', { count: read.of })}
        </button>
      )}
    </>
  );
}

function BadLine({ card }: { card: ContactImport['bad'][number] }) {
  const { t } = useTranslation();
  return (
    <>
      <span className="font-semibold">{t('contacts.import.line', { line: card.line })}</span>{' '}
      {t(`problem.CARD_${card.flaw}`, { what: card.what })}
    </>
  );
}

interface ChoiceProps {
  label?: string;
  value: Doubtful;
  onChoose: (value: Doubtful) => void;
}

function Choice({ label, value, onChoose }: ChoiceProps) {
  const { t } = useTranslation();
  return (
    <select
      aria-label={label}
      className="select select-sm w-52"
      value={value}
      onChange={(event) => onChoose(event.target.value as Doubtful)}
    >
      {CHOICES.map((each) => (
        <option key={each} value={each}>
          {t(`contacts.import.choice.${each}`)}
        </option>
      ))}
    </select>
  );
}
