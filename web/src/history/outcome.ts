import type { TFunction } from 'i18next';
import type { HistoryEntry } from '../api/types';
import { clockTime } from '../words/time';

/** How a call ended, in a few words. */
export function outcome(entry: HistoryEntry, t: TFunction): string {
  const result = resultOf(entry, t);
  const whole = entry.message ? t(`history.message.${entry.message}`, { outcome: result }) : result;
  return entry.recorded ? `${whole} · ${t('history.recorded')}` : whole;
}

function resultOf(entry: HistoryEntry, t: TFunction): string {
  if (entry.result === 'ANSWERED_ELSEWHERE' && !entry.answeredBy) {
    return t('history.result.ANSWERED_OUTSIDE');
  }
  if (entry.direction === 'PLACED' && entry.answeredBy) {
    const result =
      entry.result === 'GIVEN_UP'
        ? t('history.givenUp')
        : t(`history.result.${entry.result}`, { time: clockTime(entry.talked) });
    return t('history.placedBy', { person: entry.answeredBy, result });
  }
  return t(`history.result.${entry.result}`, {
    time: clockTime(entry.talked),
    person: entry.answeredBy ?? '',
  });
}
