import { Suspense, lazy, useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { CallView } from '../api/types';
import { choose } from '../contacts/contacts';
import { BlockButton } from '../rules/BlockButton';
import { nameOf } from './order';

/** Loads when a card is wanted. */
const CardSheet = lazy(() =>
  import('../contacts/CardSheet').then((it) => ({ default: it.CardSheet })),
);

/** Who is at an outside number: asks when it can be several, and leads to the card without leaving the call. */
export function WhoIsIt({ call }: { call: CallView }) {
  const { t } = useTranslation();
  const [card, setCard] = useState(false);
  const { other } = call;
  if (other.kind === 'WITHHELD') {
    return <BlockButton other={other} small />;
  }
  if (other.kind !== 'OUTSIDE') {
    return null;
  }
  const { contact, several = [] } = other.known ?? {};
  return (
    <div className="flex flex-wrap items-center gap-1.5">
      {several.length > 0 && !contact && (
        <>
          <strong>{t('who.several')}</strong>
          {several.map((each) => (
            <button
              key={each.contact}
              type="button"
              className="btn btn-xs btn-primary"
              aria-label={t('who.isIt', { name: each.name })}
              onClick={() => void choose(call.id, each.contact)}
            >
              {each.name}
            </button>
          ))}
        </>
      )}
      {(contact || several.length === 0) && (
        <button
          type="button"
          className="btn btn-xs btn-plain"
          aria-label={
            contact ? t('who.open', { name: nameOf(other, t('party.withheld')) }) : undefined
          }
          onClick={() => setCard(true)}
        >
          {t(contact ? 'who.card' : 'who.write')}
        </button>
      )}
      <BlockButton other={other} small />
      <Suspense>
        {card && (
          <CardSheet contact={contact} number={other.number ?? ''} onClose={() => setCard(false)} />
        )}
      </Suspense>
    </div>
  );
}
