import { useTranslation } from 'react-i18next';
import { useMe, useSessionActions } from '../session/session';

const TIPS = ['dial', 'answer', 'people', 'keys'] as const;

/** Short first-run tips, until they are put away; my menu shows them again. */
export function Tips() {
  const { t } = useTranslation();
  const me = useMe();
  const { tipsSeen } = useSessionActions();
  if (me.tipsSeen) {
    return null;
  }
  return (
    <section aria-label={t('tips.title')} className="sheet p-4">
      <div className="mb-2 flex items-center justify-between">
        <h2 className="font-bold">{t('tips.title')}</h2>
        <button type="button" className="btn btn-sm btn-plain" onClick={() => void tipsSeen(true)}>
          {t('tips.away')}
        </button>
      </div>
      <ul className="grid gap-x-6 gap-y-1.5 sm:grid-cols-2">
        {TIPS.map((tip) => (
          <li key={tip} className="border-accent border-l-3 pl-3">
            {t(`tips.${tip}`)}
          </li>
        ))}
      </ul>
    </section>
  );
}
