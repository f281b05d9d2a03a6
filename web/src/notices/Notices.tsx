import type { NoticeView } from '../api/types';
import { useEffect } from 'react';
import { useTranslation } from 'react-i18next';
import { clockTime } from '../words/time';
import { type Shown, dismiss, useNotices } from './store';

const SHOWN_FOR_MS = 10_000;
/** What nobody should miss stays until it is put away. */
const STAYS = ['tried'];

/** What I should be told once, in whole sentences; the latest stay in sight for a while. */
export function Notices() {
  const notices = useNotices((store) => store.notices);
  return (
    <div
      role="log"
      className="pointer-events-none fixed inset-x-4 bottom-4 z-30 lg:bottom-36 flex flex-col items-start gap-2"
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
    if (STAYS.includes(notice.what)) {
      return;
    }
    const timer = setTimeout(() => dismiss(key), SHOWN_FOR_MS);
    return () => clearTimeout(timer);
  }, [key, notice.what]);
  const about = {
    ...notice.about,
    name: notice.about.name || t('party.someone'),
    time: clockTime(Number(notice.about.waited ?? 0)),
  };
  return (
    <div className="bg-neutral text-neutral-content pointer-events-auto flex max-w-lg items-center gap-3 rounded-lg py-2 pr-2 pl-4 shadow-lg">
      <p>{t(`notice.${wordOf(notice)}`, about)}</p>
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

/** Of a caller without a number it is said that it was withheld, where there are words for that. */
function wordOf({ what, about }: NoticeView): string {
  if (what === 'ANSWERED_BY_OTHER' && !about.person) {
    return 'ANSWERED_OUTSIDE';
  }
  return about.name === '' && ['MISSED', 'ANSWERED_BY_OTHER'].includes(what)
    ? `${what}_WITHHELD`
    : what;
}
