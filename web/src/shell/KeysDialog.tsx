import { useTranslation } from 'react-i18next';
import { KEY_OF } from '../calls/callKeys';
import { useMe } from '../session/session';
import { useHasQueues } from '../queues/queues';
import { Dialog } from '../ui/Dialog';
import { addWords } from '../words';
import { views } from './tabs';
import words from './words.view.en.json';

addWords(words);

/** The list of keys. */
export function KeysDialog({ onClose }: { onClose: () => void }) {
  const { t } = useTranslation();
  const me = useMe();
  const rows: [string, string][] = [
    ['/', t('keys.dial')],
    ['0–9 + * #', t('keys.digits')],
    ['↑ ↓', t('keys.choose')],
    ['→', t('keys.further')],
    ['Enter', t('keys.enter')],
    ['K', t('keys.keypad')],
    ['Alt 1–9', t('keys.speed')],
    ['Alt ⇧ 1–9', t('keys.phrase')],
    ['.', t('keys.note')],
    ...Object.entries(KEY_OF).map(([action, key]): [string, string] => [key, t(`keys.${action}`)]),
    ['L', t('keys.connect')],
    ['↑ ↓', t('keys.strip')],
    ...views(me, useHasQueues()).map((tab): [string, string] => [
      tab.key,
      t('keys.tab', { tab: t(tab.word) }),
    ]),
    ['G', t('keys.pickUp')],
    ['=', t('keys.takeOver')],
    [',', t('keys.status')],
    ['-', t('queues.partKey')],
    ['\\', t('queues.doneKey')],
    ['Ctrl Z', t('keys.undo')],
    ['?', t('keys.help')],
    ['Esc', t('keys.escape')],
  ];
  return (
    <Dialog title={t('keys.list')} onClose={onClose} wide>
      <p className="quiet mb-3">{t('keys.alt')}</p>
      <dl className="gap-x-8 sm:columns-2">
        {rows.map(([key, does]) => (
          <div key={key + does} className="flex break-inside-avoid items-baseline gap-3 pb-1">
            <dt className="w-20 shrink-0 text-right">
              <kbd className="kbd !inline-flex">{key}</kbd>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </Dialog>
  );
}
