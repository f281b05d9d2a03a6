import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { del, get, sentence } from '../api/client';
import type { MailboxView } from '../api/types';
import { Dialog } from '../ui/Dialog';
import { dayAndTime } from '../words/time';
import { NewGreeting } from './NewGreeting';
import { TelephonePin } from './TelephonePin';
import { addWords } from '../words';
import words from './words.view.en.json';

addWords(words);

const KEY = ['greetings'];
type Occasion = MailboxView['greetings'][number]['occasion'];

/** What callers hear before the tone, for each of my mailboxes and each occasion. */
export function GreetingsSheet({ onClose }: { onClose: () => void }) {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const [chosen, setChosen] = useState(0);
  const [occasion, setOccasion] = useState<Occasion>('NO_ANSWER');
  const [problem, setProblem] = useState('');
  const { data, error } = useQuery({
    queryKey: KEY,
    queryFn: () => get<MailboxView[]>('/api/greetings'),
  });
  const mailbox = data?.[chosen];
  const greeting = mailbox?.greetings.find((each) => each.occasion === occasion);
  const address = mailbox && `/api/greetings/${mailbox.mailbox}/${occasion}`;

  async function usual() {
    try {
      await del(address ?? '');
      setProblem('');
    } catch (failure) {
      setProblem(sentence(failure));
    }
    await queries.invalidateQueries({ queryKey: KEY });
  }

  return (
    <Dialog title={t('greeting.title')} onClose={onClose} wide>
      {error && (
        <p role="alert" className="text-error font-semibold">
          {sentence(error)}
        </p>
      )}
      {data && data.length > 1 && (
        <div role="group" aria-label={t('greeting.mailbox')} className="mb-3 flex flex-wrap gap-1">
          {data.map((each, index) => (
            <button
              key={each.mailbox}
              type="button"
              aria-pressed={index === chosen}
              className={`btn btn-sm ${index === chosen ? 'btn-primary' : 'btn-plain'}`}
              onClick={() => setChosen(index)}
            >
              {each.line ?? t('greeting.mine')}
            </button>
          ))}
        </div>
      )}
      <div
        role="group"
        aria-label={t('greeting.occasion')}
        className="mb-4 flex flex-wrap items-center gap-1"
      >
        {mailbox?.greetings.map((each) => (
          <button
            key={each.occasion}
            type="button"
            aria-pressed={each.occasion === occasion}
            className={`btn btn-sm ${each.occasion === occasion ? 'btn-primary' : 'btn-plain'}`}
            onClick={() => setOccasion(each.occasion)}
          >
            {t(`greeting.on.${each.occasion}`)}
            {each.made && <span aria-label={t('greeting.own')}>{t('greeting.mark')}</span>}
          </button>
        ))}
      </div>
      {greeting && address && (
        <>
          <h3 className="font-bold">{t('greeting.now')}</h3>
          <p className="mb-2">
            {greeting.text ?? t('greeting.recorded')}{' '}
            {greeting.until && (
              <span className="quiet">
                {t('greeting.ends', { at: dayAndTime(greeting.until) })}
              </span>
            )}
          </p>
          <div className="mb-5 flex flex-wrap items-center gap-3">
            {/* eslint-disable-next-line jsx-a11y/media-has-caption -- its words stand above */}
            <audio
              key={address + greeting.made}
              controls
              preload="none"
              aria-label={t('greeting.hear')}
              src={`${address}/sound?${greeting.made ?? ''}`}
              className="h-9 max-w-full"
            />
            {greeting.made && (
              <button type="button" className="btn btn-sm btn-plain" onClick={() => void usual()}>
                {t('greeting.usual')}
              </button>
            )}
          </div>
          <NewGreeting
            key={address}
            address={address}
            ends={occasion === 'AWAY'}
            onKept={() => void queries.invalidateQueries({ queryKey: KEY })}
          />
        </>
      )}
      {mailbox && !mailbox.line && <TelephonePin />}
      <div role="alert">
        {problem && <p className="text-error pt-2 font-semibold">{problem}</p>}
      </div>
    </Dialog>
  );
}
