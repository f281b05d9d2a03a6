import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { get, post, sentence } from '../api/client';
import { addWords } from '../words';
import { Field } from './Field';
import { First } from './First';
import words from './words.view.en.json';

addWords(words);

/** Whoever has followed a link of an administrator's chooses a new password. */
export function NewPassword() {
  const { t } = useTranslation();
  const [token] = useState(() => window.location.hash.slice(1));
  const [error, setError] = useState('');
  const [done, setDone] = useState(false);
  const { data, error: refused } = useQuery({
    queryKey: ['link', token],
    queryFn: async () => {
      await get('/api/session'); // for the token against forged requests
      return post<{ name: string }>('/api/session/link', { token });
    },
    retry: false,
    staleTime: Infinity,
  });

  async function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    if (typed.get('next') !== typed.get('again')) {
      setError(t('password.different'));
      return;
    }
    try {
      await post('/api/session/link/password', { token, password: typed.get('next') });
      setDone(true);
    } catch (problem) {
      setError(sentence(problem));
    }
  }

  const toSignIn = (
    <a className="btn btn-primary" href="/">
      {t('link.toSignIn')}
    </a>
  );
  if (refused) {
    return (
      <First title={t('password.first')} about={sentence(refused)}>
        {toSignIn}
      </First>
    );
  }
  if (done) {
    return (
      <First title={t('link.done')} about={t('link.doneHow', { name: data?.name })}>
        {toSignIn}
      </First>
    );
  }
  return (
    <First title={t('password.first')} about={t('link.for', { name: data?.name ?? '' })}>
      <form onSubmit={(event) => void submit(event)}>
        <Field name="next" label={t('password.next')} type="password" autoComplete="new-password" />
        <Field
          name="again"
          label={t('password.again')}
          type="password"
          autoComplete="new-password"
        />
        <div role="alert" className="min-h-7">
          {error && <p className="text-error font-semibold">{error}</p>}
        </div>
        <button type="submit" className="btn btn-primary">
          {t('password.change')}
        </button>
      </form>
    </First>
  );
}
