import type { Sounds } from '../api/types';
import { SoundLink } from '../sound/link';
import { MicrophoneLine } from '../sound/microphone';
import { useSoundSettings } from '../sound/settings';
import { PhoneLine, usePhone } from './line';
import { soundOf, ToneMaker } from './tones';

/** A telephone that works: its line, its sound, and what is done at it. */
export interface WorkingPhone {
  press: PhoneLine['press'];
  takeOver: () => void;
  volume: (share: number) => void;
  end: () => void;
}

/** Plugs this window in as a telephone. */
export function plugIn(): WorkingPhone {
  const tones = new ToneMaker();
  let loudness = 0.8;
  const line = new PhoneLine(() => void link.connect());
  const link = new SoundLink(line.offer, () => undefined);
  const microphone = new MicrophoneLine(
    () => useSoundSettings.getState().microphone,
    (track) => link.speak(track),
  );
  link.volume(loudness);

  let before: Sounds | undefined;
  const stop = usePhone.subscribe(({ panel, plug }) => {
    const sounds = plug === 'plugged' ? panel?.sounds : undefined;
    if (sounds?.talking !== before?.talking) {
      link.watch(sounds?.talking ?? false);
      microphone.need(sounds?.talking ?? false);
    }
    microphone.mute(sounds?.muted ?? false);
    tones.play(sounds && soundOf(sounds), loudness);
    before = sounds;
  });
  const touched = () => link.play();
  window.addEventListener('pointerdown', touched);
  line.connect();

  return {
    press: line.press,
    takeOver: () => line.connect(true),
    volume: (share) => {
      loudness = share;
      link.volume(share);
      tones.play(before && soundOf(before), share);
    },
    end: () => {
      stop();
      window.removeEventListener('pointerdown', touched);
      line.end();
      link.end();
      microphone.end();
      tones.end();
    },
  };
}
