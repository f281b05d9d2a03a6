import { useTranslation } from 'react-i18next';
import { post } from '../api/client';
import { nameOf } from '../calls/order';
import { useCallStore } from '../calls/store';
import { answeringDevice } from '../calls/services';
import { useNow } from '../live/now';
import { attempt } from '../notices/attempt';
import { clockTime } from '../words/time';

const take = (call: string) =>
  attempt(post(`/api/calls/${call}/take-from-mailbox`, { device: answeringDevice() }));

/** Whoever is leaving a message right now, and can still be spoken with. */
export function Leaving() {
  const { t } = useTranslation();
  const now = useNow();
  const leaving = useCallStore((store) => store.leaving);
  if (leaving.length === 0) {
    return null;
  }
  return (
    <ul className="sheet divide-base-300 border-accent my-2 divide-y">
      {leaving.map((each) => {
        const name = nameOf(each.who, t('party.withheld'));
        return (
          <li
            key={each.call}
            className="bg-accent/15 flex flex-wrap items-center gap-x-3 gap-y-1 px-4 py-1.5"
          >
            <p className="min-w-0 flex-1">
              <span className="font-semibold">{name}</span>{' '}
              <span className="quiet">
                {t(each.speaks ? 'mailbox.leaving' : 'mailbox.listens', {
                  time: clockTime(now - Date.parse(each.since)),
                })}
                {each.line && ` · ${t('party.onLine', { line: each.line })}`}
              </span>
            </p>
            <button
              type="button"
              className="btn btn-sm btn-success"
              onClick={() => void take(each.call)}
            >
              {t('mailbox.takeCaller')}
            </button>
          </li>
        );
      })}
    </ul>
  );
}
