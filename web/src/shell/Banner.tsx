import { useTranslation } from 'react-i18next';
import { useLine } from '../live/line';
import { useAlarms } from './alarms';
import { useMe } from '../session/session';

/**
 * One line that says what is wrong with the service, when something is; to administrators also what they have to see to. It
 * has the room between the band and the view, so that nothing moves; on a narrow screen, where it takes several rows, it
 * takes its own.
 */
export function Banner() {
  const { t } = useTranslation();
  const me = useMe();
  const connection = useLine((line) => line.connection);
  const { behind, refused, full } = useLine((line) => line.service);
  const [alarm, ...others] = useAlarms(me.role === 'administrator');
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
  const toBeDone =
    alarm &&
    t(`notice.ALARM_${alarm}`) +
      (others.length > 0 ? ` ${t('banner.more', { count: others.length })}` : '');
  const said = word ? t(word, { count: refused }) : toBeDone;
  return (
    <div role="status" className="lg:relative lg:h-0">
      {said && (
        <p className="bg-warning text-warning-content px-4 py-1.5 text-center font-semibold lg:absolute lg:inset-x-0 lg:-top-0.5 lg:z-30 lg:truncate lg:py-0.5 lg:text-xs lg:leading-4">
          {said}
        </p>
      )}
    </div>
  );
}
