import { useTranslation } from 'react-i18next';
import type { PartyView } from '../api/types';
import { nameOf } from '../calls/order';
import { BlockButton } from '../rules/BlockButton';
import { AddKeyButton } from '../speed/AddKeyButton';
import type { For } from '../speed/speedDials';
import { CardButton } from './CardButton';

/** What a key for this party would be for; null when there is no calling them. */
function keyFor(other: PartyView, name: string): For | null {
  if (other.known?.contact) {
    return { kind: 'CONTACT', of: String(other.known.contact), name };
  }
  if (other.person) {
    return { kind: 'PERSON', of: String(other.person), name };
  }
  return other.kind === 'OUTSIDE' && other.dial ? { kind: 'NUMBER', of: other.dial, name } : null;
}

/** What one makes of whoever a call or message was from: a card, a speed dial. */
export function CardAndKey({ other }: { other: PartyView }) {
  const { t } = useTranslation();
  const target = keyFor(other, nameOf(other, t('party.withheld')));
  return (
    <>
      <CardButton other={other} />
      {target && <AddKeyButton target={target} />}
      <BlockButton other={other} />
    </>
  );
}
