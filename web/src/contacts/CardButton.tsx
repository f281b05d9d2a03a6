import { useTranslation } from 'react-i18next';
import type { PartyView } from '../api/types';
import { cardSheet } from './cardSheet';

interface Props {
  other: PartyView;
  /** Of whom it speaks to whoever does not see what it stands beside. */
  name?: string;
  small?: boolean;
}

/** Opens the card of an outside number, or a new one for it. */
export function CardButton({ other, name, small = false }: Props) {
  const { t } = useTranslation();
  const contact = other.known?.contact;
  if (other.kind !== 'OUTSIDE') {
    return null;
  }
  return (
    <button
      type="button"
      className={`btn ${small ? 'btn-xs' : 'btn-sm'} btn-plain`}
      aria-label={contact && name ? t('who.open', { name }) : undefined}
      onClick={() => cardSheet.open({ contact, number: other.number ?? '' })}
    >
      {t(contact ? 'who.card' : 'who.write')}
    </button>
  );
}
