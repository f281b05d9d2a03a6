import { useTranslation } from 'react-i18next';
import type { RecordingOpened } from '../api/types';
import { dayAndTime } from '../words/time';

export type Deed = RecordingOpened['log'][number];

/** What somebody did with a recording, as a sentence without its subject. */
export function useDeed() {
  const { t } = useTranslation();
  return (entry: Deed) =>
    `${entry.by ?? t('recording.office')} ${t(`recording.deed.${entry.deed}`, { about: entry.about })}`;
}

/** What was done with a recording, by whom and when. */
export function Log({ entries }: { entries: Deed[] }) {
  const { t } = useTranslation();
  const deed = useDeed();
  return (
    <details className="mt-5">
      <summary className="cursor-pointer text-sm font-semibold">{t('recording.log')}</summary>
      <ul className="mt-1 text-sm">
        {entries.map((each) => (
          <li key={each.id}>
            <span className="quiet">{dayAndTime(each.at)}</span> {deed(each)}
          </li>
        ))}
      </ul>
    </details>
  );
}
