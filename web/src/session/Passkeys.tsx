import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { del, get, sentence } from '../api/client';
import type { PasskeyView } from '../api/types';
import { dayAndTime } from '../words/time';
import { Field } from './Field';
import { NotShown, makePasskey, passkeysWork } from './passkey';
import words from './words.view.en.json';
import { addWords } from '../words';

addWords(words);

const KEY = ['passkeys'];

/** One's own passkeys, and another one. */
export function Passkeys({ onAdded }: { onAdded?: () => void }) {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const [error, setError] = useState('');
  const [busy, setBusy] = useState(false);
  const own = useQuery({
    queryKey: KEY,
    queryFn: () => get<PasskeyView[]>('/api/session/passkeys'),
    staleTime: 0,
  }).data;

  async function run(action: () => Promise<void>) {
    setError('');
    setBusy(true);
    try {
      await action();
    } catch (problem) {
      setError(problem instanceof NotShown ? t('passkey.notMade') : sentence(problem));
    }
    setBusy(false);
    await queries.invalidateQueries({ queryKey: KEY });
  }

  return (
    <>
      <p>{t('passkey.about')}</p>
      <ul aria-label={t('passkey.title')} className="my-2">
        {own?.map((each) => (
          <li key={each.id} className="border-base-300 flex items-center gap-3 border-b py-2">
            <p className="min-w-0 flex-1">
              <span className="block truncate font-semibold">{each.name}</span>
              <span className="quiet block text-sm">
                {each.used
                  ? t('passkey.used', { used: dayAndTime(each.used) })
                  : t('passkey.added', { added: dayAndTime(each.added) })}
              </span>
            </p>
            <button
              type="button"
              className="btn btn-sm btn-plain"
              aria-label={t('passkey.removeThis', { name: each.name })}
              disabled={busy}
              onClick={() => void run(() => del(`/api/session/passkeys/${each.id}`))}
            >
              {t('passkey.remove')}
            </button>
          </li>
        ))}
      </ul>
      {!passkeysWork && <p className="quiet">{t('passkey.notHere')}</p>}
      {passkeysWork && (
        <form
          className="mt-3"
          onSubmit={(event) => {
            event.preventDefault();
            const form = event.currentTarget;
            const typed = new FormData(form);
            void run(async () => {
              await makePasskey(String(typed.get('present')), String(typed.get('name')));
              form.reset();
              onAdded?.();
            });
          }}
        >
          <Field
            name="name"
            label={t('passkey.name')}
            hint={t('passkey.nameHow')}
            autoComplete="off"
          />
          <Field
            name="present"
            label={t('passkey.present')}
            type="password"
            autoComplete="current-password"
          />
          <button type="submit" className="btn btn-primary" disabled={busy}>
            {t('passkey.add')}
          </button>
        </form>
      )}
      <div role="alert" className="min-h-7">
        {error && <p className="text-error font-semibold">{error}</p>}
      </div>
    </>
  );
}
