import {
  IconBellOff,
  IconDeviceDesktop,
  IconDeviceLandlinePhone,
  IconDeviceMobile,
  IconPlugConnectedX,
} from '@tabler/icons-react';
import { Suspense, lazy, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { PlacingSwitch } from '../devices/PlacingSwitch';
import { placingOutside, placingPhone, useDevices } from '../devices/store';
import { useLine } from '../live/line';
import { useSound } from '../ring/sound';
import { useMe } from '../session/session';
import { troubleOf, useSoundState } from '../sound/store';

const SoundSheet = lazy(() =>
  import('../sound/SoundSheet').then((sheet) => ({ default: sheet.SoundSheet })),
);

/** Which device rings and speaks, and whether calls reach it at all; a click opens its sheet. */
export function DeviceChip() {
  const { t } = useTranslation();
  const connection = useLine((line) => line.connection);
  const ringer = useSound();
  const { microphone, microphoneName, lost } = useSoundState();
  const devices = useDevices((store) => store.view);
  const phone = placingPhone(devices);
  const outside = placingOutside(devices);
  const me = useMe();
  const [open, setOpen] = useState(false);
  const trouble = troubleOf(microphone) || (lost ? 'lost' : '');
  const state = connection !== 'live' ? 'noCalls' : ringer.blocked ? 'silent' : 'rings';
  const Icon = {
    noCalls: IconPlugConnectedX,
    silent: IconBellOff,
    rings: outside ? IconDeviceMobile : phone ? IconDeviceLandlinePhone : IconDeviceDesktop,
  }[state];
  function deviceName() {
    if (outside) {
      return outside;
    }
    if (phone) {
      return phone.owner === me.id ? t('devices.phone', phone) : t('devices.phoneOf', phone);
    }
    return t('device.thisComputer');
  }
  const wrong = state !== 'rings' || trouble !== '';
  return (
    <>
      <button
        type="button"
        title={microphoneName}
        className="chip flex h-10 items-center gap-2 px-3 text-left text-sm max-sm:px-2"
        onClick={() => {
          if (state === 'silent') {
            ringer.unlock();
          } else {
            setOpen(true);
          }
        }}
      >
        <Icon size={18} aria-hidden="true" />
        <span className="leading-tight">
          <span className="block max-w-44 truncate font-semibold max-sm:max-w-20">
            {deviceName()}
          </span>
          <span
            role="status"
            className={`block max-w-44 truncate text-xs max-sm:max-w-20 lg:max-xl:max-w-32 ${wrong ? 'text-accent' : 'opacity-80'}`}
          >
            {state === 'rings' && trouble
              ? t(`sound.short.${trouble}`)
              : state === 'rings'
                ? !phone && !outside && microphoneName
                : t(`device.${state}`)}
          </span>
        </span>
      </button>
      <PlacingSwitch />
      {open && (
        <Suspense>
          <SoundSheet onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
