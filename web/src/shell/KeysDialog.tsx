import { useTranslation } from 'react-i18next';
import { KEY_OF } from '../calls/callKeys';
import { useMe } from '../session/session';
import { useHasQueues } from '../queues/useHasQueues';
import { Dialog } from '../ui/Dialog';
import { views } from './tabs';

/** The list of keys. */
export function KeysDialog({ onClose }: { onClose: () => void }) {
  const { t } = useTranslation();
  const me = useMe();
  const rows: [string, string][] = [
    ['/', t('key.dial')],
    ['0–9 + * #', t('key.digits')],
    ['↑ ↓', t('key.choose')],
    ['→', t('key.further')],
    ['Enter', t('key.enter')],
    ['K', t('key.keypad')],
    ['Alt 1–9', t('key.speed')],
    ['Alt ⇧ 1–9', t('key.phrase')],
    ['.', t('key.note')],
    ...Object.entries(KEY_OF).map(([action, key]): [string, string] => [key, t(`key.${action}`)]),
    ['L', t('key.connect')],
    ['↑ ↓', t('key.strip')],
    ...views(me, useHasQueues()).map((tab): [string, string] => [
      tab.key,
      t('key.tab', { tab: t(tab.word) }),
    ]),
    ['G', t('key.pickUp')],
    ['=', t('key.takeOver')],
    [',', t('key.status')],
    ['-', t('queues.partKey')],
    ['\\', t('queues.doneKey')],
    ['Ctrl Z', t('key.undo')],
    ['?', t('key.help')],
    ['Esc', t('key.escape')],
  ];
  return (
    <Dialog title={t('key.list')} onClose={onClose} wide>
      <p className="quiet mb-3">{t('key.alt')}</p>
      <dl className="gap-x-8 sm:columns-2">
        {rows.map(([key, does]) => (
          <div key={key + does} className="flex break-inside-avoid items-baseline gap-3 pb-1">
            <dt className="w-20 shrink-0 text-right">
              <kbd className="kbd">{key}</kbd>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </Dialog>
  );
}
