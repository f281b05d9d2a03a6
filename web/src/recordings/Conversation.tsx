import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import type { RecordingOpened } from '../api/types';
import type { Player } from '../player/usePlayer';
import { transcribe } from './recordings';
import { turns } from './turns';

interface Props {
  opened: RecordingOpened;
  player: Player;
  /** Who is at the other end. */
  name: string;
}

/** What was said, as a conversation: who, and their words, each of which is played when it is clicked. */
export function Conversation({ opened, player, name }: Props) {
  const { t } = useTranslation();
  const all = useMemo(() => turns(opened.said), [opened.said]);
  return (
    <section aria-label={t('recording.conversation')} className="mt-4">
      {opened.transcript === 'WAITING' && <p className="quiet">{t('recording.WAITING')}</p>}
      {opened.transcript === 'FAILED' && <p className="quiet">{t('recording.FAILED')}</p>}
      {opened.transcript === 'NONE' && opened.mayHandOn && (
        <button
          type="button"
          className="btn btn-sm btn-plain"
          onClick={() => void transcribe(opened.recording.id)}
        >
          {t('recording.ask')}
        </button>
      )}
      {opened.transcript === 'DONE' && all.length === 0 && (
        <p className="quiet">{t('recording.silent')}</p>
      )}
      {all.map((turn) => (
        <p key={`${turn.mine} ${turn.words[0]?.from}`} className="leading-relaxed">
          <strong className={turn.mine ? 'text-primary' : 'text-secondary'}>
            {t('recording.me', { name: turn.mine ? opened.owner : name })}
          </strong>{' '}
          {turn.words.map((word) => {
            const now = player.at > 0 && player.at >= word.from && player.at < word.to;
            return (
              <span key={word.from}>
                <button
                  type="button"
                  className={`cursor-pointer rounded-sm ${now ? 'bg-accent text-accent-content' : ''} ${word.doubtful ? 'doubtful' : ''}`}
                  onClick={() => player.seek(word.from)}
                >
                  {word.text}
                  {word.doubtful && <span className="sr-only"> {t('recording.doubtful')}</span>}
                </button>{' '}
              </span>
            );
          })}
        </p>
      ))}
      {all.length > 0 && <p className="quiet mt-1 text-sm">{t('recording.machine')}</p>}
    </section>
  );
}
