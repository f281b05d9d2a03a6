import { useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import { Dialog } from '../frame/Dialog';
import { keepPhrases, usePhrases } from './followUps';

const MOST = 9;

/** What I write again and again, each phrase with its number. */
export function PhrasesDialog({ onClose }: { onClose: () => void }) {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const phrases = usePhrases();
  const [error, setError] = useState('');

  async function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const typed = new FormData(event.currentTarget).getAll('phrase').map(String);
    try {
      await keepPhrases(typed.map((each) => each.trim()).filter(Boolean));
      await queries.invalidateQueries({ queryKey: ['phrases'] });
      onClose();
    } catch (problem) {
      setError(sentence(problem));
    }
  }

  return (
    <Dialog title={t('note.edit')} onClose={onClose}>
      <form onSubmit={(event) => void submit(event)}>
        <p className="quiet mb-3">{t('note.howPhrases')}</p>
        <ol>
          {Array.from({ length: MOST }, (_, index) => (
            <li key={index} className="mb-1.5 flex items-center gap-2">
              <span className="w-4 text-right">{index + 1}</span>
              <input
                type="text"
                name="phrase"
                aria-label={t('note.phrase', { n: index + 1 })}
                maxLength={400}
                defaultValue={phrases[index]}
                className="input input-sm bg-base-100 flex-1"
              />
            </li>
          ))}
        </ol>
        <p role="alert" className="text-error font-semibold">
          {error}
        </p>
        <button type="submit" className="btn btn-primary mt-3">
          {t('note.keepPhrases')}
        </button>
      </form>
    </Dialog>
  );
}
