import { useTranslation } from 'react-i18next';
import { First } from './First';
import { PasswordForm } from './PasswordForm';

/** Whoever was given a password chooses one of their own before anything else. */
export function FirstPassword() {
  const { t } = useTranslation();
  return (
    <First title={t('password.first')} about={t('password.must')}>
      <PasswordForm onDone={() => undefined} />
    </First>
  );
}
