import { useTranslation } from 'react-i18next';
import type { CallView } from '../api/types';
import { nameOf } from '../calls/order';
import { Before } from './Before';
import { NoteField } from './NoteField';
import { useKnown } from './followUps';

/** Beside the call in progress: what was before, what is open, and a note that is always open. */
export function Known({ call }: { call: CallView }) {
  const { t } = useTranslation();
  const { other } = call;
  const outside = other.kind === 'OUTSIDE';
  const known = useKnown(outside ? other.dial : undefined);
  return (
    <section
      aria-label={t('known.title', { name: nameOf(other, t('party.withheld')) })}
      className={`sheet mt-2 grid gap-x-6 gap-y-2 px-4 py-2 ${outside ? 'sm:grid-cols-2' : ''}`}
    >
      {/* There from the beginning: what one is writing must not move when it comes. */}
      {outside && <div>{known && <Before known={known} />}</div>}
      <NoteField key={call.id} call={call.id} byKey />
    </section>
  );
}
