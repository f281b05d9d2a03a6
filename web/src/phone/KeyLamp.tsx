import { useTranslation } from 'react-i18next';
import type { Panel } from '../api/types';

type Light = Panel['keys'][number]['light'];

/** The lamps of the people board mean the same here; only what waits has one of its own. */
const LAMP: Record<Light, string> = {
  DARK: 'OFF',
  FREE: 'FREE',
  STEADY: 'ON_CALL',
  FLASHING: 'RINGING',
  WAITING: 'WAITING',
  CLOSED: 'DO_NOT_DISTURB',
};

/** The lamp of a key: a small square whose filling tells how it burns. */
export function KeyLamp({ light, assigned }: { light: Light; assigned: boolean }) {
  const { t } = useTranslation();
  return assigned ? (
    <span
      role="img"
      aria-label={t(`phone.light.${light}`)}
      className={`lamp shrink-0 lamp-${LAMP[light]}`}
    />
  ) : (
    <span className="lamp lamp-OFF shrink-0 opacity-40" />
  );
}
