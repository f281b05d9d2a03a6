import { useTranslation } from 'react-i18next';
import type { PersonView } from '../api/types';

/** A person's state as a small square; its filling tells it, and so do its words. */
export function Lamp({ lamp }: { lamp: PersonView['lamp'] }) {
  const { t } = useTranslation();
  return <span className={`lamp lamp-${lamp}`} role="img" aria-label={t(`lamp.${lamp}`)} />;
}
