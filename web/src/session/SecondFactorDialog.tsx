import { useTranslation } from 'react-i18next';
import { Dialog } from '../ui/Dialog';
import { SecondFactor } from './SecondFactor';

/** One's own second factor. */
export function SecondFactorDialog({ onClose }: { onClose: () => void }) {
  const { t } = useTranslation();
  return (
    <Dialog title={t('factor.title')} onClose={onClose}>
      <SecondFactor onAdded={onClose} />
    </Dialog>
  );
}
