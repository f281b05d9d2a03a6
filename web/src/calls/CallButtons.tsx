import { IconPhone, IconSearch } from '@tabler/icons-react';
import { useCallback, useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import type { CallView } from '../api/types';
import { otherDevice, useDevices } from '../devices/store';
import { KeyCap } from '../ui/KeyCap';
import { useKeys } from '../ui/keys';
import { useOnce } from '../live/useOnce';
import { CallButton } from './CallButton';
import { type Action, callParty } from './services';
import { callStore, useCallStore } from './store';

/** These stand at the end of the row, away from the others. */
const ENDING: Action[] = ['END_FOR_ALL', 'CLEAR'];

/** Their words change or they come and go: behind all others, which must not move. */
const LATER: Action[] = ['RECORD', 'STOP_RECORDING', 'MOVE_HERE'];

/** With more in one row the words do without their pictures, and in a narrow one without their keys. */
const PICTURED = 8;

/** Everything that can be done with a call now, in one row where there is room. */
export function CallButtons({ call, wide }: { call: CallView; wide: boolean }) {
  const stays = useDevices((store) => otherDevice(call, store.view) === undefined);
  const early = call.actions.filter(
    (action) =>
      !ENDING.includes(action) && action !== 'DIGITS' && (action !== 'MOVE_HERE' || !stays),
  );
  const ending = ENDING.filter((action) => call.actions.includes(action));
  const buttons = (which: (action: Action) => boolean) =>
    early.filter(which).map((action) => <CallButton key={action} call={call} action={action} />);
  const pictured =
    call.actions.length <= PICTURED
      ? 'lg:max-xl:[&_svg]:hidden'
      : 'lg:[&_svg]:hidden lg:max-xl:[&_kbd]:hidden';
  return (
    <div
      className={`flex items-start gap-1.5 max-sm:flex-wrap ${pictured} ${wide ? 'w-full' : ''}`}
    >
      <span className="flex min-w-0 flex-1 gap-1.5 max-lg:flex-wrap max-sm:contents">
        {buttons((action) => !LATER.includes(action))}
        {call.actions.includes('DIGITS') && <KeysButton call={call} />}
        {buttons((action) => LATER.includes(action))}
        {call.phase === 'FAILED' && <Again call={call} />}
      </span>
      {ending.length > 0 && (
        <span className="ml-auto flex shrink-0 gap-1.5">
          {ending.map((action) => (
            <CallButton key={action} call={call} action={action} />
          ))}
        </span>
      )}
    </div>
  );
}

/** Opens the keypad of the call. */
function KeysButton({ call }: { call: CallView }) {
  const { t } = useTranslation();
  const open = useCallStore(({ panel }) => panel?.call === call.id && panel.what === 'KEYS');
  const toggle = useCallback(() => callStore.togglePanel(call.id, 'KEYS'), [call.id]);
  useKeys(useMemo(() => [{ key: 'k', run: toggle }], [toggle]));
  return (
    <button
      type="button"
      className="btn btn-call btn-plain"
      aria-expanded={open}
      aria-keyshortcuts="K"
      onClick={toggle}
    >
      {t('action.KEYS')} <KeyCap name="K" />
    </button>
  );
}

/** After a call that failed: once more, or another number. */
function Again({ call }: { call: CallView }) {
  const { t } = useTranslation();
  const { run, busy } = useOnce(useCallback(() => callParty(call.other), [call.other]));
  return (
    <>
      {call.other.dial && (
        <button
          type="button"
          className="btn btn-call btn-plain"
          aria-disabled={busy}
          onClick={() => void run()}
        >
          <IconPhone size={18} aria-hidden="true" />
          {t('action.AGAIN')}
        </button>
      )}
      <button
        type="button"
        className="btn btn-call btn-plain"
        onClick={() => document.querySelector<HTMLElement>('[data-dial-field]')?.focus()}
      >
        <IconSearch size={18} aria-hidden="true" />
        {t('action.ANOTHER')} <KeyCap name="/" />
      </button>
    </>
  );
}
