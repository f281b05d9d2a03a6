import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';

interface Props {
  error: Error | null;
  pending: boolean;
  /** What is said when there is nothing in it. */
  none: string;
  empty: boolean;
}

/** What stands where a list would be: why it cannot be shown, that it is coming, or what will be in it. */
export function InsteadOfList({ error, pending, none, empty }: Props) {
  const { t } = useTranslation();
  if (error) {
    return (
      <p role="alert" className="text-error p-4 font-semibold">
        {sentence(error)}
      </p>
    );
  }
  return pending || empty ? <p className="quiet p-4">{pending ? t('loading') : none}</p> : null;
}
