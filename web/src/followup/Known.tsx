import { useTranslation } from 'react-i18next';
import type { CallView } from '../api/types';
import { nameOf } from '../calls/order';
import { useArrival } from '../ui/arrival';
import { Before } from './Before';
import { NoteField } from './NoteField';
import { useKnown } from './followUps';

/** Beside the call in progress: what was before, what is open, and a note that is always open. */
export function Known({ call }: { call: CallView }) {
  const { t } = useTranslation();
  const { other } = call;
  const outside = other.kind === 'OUTSIDE' && !call.conference;
  const known = useKnown(outside ? other.dial : undefined);
  return (
    <section
      ref={useArrival<HTMLElement>()}
      aria-label={t('known.title', {
        name: call.conference ? t('conference.name') : nameOf(other, t('party.withheld')),
      })}
      className={`sheet grid min-h-36 flex-1 grid-cols-1 gap-x-6 gap-y-2 px-4 py-2 ${outside ? 'sm:grid-cols-2' : ''}`}
    >
      {/* There from the beginning: what one is writing must not move when it comes. */}
      {outside && (
        <div className="min-h-0 lg:overflow-y-auto">{known && <Before known={known} />}</div>
      )}
      <NoteField key={call.id} call={call.id} byKey />
    </section>
  );
}
