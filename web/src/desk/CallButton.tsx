import {
  IconBellOff,
  IconPhone,
  IconPhoneOff,
  IconPhoneX,
  IconPlayerPause,
  IconPlayerPlay,
  type Icon,
} from '@tabler/icons-react';
import { useCallback } from 'react';
import { useTranslation } from 'react-i18next';
import type { CallView } from '../api/types';
import { KEY_OF, meant } from '../frame/callKeys';
import { serve, useCalls, useOnce, type Action } from '../live/calls';
import { KeyCap } from '../frame/KeyCap';

const ICON: Partial<Record<Action, Icon>> = {
  ANSWER: IconPhone,
  DECLINE: IconPhoneX,
  SILENCE: IconBellOff,
  HOLD: IconPlayerPause,
  RETRIEVE: IconPlayerPlay,
  CLEAR: IconPhoneOff,
};

const LOOK: Partial<Record<Action, string>> = {
  ANSWER: 'btn-success',
  CLEAR: 'btn-error',
};

/** A service of the exchange for one call, with its word and its key. */
export function CallButton({ call, action }: { call: CallView; action: Action }) {
  const { t } = useTranslation();
  const calls = useCalls();
  const { run, busy } = useOnce(useCallback(() => serve(call, action), [call, action]));
  const Icon = ICON[action];
  const word = action === 'CLEAR' && call.phase === 'FAILED' ? 'action.CLOSE' : `action.${action}`;
  return (
    <button
      type="button"
      className={`btn ${(call.phase !== 'HELD' && LOOK[action]) || 'btn-plain'}`}
      aria-disabled={busy}
      aria-keyshortcuts={KEY_OF[action]}
      onClick={() => void run()}
    >
      {Icon && <Icon size={18} aria-hidden="true" />}
      {t(word)}
      {meant(calls, action)?.id === call.id && <KeyCap name={KEY_OF[action] ?? ''} />}
    </button>
  );
}
