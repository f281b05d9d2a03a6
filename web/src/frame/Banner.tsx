import { useTranslation } from 'react-i18next';
import { useLive } from '../live/store';

/** One line that says what is wrong with the service, when something is. */
export function Banner() {
  const { t } = useTranslation();
  const connection = useLive((live) => live.connection);
  const behind = useLive((live) => live.behind);
  const word = connection === 'lost' ? 'banner.lost' : behind ? 'banner.behind' : '';
  return (
    <div role="status">
      {word && (
        <p className="bg-warning text-warning-content px-4 py-1.5 text-center font-semibold">
          {t(word)}
        </p>
      )}
    </div>
  );
}
