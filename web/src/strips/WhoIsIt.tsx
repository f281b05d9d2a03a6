import { useTranslation } from 'react-i18next';
import type { CallView } from '../api/types';
import { CardButton } from '../contacts/CardButton';
import { choose } from '../contacts/contacts';
import { BlockButton } from '../rules/BlockButton';
import { nameOf } from '../calls/order';

/** Who is at an outside number: asks when it can be several, and leads to the card without leaving the call. */
export function WhoIsIt({ call }: { call: CallView }) {
  const { t } = useTranslation();
  const { other } = call;
  if (other.kind === 'WITHHELD') {
    return <BlockButton other={other} small />;
  }
  if (other.kind !== 'OUTSIDE') {
    return null;
  }
  const { contact, several = [] } = other.known ?? {};
  return (
    <div className="flex shrink-0 items-center gap-1.5 max-lg:flex-wrap">
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
        <CardButton other={other} name={nameOf(other, t('party.withheld'))} small />
      )}
      <BlockButton other={other} small />
    </div>
  );
}
