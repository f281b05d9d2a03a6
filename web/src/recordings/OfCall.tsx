import { useQuery } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { addWords } from '../words';
import { Opened } from './Opened';
import { recordingsOf } from './recordings';
import words from './words.view.en.json';

addWords(words);

/** What was recorded of a call, in its entry of the history. */
export function OfCall({ call }: { call: string }) {
  const { t } = useTranslation();
  const { data } = useQuery(recordingsOf(call));
  return (
    <section aria-label={t('recording.ofCall')} className="border-base-300 mt-4 border-t pt-3">
      {data?.length === 0 && <p className="quiet">{t('recording.nothing')}</p>}
      {data?.map((each) => (
        <Opened key={each.id} id={each.id} />
      ))}
    </section>
  );
}
