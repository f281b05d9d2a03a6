import { Suspense, lazy, useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { PartyView } from '../api/types';
import { nameOf } from '../calls/order';

const BlocksSheet = lazy(() => import('./BlocksSheet').then((it) => ({ default: it.BlocksSheet })));

/** Leads to blocking whoever is outside, with their number filled in; nothing for colleagues. */
export function BlockButton({ other, small }: { other: PartyView; small?: boolean }) {
  const { t } = useTranslation();
  const [open, setOpen] = useState(false);
  if (other.kind !== 'OUTSIDE' && other.kind !== 'WITHHELD') {
    return null;
  }
  return (
    <>
      <button
        type="button"
        className={`btn btn-plain ${small ? 'btn-xs' : 'btn-sm'}`}
        aria-label={t('block.name', { name: nameOf(other, t('party.withheld')) })}
        onClick={() => setOpen(true)}
      >
        {t('block.button')}
      </button>
      <Suspense>
        {open && <BlocksSheet what={other.number ?? ''} onClose={() => setOpen(false)} />}
      </Suspense>
    </>
  );
}
