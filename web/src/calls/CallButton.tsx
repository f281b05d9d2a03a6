import {
  IconArrowBackUp,
  IconArrowMerge,
  IconArrowRight,
  IconArrowsUpDown,
  IconBellOff,
  IconCornerUpRight,
  IconMicrophone,
  IconMicrophoneOff,
  IconMessage,
  IconPhone,
  IconPhoneOff,
  IconPhoneX,
  IconPlayerPause,
  IconParking,
  IconPhoneDone,
  IconPlayerPlay,
  IconPlayerStop,
  IconMicrophone2,
  IconTransferIn,
  IconUserPlus,
  type Icon,
} from '@tabler/icons-react';
import { useCallback } from 'react';
import { useTranslation } from 'react-i18next';
import type { CallView } from '../api/types';
import { KeyCap } from '../ui/KeyCap';
import { OUTSIDE, isRungFor, otherDevice, useDevices } from '../devices/store';
import { device } from '../live/device';
import { useOnce } from '../live/useOnce';
import { keyOf, meant } from './callKeys';
import { type Action, serve } from './services';
import { useCallStore, useCalls } from './store';

const ICON: Partial<Record<Action, Icon>> = {
  ANSWER: IconPhone,
  DECLINE: IconPhoneX,
  SILENCE: IconBellOff,
  HOLD: IconPlayerPause,
  RETRIEVE: IconPlayerPlay,
  CLEAR: IconPhoneOff,
  DEFLECT: IconCornerUpRight,
  MUTE: IconMicrophoneOff,
  UNMUTE: IconMicrophone,
  TRANSFER: IconArrowRight,
  HAND_OVER: IconArrowRight,
  SWAP: IconArrowsUpDown,
  JOIN: IconArrowMerge,
  RECONNECT: IconArrowBackUp,
  PULL_BACK: IconArrowBackUp,
  PARK: IconParking,
  RECORD: IconMicrophone2,
  STOP_RECORDING: IconPlayerStop,
  ADD: IconUserPlus,
  MOVE_HERE: IconTransferIn,
  CALL_BACK: IconPhoneDone,
  TO_MAILBOX: IconMessage,
  END_FOR_ALL: IconPhoneOff,
};

/** As wide as the longer of two words that take each other's place. */
const WIDTH: Partial<Record<Action, string>> = {
  MUTE: 'lg:min-w-24 xl:min-w-31',
  UNMUTE: 'lg:min-w-24 xl:min-w-31',
};

/** Whose word is long and is cut before *End* is out of sight. */
const CUT: Action = 'MOVE_HERE';

const LOOK: Partial<Record<Action, string>> = {
  ANSWER: 'btn-success',
  CLEAR: 'btn-error',
  UNMUTE: 'btn-warning',
  PULL_BACK: 'btn-primary',
};

interface Props {
  call: CallView;
  action: Action;
  /** What the button says, when the usual word would not tell enough. */
  word?: string;
  main?: boolean;
}

/** A service of the exchange for one call, with its word and its key. */
export function CallButton({ call, action, word, main = false }: Props) {
  const { t } = useTranslation();
  const calls = useCalls();
  const outside = useDevices((store) => otherDevice(call, store.view) === OUTSIDE);
  const { run, busy } = useOnce(useCallback(() => serve(call, action), [call, action]));
  const Icon = ICON[action];
  const chosen = useCallStore((store) => store.chosen);
  const key = keyOf(call, action);
  /** Held calls stand close together: their words do without pictures. */
  const low = call.phase === 'HELD' && !call.announces;
  return (
    <button
      type="button"
      title={word ?? (action === CUT ? t(usualWord(call, action, outside)) : undefined)}
      className={`btn btn-call max-w-full min-w-0 ${WIDTH[action] ?? ''} ${action === CUT ? 'lg:shrink' : ''} ${low ? 'btn-call-low' : ''} ${(main || action === 'CALL_BACK' || takesHere(call, action) ? 'btn-primary' : !['HELD', 'FAILED'].includes(call.phase) && LOOK[action]) || 'btn-plain'}`}
      aria-disabled={busy}
      aria-keyshortcuts={key}
      aria-pressed={action === 'UNMUTE' || action === 'STOP_RECORDING' ? true : undefined}
      onClick={() => void run()}
    >
      {Icon && !(low && action !== 'RETRIEVE') && (
        <Icon size={18} aria-hidden="true" className="shrink-0" />
      )}
      <span className="truncate">{word ?? t(usualWord(call, action, outside))}</span>
      {key && meant(calls, action, chosen, key)?.id === call.id && <KeyCap name={key} />}
    </button>
  );
}

/** Whoever speaks elsewhere most likely wants to speak here. */
function takesHere(call: CallView, action: Action): boolean {
  return action === 'MOVE_HERE' && call.device !== device;
}

/** @param outside whether it would move to a telephone outside */
function usualWord(call: CallView, action: Action, outside: boolean): string {
  if (action === 'CLEAR' && call.phase === 'FAILED') {
    return 'action.CLOSE';
  }
  if (action === 'CLEAR' && call.conference) {
    return 'action.LEAVE';
  }
  if (action === 'TO_MAILBOX' && call.phase === 'FAILED' && !call.announces) {
    return 'action.LEAVE_MESSAGE';
  }
  if (action === 'MOVE_HERE' && call.device === device) {
    return isRungFor(call)
      ? 'action.KEEP_HERE'
      : `action.${outside ? 'MOVE_OUTSIDE' : 'MOVE_TO_PHONE'}`;
  }
  if (action === 'JOIN' && !call.announces) {
    return 'action.JOIN_HELD';
  }
  return `action.${action}`;
}
