import { useEffect } from 'react';
import { createPortal } from 'react-dom';
import { useTranslation } from 'react-i18next';
import { useArrival } from '../ui/arrival';
import { KeyCap } from '../ui/KeyCap';
import { useKeys } from '../ui/keys';
import { useUppermostSheet } from '../ui/sheets';
import { noticeSentence } from './noticeSentence';
import { type Shown, dismiss, useNotices } from './store';

const SHOWN_FOR_MS = 10_000;
/** What nobody should miss stays until it is put away. */
const STAYS = ['tried'];

/** Takes back what was done last, as long as its notice is there. */
const UNDO = [
  {
    key: 'z',
    ctrl: true,
    alt: 'without' as const, // both together type a letter on many keyboards
    always: true,
    run() {
      const last = useNotices.getState().notices.findLast((each) => each.undo);
      if (!last) {
        return false;
      }
      dismiss(last.key);
      last.undo?.();
      return true;
    },
  },
];

/**
 * What I should be told once, in whole sentences; the latest stay in sight for a while, above any sheet. A new one comes
 * above the others, which stay where they are.
 */
export function Notices() {
  const notices = useNotices((store) => store.notices);
  const sheet = useUppermostSheet();
  useKeys(UNDO);
  const log = (
    <div
      role="log"
      className="pointer-events-none fixed inset-x-4 bottom-[calc(4.5rem+var(--foot,0px))] z-30 lg:bottom-36 flex h-64 flex-col-reverse items-start gap-2"
    >
      {notices.slice(-4).map((shown) => (
        <OneNotice key={shown.key} shown={shown} />
      ))}
    </div>
  );
  return sheet ? createPortal(log, sheet) : log;
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
  return (
    <div
      ref={useArrival<HTMLDivElement>()}
      className="bg-neutral text-neutral-content pointer-events-auto flex max-w-lg items-center gap-3 rounded-lg py-2 pr-2 pl-4 shadow-lg"
    >
      <p>{noticeSentence(notice, t)}</p>
      {undo && (
        <button
          type="button"
          className="btn btn-xs btn-warning"
          onClick={() => {
            dismiss(key);
            undo();
          }}
        >
          {t('notice.undo')} <KeyCap name="Ctrl Z" />
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
