import { useTranslation } from 'react-i18next';
import { type For, addKey } from './speedDials';

/** Makes a speed dial of whatever it stands beside. */
export function AddKeyButton({ target }: { target: For }) {
  const { t } = useTranslation();
  return (
    <button
      type="button"
      className="btn btn-sm btn-plain"
      aria-label={t('speed.addName', { name: target.name })}
      onClick={() => void addKey(target)}
    >
      {t('speed.add')}
    </button>
  );
}
