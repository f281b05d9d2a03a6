import { IconX } from '@tabler/icons-react';
import { useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import type { RecordingOpened } from '../api/types';
import type { Player } from '../player/usePlayer';
import { clockTime } from '../words/time';
import { remark, removeRemark } from './recordings';

/** Notes at a moment, to which one jumps; another is written for where it plays now. */
export function Remarks({ opened, player }: { opened: RecordingOpened; player: Player }) {
  const { t } = useTranslation();
  const { id } = opened.recording;
  const [text, setText] = useState('');
  const [error, setError] = useState('');

  async function submit(event: FormEvent) {
    event.preventDefault();
    if (!text.trim()) {
      return;
    }
    try {
      await remark(id, player.at, text);
      setText('');
      setError('');
    } catch (problem) {
      setError(sentence(problem));
    }
  }

  return (
    <section aria-label={t('recording.remarks')} className="mt-4">
      <ul>
        {opened.remarks.map((each) => (
          <li key={each.id} className="flex items-baseline gap-2 py-0.5">
            <button
              type="button"
              className="text-primary shrink-0 font-semibold underline-offset-2 hover:underline"
              onClick={() => player.seek(each.at)}
            >
              {clockTime(each.at)}
            </button>
            <span className="min-w-0 break-words">{each.text}</span>
            {!each.mine && (
              <span className="quiet text-sm">{t('recording.by', { name: each.by })}</span>
            )}
            {each.mine && (
              <button
                type="button"
                className="btn btn-xs btn-plain ml-auto"
                aria-label={t('recording.removeRemark', { text: each.text })}
                onClick={() => void removeRemark(id, each.id)}
              >
                <IconX size={14} aria-hidden="true" />
              </button>
            )}
          </li>
        ))}
      </ul>
      <form
        className="mt-1 flex flex-wrap items-end gap-2"
        onSubmit={(event) => void submit(event)}
      >
        <label className="min-w-52 flex-1">
          <span className="text-sm font-semibold">
            {t('recording.remark', { at: clockTime(player.at) })}
          </span>
          <input
            className="input input-sm bg-base-100 mt-1 w-full"
            maxLength={500}
            value={text}
            placeholder={t('recording.remarkPlaceholder')}
            onChange={(event) => setText(event.target.value)}
          />
        </label>
        <button type="submit" className="btn btn-sm btn-plain">
          {t('recording.addRemark')}
        </button>
      </form>
      <div role="alert">{error && <p className="text-error font-semibold">{error}</p>}</div>
    </section>
  );
}
