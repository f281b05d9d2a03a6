import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';

interface Props {
  note: string;
  placeholder: string;
  save: (text: string) => Promise<unknown>;
}

/** What is to be known about some sound; kept when one leaves the field. */
export function Note({ note, placeholder, save }: Props) {
  const { t } = useTranslation();
  const [text, setText] = useState(note);
  const [error, setError] = useState('');
  async function keep() {
    if (text === note) {
      return;
    }
    try {
      await save(text);
      setError('');
    } catch (problem) {
      setError(sentence(problem));
    }
  }
  return (
    <label className="mt-4 block">
      <span className="text-sm font-semibold">{t('player.note')}</span>
      <textarea
        rows={2}
        maxLength={2_000}
        value={text}
        placeholder={placeholder}
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
