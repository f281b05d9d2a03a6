import { post } from '../api/client';
import type { CallView, SoftphoneAnswer } from '../api/types';
import { activeCall } from '../calls/order';
import { useCallStore } from '../calls/store';
import { device } from '../live/device';
import { useLine } from '../live/line';
import { SoundLink } from './link';
import { MicrophoneLine } from './microphone';
import { useSoundSettings } from './settings';
import { soundStore } from './store';

/** Calls that are spoken in this window. */
function spokenHere(calls: CallView[]): CallView[] {
  return calls.filter(
    (call) => call.device === device && !['RINGING', 'SENT'].includes(call.phase),
  );
}

/**
 * The softphone of this window: connected as soon as the server tells it what happens, kept, and the
 * microphone open while there is a call.
 *
 * @returns what ends it
 */
export function startSoftphone(): () => void {
  const link = new SoundLink(
    async (sdp) => {
      const answer = await post<SoftphoneAnswer>('/api/softphone', { device, sdp });
      soundStore.set({ wideband: answer.wideband });
      return answer;
    },
    (live) => soundStore.set({ lost: !live, theirs: live ? link.heard() : null }),
  );
  const microphone = new MicrophoneLine(
    () => useSoundSettings.getState().microphone,
    (track) => link.speak(track),
  );

  let run = '';
  function lineChanged() {
    const line = useLine.getState();
    if (line.connection === 'live' && line.run !== run) {
      run = line.run; // another start of the server knows nothing of the connection
      void link.connect();
    }
  }

  let inCall: boolean | undefined;
  function callsChanged() {
    const { calls } = useCallStore.getState();
    const here = spokenHere(calls).length > 0;
    if (here !== inCall) {
      inCall = here;
      link.watch(here);
      microphone.need(here);
    }
    microphone.mute(activeCall(calls)?.muted ?? false);
  }

  function settingsChanged() {
    const { volume, speaker } = useSoundSettings.getState();
    link.volume(volume);
    link.through(speaker);
  }

  const touched = () => link.play();
  const online = () => void link.connect();
  window.addEventListener('pointerdown', touched);
  window.addEventListener('keydown', touched);
  window.addEventListener('online', online);
  const stops = [
    useLine.subscribe(lineChanged),
    useCallStore.subscribe(callsChanged),
    useSoundSettings.subscribe((now, before) => {
      settingsChanged();
      if (now.microphone !== before.microphone) {
        microphone.again();
      }
    }),
  ];
  settingsChanged();
  lineChanged();
  callsChanged();

  retryMicrophone = () => microphone.again();
  return () => {
    stops.forEach((stop) => stop());
    window.removeEventListener('pointerdown', touched);
    window.removeEventListener('keydown', touched);
    window.removeEventListener('online', online);
    microphone.end();
    link.end();
    soundStore.set({ lost: false, theirs: null });
  };
}

/** Tries the microphone once more, as after permission was given. */
export let retryMicrophone: () => void = () => undefined;
