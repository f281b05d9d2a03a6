import { useTranslation } from 'react-i18next';
import { useLine } from '../live/line';

/** One line that says what is wrong with the service, when something is. */
export function Banner() {
  const { t } = useTranslation();
  const connection = useLine((line) => line.connection);
  const { behind, refused, full } = useLine((line) => line.service);
  const word =
    connection === 'lost'
      ? 'banner.lost'
      : behind
        ? 'banner.behind'
        : full
          ? 'banner.full'
          : refused > 0
            ? 'banner.refused'
            : '';
  return (
    <div role="status">
      {word && (
        <p className="bg-warning text-warning-content px-4 py-1.5 text-center font-semibold">
          {t(word, { count: refused })}
        </p>
      )}
    </div>
  );
}
