import { useEffect } from 'react';
import { useTranslation } from 'react-i18next';
import { dismiss, useLive, type Shown } from '../live/store';
import { clockTime } from '../words/time';

const SHOWN_FOR_MS = 10_000;

/** What I should be told once, in whole sentences; the latest stay in sight for a while. */
export function Notices() {
  const notices = useLive((live) => live.notices);
  return (
    <div
      role="log"
      className="pointer-events-none fixed inset-x-4 bottom-4 z-30 lg:bottom-24 flex flex-col items-start gap-2"
    >
      {notices.slice(-4).map((shown) => (
        <OneNotice key={shown.key} shown={shown} />
      ))}
    </div>
  );
}

function OneNotice({ shown }: { shown: Shown }) {
  const { t } = useTranslation();
  const { key, notice, undo } = shown;
  useEffect(() => {
    const timer = setTimeout(() => dismiss(key), SHOWN_FOR_MS);
    return () => clearTimeout(timer);
  }, [key]);
  const about = {
    ...notice.about,
    name: notice.about.name || t('party.someone'),
    time: clockTime(Number(notice.about.waited ?? 0)),
  };
  return (
    <div className="bg-neutral text-neutral-content pointer-events-auto flex max-w-lg items-center gap-3 rounded-lg py-2 pr-2 pl-4 shadow-lg">
      <p>{t(`notice.${notice.what}`, about)}</p>
      {undo && (
        <button
          type="button"
          className="btn btn-xs btn-warning"
          onClick={() => {
            dismiss(key);
            undo();
          }}
        >
          {t('notice.undo')}
        </button>
      )}
      <button
        type="button"
        className="btn btn-xs btn-ghost text-neutral-content hover:text-base-content"
        onClick={() => dismiss(key)}
      >
        {t('notice.dismiss')}
      </button>
    </div>
  );
}
