import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useArrival } from '../ui/arrival';
import { nameOf } from '../calls/order';
import { CardButton } from '../contacts/CardButton';
import { NoteField } from './NoteField';
import { FollowUpForm } from './FollowUpForm';
import { Outcome } from './Outcome';
import { type Over, finished } from './finished';
import { add } from './followUps';
import { useNote } from './useNote';

/** After a call, in one line that stands in nobody's way: what came of it, and what is to be done. */
export function Finished({ over }: { over: Over }) {
  const { t } = useTranslation();
  const [open, setOpen] = useState<'' | 'follow' | 'note'>('');
  const name = nameOf(over.other, t('party.withheld'));
  const toggle = (what: 'follow' | 'note') => setOpen(open === what ? '' : what);
  return (
    <section
      aria-label={t('finished.title', { name })}
      ref={useArrival<HTMLElement>()}
      className="sheet relative border-dashed px-4 py-1"
    >
      <div className="flex items-center gap-1.5 max-lg:flex-wrap">
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
      {open && (
        <div className="lg:sheet inset-x-0 top-full z-10 lg:absolute lg:px-4 lg:py-2 lg:shadow-xl">
          {open === 'follow' ? (
            <FromNote call={over.id} onDone={() => setOpen('')} />
          ) : (
            <NoteField call={over.id} />
          )}
        </div>
      )}
    </section>
  );
}

interface FromNoteProps {
  call: string;
  onDone: () => void;
}

/** What is promised mostly is what the note was about. */
function FromNote({ call, onDone }: FromNoteProps) {
  const { title } = useNote(call).note;
  return <FollowUpForm key={title} call={call} begin={title} onKeep={add} onDone={onDone} />;
}
