import { useEffect } from 'react';
import { useTranslation } from 'react-i18next';
import type { Notice } from '../api/types';
import { dismiss, useLive } from '../live/store';

const SHOWN_FOR_MS = 10_000;

/** What I should be told once, in whole sentences; the latest stay in sight for a while. */
export function Notices() {
  const notices = useLive((live) => live.notices);
  return (
    <div
      role="log"
      className="pointer-events-none fixed inset-x-4 bottom-4 z-30 flex flex-col items-start gap-2"
    >
      {notices.slice(-4).map(({ key, notice }) => (
        <OneNotice key={key} id={key} notice={notice} />
      ))}
    </div>
  );
}

function OneNotice({ id, notice }: { id: number; notice: Notice }) {
  const { t } = useTranslation();
  useEffect(() => {
    const timer = setTimeout(() => dismiss(id), SHOWN_FOR_MS);
    return () => clearTimeout(timer);
  }, [id]);
  return (
    <div className="bg-neutral text-neutral-content pointer-events-auto flex max-w-lg items-center gap-3 rounded-lg py-2 pr-2 pl-4 shadow-lg">
      <p>{t(`notice.${notice.what}`, notice.about)}</p>
      <button type="button" className="btn btn-xs btn-ghost" onClick={() => dismiss(id)}>
        {t('notice.dismiss')}
      </button>
    </div>
  );
}
