import { useTranslation } from 'react-i18next';
import { Dialog } from '../ui/Dialog';
import { Passkeys } from './Passkeys';
import { SecondFactor } from './SecondFactor';

/** What one signs in with besides the password, or instead of it. */
export function SecondFactorDialog({ onClose }: { onClose: () => void }) {
  const { t } = useTranslation();
  return (
    <Dialog title={t('factor.all')} onClose={onClose}>
      <h2 className="font-bold">{t('passkey.title')}</h2>
      <Passkeys />
      <h2 className="border-base-300 mt-5 border-t pt-4 font-bold">{t('factor.title')}</h2>
      <SecondFactor onAdded={onClose} />
    </Dialog>
  );
}
