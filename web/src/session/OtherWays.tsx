import { useQuery } from '@tanstack/react-query';
import { useCallback } from 'react';
import { useTranslation } from 'react-i18next';
import { get, sentence } from '../api/client';
import { useOnce } from '../live/useOnce';
import { addWords } from '../words';
import { NotShown, passkeysWork, showPasskey } from './passkey';
import { useSessionActions } from './session';
import words from './words.view.en.json';

addWords(words);

/** Signing in without the password of this office: by a passkey, or where the office does for everything. */
export function OtherWays({ onRefused }: { onRefused: (why: string) => void }) {
  const { t } = useTranslation();
  const { enter } = useSessionActions();
  const provider = useQuery({
    queryKey: ['session', 'provider'],
    queryFn: async () =>
      (await get<{ called: string } | undefined>('/api/session/provider')) ?? null,
  }).data;
  const passkey = useOnce(
    useCallback(async () => {
      try {
        enter(await showPasskey());
      } catch (problem) {
        onRefused(problem instanceof NotShown ? t('passkey.notShown') : sentence(problem));
      }
    }, [enter, onRefused, t]),
  );
  return (
    <>
      {provider && (
        <a className="btn btn-plain mt-3 w-full" href="/api/session/provider/go">
          {t('otherWays.provider', provider)}
        </a>
      )}
      {passkeysWork && (
        <button
          type="button"
          className="btn btn-plain mt-3 w-full"
          disabled={passkey.busy}
          onClick={() => void passkey.run()}
        >
          {t('otherWays.passkey')}
        </button>
      )}
    </>
  );
}
