import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import type { MessageLetter } from '../api/types';
import { correct } from './messages';
import type { Player } from '../player/usePlayer';

/** What was said, to be read; each word is played from when it is clicked. */
export function Transcript({ letter, player }: { letter: MessageLetter; player: Player }) {
  const { t } = useTranslation();
  const [editing, setEditing] = useState(false);
  const { words, corrected, message } = letter;
  if (message.transcript === 'WAITING') {
    return <p className="quiet">{t('voicemail.writing')}</p>;
  }
  if (editing) {
    return <Correcting letter={letter} onDone={() => setEditing(false)} />;
  }
  return (
    <>
      {corrected ? (
        <p className="text-lg leading-relaxed whitespace-pre-wrap">{corrected}</p>
      ) : words.length === 0 ? (
        <p className="quiet">
          {t(message.transcript === 'FAILED' ? 'voicemail.noTranscript' : 'voicemail.noWords')}
        </p>
      ) : (
        <p className="text-lg leading-relaxed">
          {words.map((word, index) => {
            const now = player.at >= word.from && player.at < (words[index + 1]?.from ?? word.to);
            return (
              <span key={word.from}>
                <button
                  type="button"
                  aria-current={now && player.playing ? true : undefined}
                  className={`cursor-pointer rounded-sm ${now && player.at > 0 ? 'bg-accent text-accent-content' : ''} ${word.doubtful ? 'doubtful' : ''}`}
                  onClick={() => player.seek(word.from)}
                >
                  {word.text}
                  {word.doubtful && <span className="sr-only"> {t('voicemail.doubtful')}</span>}
                </button>{' '}
              </span>
            );
          })}
        </p>
      )}
      <p className="quiet mt-2 text-sm">
        {corrected ? t('voicemail.correctedNote') : words.length > 0 && t('voicemail.machine')}{' '}
        <button
          type="button"
          className="text-primary font-semibold underline-offset-2 hover:underline"
          onClick={() => setEditing(true)}
        >
          {t(words.length > 0 || corrected ? 'voicemail.correct' : 'voicemail.type')}
        </button>
      </p>
    </>
  );
}

function Correcting({ letter, onDone }: { letter: MessageLetter; onDone: () => void }) {
  const { t } = useTranslation();
  const [text, setText] = useState(
    letter.corrected ?? letter.words.map((word) => word.text).join(' '),
  );
  const [error, setError] = useState('');
  async function save() {
    try {
      await correct(letter.message.id, text);
      onDone();
    } catch (problem) {
      setError(sentence(problem));
    }
  }
  return (
    <div>
      <textarea
        // eslint-disable-next-line jsx-a11y/no-autofocus -- it is what was just asked for
        autoFocus
        aria-label={t('voicemail.correctLabel')}
        maxLength={10_000}
        rows={5}
        value={text}
        onChange={(event) => setText(event.target.value)}
        className="input bg-base-100 h-auto w-full p-3 text-lg leading-relaxed"
      />
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="btn btn-sm btn-primary" onClick={() => void save()}>
          {t('voicemail.save')}
        </button>
        <button type="button" className="btn btn-sm btn-plain" onClick={onDone}>
          {t('voicemail.leave')}
        </button>
      </div>
      <div role="alert">{error && <p className="text-error font-semibold">{error}</p>}</div>
    </div>
  );
}
