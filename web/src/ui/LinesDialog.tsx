import { useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import { Dialog } from './Dialog';

interface Props {
  title: string;
  how: string;
  /** What each line is called, by its number. */
  label: (n: number) => string;
  lines: string[];
  most: number;
  longest: number;
  onKeep: (lines: string[]) => Promise<unknown>;
  onClose: () => void;
}

/** A short list of texts, each on a line of its own; empty lines are left out. */
export function LinesDialog({ title, how, label, lines, most, longest, onKeep, onClose }: Props) {
  const { t } = useTranslation();
  const [error, setError] = useState('');

  async function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const typed = new FormData(event.currentTarget).getAll('line').map(String);
    try {
      await onKeep(typed.map((each) => each.trim()).filter(Boolean));
      onClose();
    } catch (problem) {
      setError(sentence(problem));
    }
  }

  return (
    <Dialog title={title} onClose={onClose}>
      <form onSubmit={(event) => void submit(event)}>
        <p className="quiet mb-3">{how}</p>
        <ol>
          {Array.from({ length: most }, (_, index) => (
            <li key={index} className="mb-1.5 flex items-center gap-2">
              <span className="w-5 text-right">{index + 1}</span>
              <input
                type="text"
                name="line"
                aria-label={label(index + 1)}
                maxLength={longest}
                defaultValue={lines[index]}
                className="input input-sm bg-base-100 flex-1"
              />
            </li>
          ))}
        </ol>
        <p role="alert" className="text-error font-semibold">
          {error}
        </p>
        <button type="submit" className="btn btn-primary mt-3">
          {t('dialog.keep')}
        </button>
      </form>
    </Dialog>
  );
}
