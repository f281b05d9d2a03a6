import { useEffect, useId, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { DeviceChoice } from '../devices/DeviceChoice';
import { Dialog } from '../ui/Dialog';
import { tryTone } from '../ring/sound';
import { ChosenTones } from './ChosenTones';
import { HoldMusic } from './HoldMusic';
import { Meter } from './Meter';
import { openMicrophone, stop, whyNot } from './microphone';
import { saySomething } from './saySomething';
import { type SoundSettings, TONES, type Tone, setSound, useSoundSettings } from './settings';
import { retryMicrophone } from './softphone';
import { type Microphone, useSoundState } from './store';

/** Which microphone, speaker and ringer this computer uses, and whether they work. */
export function SoundSheet({ onClose }: { onClose: () => void }) {
  const { t } = useTranslation();
  const settings = useSoundSettings();
  const { stream, trouble, tryAgain } = useTried(settings.microphone);
  const devices = useDevices(stream);
  const wideband = useSoundState((state) => state.wideband);
  return (
    <Dialog title={t('sound.title')} onClose={onClose} wide>
      <DeviceChoice />
      <div className="border-base-300 mt-4 grid gap-x-8 gap-y-4 border-t pt-4 md:grid-cols-2">
        <section className="flex flex-col gap-3">
          <h3 className="font-bold">{t('sound.devices')}</h3>
          <Choice what="microphone" kind="audioinput" devices={devices} />
          <div className="flex items-center gap-3">
            {t('sound.mine')} <Meter stream={stream} label={t('sound.mineLevel')} />
            <SaySomething stream={stream} />
          </div>
          {trouble && (
            <p role="alert" className="text-error font-semibold">
              {t(`sound.trouble.${trouble}`)}{' '}
              <button type="button" className="btn btn-sm btn-plain" onClick={tryAgain}>
                {t('sound.tryAgain')}
              </button>
            </p>
          )}
          <Choice what="speaker" kind="audiooutput" devices={devices} />
          <Choice what="ringer" kind="audiooutput" devices={devices} />
          {!wideband && <p className="quiet">{t('sound.narrow')}</p>}
        </section>
        <section className="flex flex-col gap-3">
          <h3 className="font-bold">{t('sound.tones')}</h3>
          <ToneChoice what="inside" />
          <ToneChoice what="outside" />
          <ChosenTones />
          <HoldMusic />
        </section>
      </div>
    </Dialog>
  );
}

/** The chosen microphone, open as long as the sheet is. */
function useTried(microphone: string) {
  const [stream, setStream] = useState<MediaStream | null>(null);
  const [trouble, setTrouble] = useState<Microphone | ''>('');
  const [turn, setTurn] = useState(0);
  useEffect(() => {
    let open: MediaStream | undefined;
    let over = false;
    openMicrophone(microphone).then(
      (opened) => {
        open = opened;
        if (over) {
          stop(opened);
        } else {
          setStream(opened);
          setTrouble('');
        }
      },
      (error: unknown) => setTrouble(whyNot(error)),
    );
    return () => {
      over = true;
      setStream(null);
      if (open) {
        stop(open);
      }
    };
  }, [microphone, turn]);
  return {
    stream,
    trouble,
    tryAgain: () => {
      setTurn(turn + 1);
      retryMicrophone();
    },
  };
}

/** What there is; browsers tell names only once a microphone was open. */
function useDevices(opened: MediaStream | null) {
  const [devices, setDevices] = useState<MediaDeviceInfo[]>([]);
  useEffect(() => {
    const media = navigator.mediaDevices;
    if (!media) {
      return undefined;
    }
    const ask = () => void media.enumerateDevices().then(setDevices);
    ask();
    media.addEventListener('devicechange', ask);
    return () => media.removeEventListener('devicechange', ask);
  }, [opened]);
  return devices;
}

interface ChoiceProps {
  what: 'microphone' | 'speaker' | 'ringer';
  kind: MediaDeviceKind;
  devices: MediaDeviceInfo[];
}

function Choice({ what, kind, devices }: ChoiceProps) {
  const { t } = useTranslation();
  const id = useId();
  const value = useSoundSettings((settings) => settings[what]);
  const all = devices.filter(
    (each) => each.kind === kind && !['', 'default'].includes(each.deviceId),
  );
  const gone = value !== '' && !all.some((each) => each.deviceId === value);
  return (
    <div>
      <label htmlFor={id} className="block">
        {t(`sound.${what}`)}
      </label>
      <select
        id={id}
        className="select mt-1 w-full"
        value={value}
        onChange={(event) => setSound({ [what]: event.target.value } as Partial<SoundSettings>)}
      >
        <option value="">{t(what === 'ringer' ? 'sound.noRinger' : 'sound.usual')}</option>
        {all.map((each) => (
          <option key={each.deviceId} value={each.deviceId}>
            {each.label || t('sound.unnamed')}
          </option>
        ))}
        {gone && <option value={value}>{t('sound.notThere')}</option>}
      </select>
    </div>
  );
}

function SaySomething({ stream }: { stream: MediaStream | null }) {
  const { t } = useTranslation();
  const [state, setState] = useState<'' | 'recording' | 'playing'>('');
  const speaker = useSoundSettings((settings) => settings.speaker);
  return (
    <button
      type="button"
      className="btn btn-sm btn-plain"
      aria-disabled={!stream || state !== ''}
      onClick={() => {
        if (stream && state === '') {
          void saySomething(stream, speaker, setState).finally(() => setState(''));
        }
      }}
    >
      {t(`sound.say.${state || 'ready'}`)}
    </button>
  );
}

function ToneChoice({ what }: { what: 'inside' | 'outside' }) {
  const { t } = useTranslation();
  const id = useId();
  const value = useSoundSettings((settings) => settings[what]);
  return (
    <div className="flex flex-wrap items-center justify-between gap-2">
      <label htmlFor={id}>{t(`sound.${what}`)}</label>
      <span className="flex gap-2">
        <select
          id={id}
          className="select w-40"
          value={value}
          onChange={(event) => setSound({ [what]: event.target.value as Tone })}
        >
          {TONES.map((tone) => (
            <option key={tone} value={tone}>
              {t(`sound.tone.${tone}`)}
            </option>
          ))}
        </select>
        <button type="button" className="btn btn-plain" onClick={() => tryTone(value)}>
          {t('sound.hear')}
        </button>
      </span>
    </div>
  );
}
