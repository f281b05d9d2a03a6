import { useTranslation } from 'react-i18next';
import { Link } from 'wouter';
import { useMe } from '../session/session';
import { useOffice } from './office';

/** For administrators, as long as the office cannot work as one yet. */
export function NotSetUp() {
  const { t } = useTranslation();
  const administrator = useMe().role === 'administrator';
  const missing = useOffice(administrator)?.missing ?? [];
  return administrator && missing.length > 0 ? (
    <p className="sheet mb-3 flex flex-wrap items-center gap-3 px-4 py-3">
      {t('notSetUp.lacks', { count: missing.length })}
      <Link to="/office" className="btn btn-primary btn-sm ml-auto">
        {t('notSetUp.go')}
      </Link>
    </p>
  ) : null;
}
