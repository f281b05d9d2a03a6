import { useTranslation } from 'react-i18next';
import { Dialog } from '../ui/Dialog';
import { PasswordForm } from './PasswordForm';

/** Asks for a new password. */
export function PasswordDialog({ onClose }: { onClose: () => void }) {
  const { t } = useTranslation();
  return (
    <Dialog title={t('password.title')} onClose={onClose}>
      <PasswordForm onDone={onClose} />
    </Dialog>
  );
}
