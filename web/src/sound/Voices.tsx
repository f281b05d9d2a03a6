import { IconMicrophoneOff, IconVolume } from '@tabler/icons-react';
import { useTranslation } from 'react-i18next';
import type { CallView } from '../api/types';
import { device } from '../live/device';
import { Meter } from './Meter';
import { setSound, useSoundSettings } from './settings';
import { troubleOf, useSoundState } from './store';

/** In the strip of the call one is in: who is loud, how loud it is here, and what is wrong with the sound. */
export function Voices({ call }: { call: CallView }) {
  const { t } = useTranslation();
  const volume = useSoundSettings((settings) => settings.volume);
  const sound = useSoundState();
  if (call.device !== device || ['RINGING', 'HELD', 'SENT'].includes(call.phase)) {
    return null;
  }
  return (
    <div className="flex shrink-0 items-center gap-x-4 gap-y-1 text-sm max-sm:w-full max-sm:flex-wrap">
      <span className="flex items-center gap-2">
        {t('sound.mine')}
        <Meter stream={call.muted ? null : sound.mine} label={t('sound.mineLevel')} />
      </span>
      <span className="flex items-center gap-2">
        {t('sound.theirs')}
        <Meter stream={sound.theirs} label={t('sound.theirsLevel')} />
      </span>
      <label className="flex items-center gap-2">
        <IconVolume size={16} aria-hidden="true" />
        <span className="sr-only">{t('sound.volume')}</span>
        <input
          type="range"
          min={0}
          max={100}
          step={5}
          value={Math.round(volume * 100)}
          onChange={(event) => setSound({ volume: Number(event.target.value) / 100 })}
          className="accent-primary h-4 w-24"
        />
      </label>
      <Trouble />
    </div>
  );
}

/** What is wrong with the sound, and what to do about it. */
function Trouble() {
  const { t } = useTranslation();
  const { lost, microphone, speakingMuted } = useSoundState();
  const trouble = troubleOf(microphone);
  const sentence = trouble
    ? t(`sound.trouble.${trouble}`)
    : lost
      ? t('sound.trouble.lost')
      : speakingMuted
        ? t('sound.speakingMuted')
        : '';
  return (
    <span role="status" className="lg:absolute lg:inset-x-0 lg:top-0 lg:z-10">
      {sentence && (
        <strong className="bg-warning text-warning-content flex w-fit items-center gap-1.5 rounded px-2 py-0.5">
          <IconMicrophoneOff size={16} aria-hidden="true" className="shrink-0" />
          {sentence}
        </strong>
      )}
    </span>
  );
}
