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

/** Everything that can be done with a call now. */
export function CallButtons({ call, wide }: { call: CallView; wide: boolean }) {
  const stays = useDevices((store) => otherDevice(call, store.view) === undefined);
  const early = call.actions.filter(
    (action) =>
      !ENDING.includes(action) && action !== 'DIGITS' && (action !== 'MOVE_HERE' || !stays),
  );
  return (
    <div className={`flex items-start max-sm:flex-wrap ${wide ? 'w-full gap-2' : 'gap-1.5'}`}>
      <span className={`flex flex-1 flex-wrap max-sm:contents ${wide ? 'gap-2' : 'gap-1.5'}`}>
        {early.map((action) => (
          <CallButton key={action} call={call} action={action} />
        ))}
        {call.actions.includes('DIGITS') && <KeysButton call={call} />}
        {call.phase === 'FAILED' && <Again call={call} />}
      </span>
      <span className="ml-auto flex shrink-0 gap-2">
        {ENDING.filter((action) => call.actions.includes(action)).map((action) => (
          <CallButton key={action} call={call} action={action} />
        ))}
      </span>
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
