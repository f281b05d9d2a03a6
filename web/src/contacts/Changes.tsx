import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { dayAndTime } from '../words/time';
import { useChanges } from './contacts';
import { inShort } from './inShort';

/** Who changed a card when, and what stood there before. */
export function Changes({ id }: { id: number }) {
  const { t } = useTranslation();
  const [open, setOpen] = useState(false);
  return (
    <section className="mt-3">
      <button
        type="button"
        className="btn btn-xs btn-plain"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        {t('contacts.changes')}
      </button>
      {open && <List id={id} />}
    </section>
  );
}

function List({ id }: { id: number }) {
  const { t } = useTranslation();
  const { data } = useChanges(id);
  return (
    <ol className="mt-2 text-sm">
      {data?.map((each) => (
        <li key={each.at} className="py-0.5">
          {t(`contacts.change.${each.what}`, { name: each.by })}{' '}
          <span className="quiet">{dayAndTime(each.at)}</span>
          {each.before && (
            <span className="quiet block">
              {t('contacts.before', { what: inShort(each.before) })}
            </span>
          )}
        </li>
      ))}
    </ol>
  );
}
