import { useTranslation } from 'react-i18next';
import { useLine } from '../live/line';

/**
 * One line that says what is wrong with the service, when something is. It has the room between the band and the view, so
 * that nothing moves; on a narrow screen, where it takes several rows, it takes its own.
 */
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
    <div role="status" className="lg:relative lg:h-0">
      {word && (
        <p className="bg-warning text-warning-content px-4 py-1.5 text-center font-semibold lg:absolute lg:inset-x-0 lg:-top-0.5 lg:z-30 lg:truncate lg:py-0.5 lg:text-xs lg:leading-4">
          {t(word, { count: refused })}
        </p>
      )}
    </div>
  );
}
