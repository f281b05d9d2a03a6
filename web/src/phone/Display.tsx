import { useTranslation } from 'react-i18next';
import type { TFunction } from 'i18next';
import type { Panel } from '../api/types';
import { useNow } from '../live/now';
import { clockTime, timeOfDay } from '../words/time';

const LINES = 6;

type Line = Panel['display'][number];

/** What a line says: the telephone's own words, or those for what the exchange refuses. */
function sentence({ code, about }: Line, t: TFunction): string {
  const told = code.startsWith('TOLD_') ? code.slice(5) : '';
  const words = { ...about, name: about['name'] || t('party.withheld') };
  if (told) {
    return t([`phone.told.${told}`, `problem.${told}`, 'phone.refused'], words);
  }
  if (code.startsWith('EARLIER_')) {
    return t(`phone.line.${code}`, { ...words, time: timeOfDay(about['at'] ?? '') });
  }
  if (code === 'CALL_FAILED') {
    return t('phone.line.CALL_FAILED', { ...words, why: t(`failure.${about['why']}`) });
  }
  return t(`phone.line.${code}`, words);
}

/** The display of a telephone: six lines, one of which the keys may mean. */
export function Display({ lines }: { lines: Line[] }) {
  const { t } = useTranslation();
  const now = useNow();
  return (
    <ol
      aria-label={t('phone.display')}
      aria-live="polite"
      className="bg-base-200 border-base-300 flex min-h-[9.5rem] flex-col rounded border px-2 py-1.5"
    >
      {lines.slice(0, LINES).map((each, i) => (
        <li
          key={i}
          aria-current={each.chosen ? 'true' : undefined}
          className={`flex h-6 items-center gap-2 rounded px-1.5 ${
            each.chosen ? 'bg-primary text-primary-content' : ''
          } ${each.code.startsWith('TOLD_') ? 'font-semibold' : ''}`}
        >
          <span className="min-w-0 flex-1 truncate">{sentence(each, t)}</span>
          {each.about['here'] === 'false' && (
            <span className="shrink-0 text-xs">{t('phone.elsewhere')}</span>
          )}
          {each.since && (
            <span className="shrink-0" aria-hidden="true">
              {clockTime(now - Date.parse(each.since))}
            </span>
          )}
        </li>
      ))}
    </ol>
  );
}
