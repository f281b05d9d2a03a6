import { useTranslation } from 'react-i18next';
import { RingingStrip } from '../strips/RingingStrip';
import { inOrder } from './order';
import { useCalls } from './store';

/**
 * Whatever rings, in sight wherever one is and always at the same place: where the desk keeps it free, over what
 * another view has there; on a narrow screen at its foot, in reach of a thumb.
 *
 * @param over whether it stands above a dialog
 */
export function Ringing({ over = false }: { over?: boolean }) {
  const { t } = useTranslation();
  const ringing = inOrder(useCalls()).filter((call) => call.phase === 'RINGING');
  if (ringing.length === 0) {
    return null;
  }
  return (
    <section
      aria-label={t('inHand.ringing')}
      className={`${over ? 'order-first max-h-[50dvh] w-full max-w-3xl' : 'ringing-place max-md:[&_.btn]:h-11'} flex shrink-0 flex-col gap-1.5 overflow-y-auto`}
    >
      {ringing.map((call) => (
        <RingingStrip key={call.id} call={call} />
      ))}
    </section>
  );
}

/** The same above a sheet. */
export function RingingOver() {
  return <Ringing over />;
}
