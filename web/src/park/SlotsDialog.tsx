import { useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { put, sentence } from '../api/client';
import { Dialog } from '../ui/Dialog';
import { useShelf } from './store';

const LONGEST = 40;

/** What the park slots of the office are called, for administrators. */
export function SlotsDialog({ onClose }: { onClose: () => void }) {
  const { t } = useTranslation();
  const slots = useShelf((store) => store.slots);
  const [error, setError] = useState('');

  async function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    try {
      for (const { slot, label } of slots) {
        const wanted = String(typed.get(slot) ?? '').trim();
        if (wanted !== label) {
          await put(`/api/office/slots/${slot}`, { label: wanted });
        }
      }
      onClose();
    } catch (problem) {
      setError(sentence(problem));
    }
  }

  return (
    <Dialog title={t('slots.title')} onClose={onClose}>
      <form onSubmit={(event) => void submit(event)}>
        <p className="quiet mb-3">{t('slots.how')}</p>
        <ol className="grid gap-x-5 gap-y-1.5 sm:grid-cols-2">
          {slots.map(({ slot, label }) => (
            <li key={slot} className="flex items-center gap-2">
              <span className="w-10 shrink-0 font-semibold">{slot}</span>
              <input
                type="text"
                name={slot}
                aria-label={t('slots.label', { slot })}
                defaultValue={label}
                maxLength={LONGEST}
                className="input input-sm bg-base-100 min-w-0 flex-1"
              />
            </li>
          ))}
        </ol>
        <p role="alert" className="text-error min-h-6 font-semibold">
          {error}
        </p>
        <button type="submit" className="btn btn-primary">
          {t('slots.keep')}
        </button>
      </form>
    </Dialog>
  );
}
