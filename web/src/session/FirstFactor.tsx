import { useTranslation } from 'react-i18next';
import { First } from './First';
import { Passkeys } from './Passkeys';
import { passkeysWork } from './passkey';
import { SecondFactor } from './SecondFactor';
import { useSessionActions } from './session';

/** Whoever has to have a second factor sets it up before anything else. */
export function FirstFactor() {
  const { t } = useTranslation();
  const { factorAdded, signOut } = useSessionActions();
  return (
    <First title={t('factor.title')} about={t('factor.first')}>
      <SecondFactor onAdded={factorAdded} />
      {passkeysWork && (
        <details className="border-base-300 mt-5 border-t pt-4">
          <summary className="cursor-pointer font-bold">{t('factor.orPasskey')}</summary>
          <Passkeys onAdded={factorAdded} />
        </details>
      )}
      <button type="button" className="btn btn-plain mt-6" onClick={() => void signOut()}>
        {t('factor.signOut')}
      </button>
    </First>
  );
}
