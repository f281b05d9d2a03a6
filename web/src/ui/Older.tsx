import { useTranslation } from 'react-i18next';

interface Props {
  /** Whether there are any. */
  more: boolean;
  busy: boolean;
  onMore: () => unknown;
}

/** The key at the end of a list that goes on. */
export function Older({ more, busy, onMore }: Props) {
  const { t } = useTranslation();
  return (
    more && (
      <div className="p-3 text-center">
        <button
          type="button"
          className="btn btn-sm btn-plain"
          disabled={busy}
          onClick={() => void onMore()}
        >
          {t('older')}
        </button>
      </div>
    )
  );
}
