import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useArrival } from '../ui/arrival';
import { nameOf } from '../calls/order';
import { CardButton } from '../contacts/CardButton';
import { useShelf } from '../park/store';
import { NoteField } from './NoteField';
import { FollowUpForm } from './FollowUpForm';
import { Outcome } from './Outcome';
import { type Over, endOf, finished } from './finished';
import { add } from './followUps';
import { noteOf } from './useNote';

interface Props {
  over: Over;
  /** How many other calls have ended, of which nothing has been said yet. */
  others: number;
  onNext: () => void;
}

/** After a call, in one line that stands in nobody's way: what came of it, and what is to be done. */
export function Finished({ over, others, onNext }: Props) {
  const { t } = useTranslation();
  const [open, setOpen] = useState<'' | 'follow' | 'note'>('');
  // What is promised mostly is what the note was about.
  const note = useQuery(noteOf(over.id)).data;
  const name = nameOf(over.other, t('party.withheld'));
  const parked = useShelf((store) => store.slots.find((each) => each.waiting?.call === over.id));
  const ended = t(parked ? 'finished.parked' : endOf(over), {
    name,
    slot: parked?.slot ?? '',
    person: over.told?.about.person ?? '',
    to: over.sentTo ?? '',
  });
  const toggle = (what: 'follow' | 'note') => setOpen(open === what ? '' : what);
  return (
    <section
      aria-label={t('finished.title', { name })}
      ref={useArrival<HTMLElement>()}
      className="sheet relative border-dashed px-4 py-1"
    >
      <div className="flex items-center gap-1.5 max-lg:flex-wrap">
        <p className="min-w-44 flex-1 truncate" title={ended}>
          {ended}
        </p>
        {others > 0 && (
          <button type="button" className="btn btn-sm btn-ghost" onClick={onNext}>
            {t('finished.others', { count: others })}
          </button>
        )}
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
        <button
          type="button"
          className="btn btn-sm btn-plain"
          onClick={() => finished.away(over.id)}
        >
          {t('finished.away')}
        </button>
      </div>
      {open && (
        <div className="lg:sheet inset-x-0 top-full z-10 lg:absolute lg:px-4 lg:py-2 lg:shadow-xl">
          {open === 'follow' ? (
            <FollowUpForm
              call={over.id}
              begin={note?.title}
              onKeep={add}
              onDone={() => setOpen('')}
            />
          ) : (
            <NoteField call={over.id} />
          )}
        </div>
      )}
    </section>
  );
}
