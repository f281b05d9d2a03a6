import { IconPhone } from '@tabler/icons-react';
import { useCallback } from 'react';
import { useTranslation } from 'react-i18next';
import type { PartyView } from '../api/types';
import { nameOf } from '../calls/order';
import { callParty } from '../calls/services';
import { useOnce } from '../live/useOnce';

/** Calls somebody from wherever they are shown. */
export function CallPartyButton({ party, word }: { party: PartyView; word: string }) {
  const { t } = useTranslation();
  const { run, busy } = useOnce(useCallback(() => callParty(party), [party]));
  return (
    <button
      type="button"
      className="btn btn-sm btn-plain"
      aria-label={t('party.call', { name: nameOf(party, t('party.withheld')) })}
      aria-disabled={busy}
      onClick={() => void run()}
    >
      <IconPhone size={16} aria-hidden="true" />
      {word}
    </button>
  );
}
