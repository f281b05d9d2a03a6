import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import { keepNote } from './messages';

/** What colleagues should know about a message; kept when one leaves the field. */
export function Note({ id, note }: { id: number; note: string }) {
  const { t } = useTranslation();
  const [text, setText] = useState(note);
  const [error, setError] = useState('');
  async function keep() {
    if (text === note) {
      return;
    }
    try {
      await keepNote(id, text);
      setError('');
    } catch (problem) {
      setError(sentence(problem));
    }
  }
  return (
    <label className="mt-4 block">
      <span className="text-sm font-semibold">{t('voicemail.note')}</span>
      <textarea
        rows={2}
        maxLength={2_000}
        value={text}
        placeholder={t('voicemail.notePlaceholder')}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => void keep()}
        className="input bg-base-100 mt-1 h-auto w-full p-2"
      />
      <span role="alert">
        {error && <span className="text-error block font-semibold">{error}</span>}
      </span>
    </label>
  );
}
