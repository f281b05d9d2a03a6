import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
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
  // What is being deleted is not asked for again; the next list says what is there.
  const [gone, setGone] = useState<{ id: number; from: typeof data }>();
  const there = gone?.from === data ? data?.filter((each) => each.id !== gone?.id) : data;
  return (
    <section aria-label={t('recording.ofCall')} className="border-base-300 mt-4 border-t pt-3">
      {there?.length === 0 && <p className="quiet">{t('recording.nothing')}</p>}
      {there?.map((each) => (
        <Opened key={each.id} id={each.id} onGone={() => setGone({ id: each.id, from: data })} />
      ))}
    </section>
  );
}
