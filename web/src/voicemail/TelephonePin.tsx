import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { get, put, sentence } from '../api/client';
import type { ByTelephone } from '../api/types';

const KEY = ['voicemail-by-telephone'];

/** How my messages are listened to at any telephone, and the secret number for it. */
export function TelephonePin() {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const [said, setSaid] = useState('');
  const [error, setError] = useState('');
  const { data } = useQuery({
    queryKey: KEY,
    queryFn: () => get<ByTelephone>('/api/voicemail-by-telephone'),
  });
  if (!data?.extension) {
    return null;
  }

  async function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const form = event.currentTarget;
    try {
      await put('/api/voicemail-by-telephone/pin', { pin: new FormData(form).get('pin') });
      form.reset();
      setError('');
      setSaid(t('pin.kept'));
    } catch (problem) {
      setSaid('');
      setError(sentence(problem));
    }
    await queries.invalidateQueries({ queryKey: KEY });
  }

  return (
    <form className="border-base-300 mt-5 border-t pt-4" onSubmit={(event) => void submit(event)}>
      <h3 className="font-bold">{t('pin.title')}</h3>
      <p className="mb-2">
        {t(data.pinIsSet ? 'pin.how' : 'pin.unset', { extension: data.extension })}
      </p>
      <div className="flex flex-wrap items-end gap-3">
        <label className="block">
          <span className="block">{t('pin.label')}</span>
          <input
            name="pin"
            type="password"
            inputMode="numeric"
            autoComplete="off"
            required
            pattern="[0-9]{4,10}"
            title={t('pin.rule')}
            className="input bg-base-100 mt-1 w-44"
          />
        </label>
        <button type="submit" className="btn btn-plain">
          {t('pin.set')}
        </button>
        <p role="status">{said}</p>
      </div>
      <div role="alert">{error && <p className="text-error font-semibold">{error}</p>}</div>
    </form>
  );
}
