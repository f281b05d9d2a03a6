import { useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import { notify } from '../notices/store';
import { Field } from './Field';
import { useSessionActions } from './session';
import { addWords } from '../words';
import words from './words.view.en.json';

addWords(words);

/** Asks for a new password, and for the present one as proof. */
export function PasswordForm({ onDone }: { onDone: () => void }) {
  const { t } = useTranslation();
  const { changePassword } = useSessionActions();
  const [error, setError] = useState('');

  async function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    if (data.get('next') !== data.get('again')) {
      setError(t('password.different'));
      return;
    }
    try {
      await changePassword(String(data.get('present')), String(data.get('next')));
      notify('passwordChanged');
      onDone();
    } catch (problem) {
      setError(sentence(problem));
    }
  }

  return (
    <form onSubmit={(event) => void submit(event)}>
      <Field
        name="present"
        label={t('password.present')}
        type="password"
        autoComplete="current-password"
      />
      <Field name="next" label={t('password.next')} type="password" autoComplete="new-password" />
      <Field name="again" label={t('password.again')} type="password" autoComplete="new-password" />
      <div role="alert" className="min-h-7">
        {error && <p className="text-error font-semibold">{error}</p>}
      </div>
      <button type="submit" className="btn btn-primary">
        {t('password.change')}
      </button>
    </form>
  );
}
