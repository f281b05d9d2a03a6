import { useEffect } from 'react';
import { createPortal } from 'react-dom';
import { useTranslation } from 'react-i18next';
import type { HistoryEntry } from '../api/types';
import { nameOf } from '../calls/order';
import { useMe } from '../session/session';
import { dayAndTime } from '../words/time';
import { alsoIn } from './entries';
import { outcome } from './outcome';

/** What the columns say. */
const HEADS = ['when', 'direction', 'who', 'number', 'line', 'ended'] as const;

/** Entries on paper, and nothing else of the page; gone when they are printed. */
export function Printed({ entries, onDone }: { entries: HistoryEntry[]; onDone: () => void }) {
  const { t } = useTranslation();
  const me = useMe();
  useEffect(() => {
    window.addEventListener('afterprint', onDone);
    window.print();
    return () => window.removeEventListener('afterprint', onDone);
  }, [onDone]);
  return createPortal(
    <div className="printed">
      <h1>{t('history.printed', { name: me.name })}</h1>
      <table>
        <thead>
          <tr>
            {HEADS.map((each) => (
              <th key={each} scope="col">
                {t(`history.head.${each}`)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {entries.map((entry) => (
            <tr key={entry.id}>
              <td>{dayAndTime(entry.began)}</td>
              <td>{t(`history.direction.${entry.direction}`)}</td>
              <td>{[nameOf(entry.other, t('party.withheld')), ...alsoIn(entry)].join(', ')}</td>
              <td>{entry.other.number}</td>
              <td>{entry.line}</td>
              <td>{outcome(entry, t)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>,
    document.body,
  );
}
