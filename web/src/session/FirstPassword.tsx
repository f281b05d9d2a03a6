import { useTranslation } from 'react-i18next';
import { Mark } from '../ui/Mark';
import { PasswordForm } from './PasswordForm';

/** Whoever was given a password chooses one of their own before anything else. */
export function FirstPassword() {
  const { t } = useTranslation();
  return (
    <main className="bg-base-200 min-h-dvh px-4 pt-16">
      <div className="mx-auto max-w-md">
        <Mark />
        <div className="sheet mt-6 p-6">
          <h1 className="text-lg font-bold">{t('password.first')}</h1>
          <p className="quiet mb-4">{t('password.must')}</p>
          <PasswordForm onDone={() => undefined} />
        </div>
      </div>
    </main>
  );
}
