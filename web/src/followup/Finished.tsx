import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { nameOf } from '../calls/order';
import { CardButton } from '../contacts/CardButton';
import { NoteField } from './NoteField';
import { FollowUpForm } from './FollowUpForm';
import { Outcome } from './Outcome';
import { type Over, finished } from './finished';
import { add } from './followUps';

/** After a call, in one line that stands in nobody's way: what came of it, and what is to be done. */
export function Finished({ over }: { over: Over }) {
  const { t } = useTranslation();
  const [open, setOpen] = useState<'' | 'follow' | 'note'>('');
  const name = nameOf(over.other, t('party.withheld'));
  const toggle = (what: 'follow' | 'note') => setOpen(open === what ? '' : what);
  return (
    <section
      aria-label={t('finished.title', { name })}
      className="sheet mt-2 border-dashed px-4 py-1.5"
    >
      <div className="flex flex-wrap items-center gap-2">
        <p className="min-w-44 flex-1 truncate">{t('finished.what', { name })}</p>
        <Outcome call={over.id} />
        <button
          type="button"
          className="btn btn-sm btn-plain"
          aria-expanded={open === 'follow'}
          onClick={() => toggle('follow')}
        >
          {t('followUp.add')}
        </button>
        <button
          type="button"
          className="btn btn-sm btn-plain"
          aria-expanded={open === 'note'}
          onClick={() => toggle('note')}
        >
          {t('note.short')}
        </button>
        <CardButton other={over.other} name={name} />
        <button type="button" className="btn btn-sm btn-plain" onClick={finished.away}>
          {t('finished.away')}
        </button>
      </div>
      {open === 'follow' && <FollowUpForm call={over.id} onKeep={add} onDone={() => setOpen('')} />}
      {open === 'note' && (
        <div className="mt-2">
          <NoteField call={over.id} />
        </div>
      )}
    </section>
  );
}
