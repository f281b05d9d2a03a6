import { useTranslation } from 'react-i18next';
import { Link } from 'wouter';
import { KeyCap } from '../ui/KeyCap';
import { Ringing } from './Ringing';
import { useCalls } from './store';

/** Calls while another view than the desk is open: a ringing one whole, the others in a line. */
export function CallsElsewhere() {
  const { t } = useTranslation();
  const calls = useCalls();
  const others = calls.filter((call) => call.phase !== 'RINGING').length;
  if (calls.length === 0) {
    return null;
  }
  return (
    <section aria-label={t('inHand.title')} className="mb-4 flex flex-col gap-2">
      <Ringing />
      {others > 0 && (
        <p className="sheet flex items-center justify-between px-4 py-2">
          {t('inHand.elsewhere', { count: others })}
          <Link to="/desk" className="btn btn-sm btn-plain">
            {t('inHand.toDesk')} <KeyCap name="B" />
          </Link>
        </p>
      )}
    </section>
  );
}
