import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'wouter';
import { askForNotifications, notificationsWanted } from '../ring/notifications';
import { canTakeTelLinks, takeTelLinks } from '../dial/telLink';
import { useMe, useSessionActions } from '../session/session';
import { KeyCap } from '../ui/KeyCap';
import { OFFICE, OUTSIDE, type View } from './tabs';
import { type Theme, setTheme, theme } from './theme';
import { addWords } from '../words';
import words from './words.view.en.json';

addWords(words);

/** What can be opened from here that is of nobody else's concern. */
export type Sheet =
  | 'opening'
  | 'outcomes'
  | 'password'
  | 'phrases'
  | 'preferences'
  | 'queues'
  | 'recording'
  | 'secondFactor'
  | 'signIns'
  | 'slots';

interface Props {
  onClose: () => void;
  onKeys: () => void;
  onStatus: () => void;
  onPart: () => void;
  onSheet: (sheet: Sheet) => void;
}

/** What belongs to me and not to a call. */
export function PersonMenu({ onClose, onKeys, onStatus, onPart, onSheet }: Props) {
  const { t } = useTranslation();
  const me = useMe();
  const { signOut, tipsSeen } = useSessionActions();
  const [chosen, setChosen] = useState(theme());
  const item = (word: string, run: () => void, key?: string) => (
    <li>
      <button
        type="button"
        className="hover:bg-base-200 flex w-full items-center justify-between rounded px-3 py-2 text-left"
        onClick={() => {
          onClose();
          run();
        }}
      >
        {t(word)} {key && <KeyCap name={key} />}
      </button>
    </li>
  );

  const sheet = (name: Sheet) => item(`me.${name}`, () => onSheet(name));

  return (
    <div className="sheet text-base-content absolute right-0 z-40 mt-2 max-h-[calc(100dvh-7rem)] w-72 overflow-y-auto p-2 shadow-lg">
      <dl className="border-base-300 mb-2 grid grid-cols-[auto_1fr] gap-x-3 border-b px-3 pb-2">
        <dt className="quiet">{t('me.extension')}</dt>
        <dd className="text-right font-semibold">{me.extension}</dd>
        {me.directNumber && (
          <>
            <dt className="quiet">{t('me.direct')}</dt>
            <dd className="text-right font-semibold">{me.directNumber}</dd>
          </>
        )}
        <dt className="quiet">{t('me.team')}</dt>
        <dd className="text-right">{me.team}</dd>
      </dl>
      <ul>
        {item('me.status', onStatus, ',')}
        {item('queues.part', onPart, '-')}
        {notificationsWanted() && item('me.notifications', askForNotifications)}
        {sheet('preferences')}
        {canTakeTelLinks && item('me.telLinks', takeTelLinks)}
        {me.role === 'administrator' && (
          <>
            <Opens view={OFFICE} onClose={onClose} />
            {sheet('recording')}
            {sheet('outcomes')}
            {sheet('phrases')}
            {sheet('opening')}
            {sheet('slots')}
            {sheet('queues')}
          </>
        )}
        {item('me.tips', () => void tipsSeen(false))}
        {me.standIns && <Opens view={OUTSIDE} onClose={onClose} />}
        {item('me.keys', onKeys, '?')}
        {sheet('password')}
        {sheet('secondFactor')}
        {sheet('signIns')}
      </ul>
      <label className="flex items-center justify-between gap-3 px-3 py-2">
        {t('theme.label')}
        <select
          className="select select-sm w-36"
          value={chosen}
          onChange={(event) => {
            const next = event.target.value as Theme;
            setTheme(next);
            setChosen(next);
          }}
        >
          {(['system', 'day', 'night'] as const).map((each) => (
            <option key={each} value={each}>
              {t(`theme.${each}`)}
            </option>
          ))}
        </select>
      </label>
      <ul className="border-base-300 mt-1 border-t pt-1">
        {item('me.signOut', () => void signOut())}
      </ul>
    </div>
  );
}

/** A view that has no tab. */
function Opens({ view, onClose }: { view: View; onClose: () => void }) {
  const { t } = useTranslation();
  return (
    <li>
      <Link
        to={view.path}
        className="hover:bg-base-200 flex w-full items-center justify-between rounded px-3 py-2"
        onClick={onClose}
      >
        {t(view.word)} <KeyCap name={view.key} />
      </Link>
    </li>
  );
}
