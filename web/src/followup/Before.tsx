import { useTranslation } from 'react-i18next';
import type { KnownOf } from '../api/types';
import { Cord } from '../cord/Cord';
import { useNow } from '../live/now';
import { clockTime, shortMoment } from '../words/time';
import { FollowUpRow } from './FollowUpRow';

/** What was and what is open: calls as small cords, things to be done, notes. */
export function Before({ known }: { known: KnownOf }) {
  const { t } = useTranslation();
  const now = useNow();
  const when = (at: string) => shortMoment(at, now);
  return (
    <div className="flex min-w-0 flex-col gap-2">
      {known.followUps.length > 0 && (
        <section aria-label={t('known.open')}>
          <ul className="border-accent border-l-3 pl-3">
            {known.followUps.map((each) => (
              <FollowUpRow key={each.id} followUp={each} compact />
            ))}
          </ul>
        </section>
      )}
      <section aria-label={t('known.before')}>
        {known.calls.length === 0 && <p className="quiet">{t('known.noneBefore')}</p>}
        <ul>
          {known.calls.map((call) => (
            <li key={call.began} className="flex items-center gap-3 py-0.5 text-sm">
              <span className="min-w-0 flex-1 truncate">
                <span className="font-semibold">{call.by}</span>{' '}
                <span className="quiet">{when(call.began)}</span>
              </span>
              <span className="w-24 shrink-0">
                <Cord course={call.course} now={Date.parse(call.ended)} whole />
              </span>
              <span
                className={`w-14 shrink-0 text-right ${call.missed ? 'text-error font-semibold' : 'quiet'}`}
              >
                {call.missed ? t('known.missed') : clockTime(call.talked)}
              </span>
            </li>
          ))}
        </ul>
      </section>
      {known.notes.length > 0 && (
        <section aria-label={t('known.notes')}>
          <ul>
            {known.notes.map((note) => (
              <li key={note.by + note.written} className="py-0.5 text-sm">
                <span className="font-semibold break-words">{note.title}</span>{' '}
                <span className="whitespace-pre-wrap break-words">{note.text}</span>{' '}
                <span className="quiet">
                  {[note.outcome, note.by, when(note.written)].filter(Boolean).join(' · ')}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
