import { useTranslation } from 'react-i18next';
import { CallBar } from '../strips/CallBar';
import { Ringing } from './Ringing';
import { activeCall, inOrder } from './order';
import { useCalls } from './store';

/** Calls while another view than the desk is open: a ringing one whole, the one that is meant in a row. */
export function CallsElsewhere() {
  const { t } = useTranslation();
  const calls = inOrder(useCalls());
  const others = calls.filter((call) => call.phase !== 'RINGING');
  // Of several on hold the one that was spoken in last.
  const meant = activeCall(others) ?? [...others].sort((a, b) => b.since.localeCompare(a.since))[0];
  if (calls.length === 0) {
    return null;
  }
  return (
    <>
      <Ringing />
      {meant && (
        <section
          aria-label={t('inHand.title')}
          className="sticky bottom-0 z-10 mt-3 max-md:bottom-14"
        >
          <CallBar call={meant} more={others.length - 1} />
        </section>
      )}
    </>
  );
}
