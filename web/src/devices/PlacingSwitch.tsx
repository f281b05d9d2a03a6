import {
  IconDeviceDesktop,
  IconDeviceLandlinePhone,
  IconDeviceMobile,
  type Icon,
} from '@tabler/icons-react';
import { useTranslation } from 'react-i18next';
import { put } from '../api/client';
import type { DevicesView } from '../api/types';
import { attempt } from '../notices/attempt';
import { phoneOf, useDevices } from './store';

type Places = DevicesView['choice']['places'];

const ICON: Record<Places, Icon> = {
  WINDOW: IconDeviceDesktop,
  PHONE: IconDeviceLandlinePhone,
  OUTSIDE: IconDeviceMobile,
};

const WORD: Record<Places, string> = {
  WINDOW: 'devices.useWindow',
  PHONE: 'devices.usePhone',
  OUTSIDE: 'devices.useOutside',
};

/** Each other device on which calls could be placed, one click away. */
export function PlacingSwitch() {
  const { t } = useTranslation();
  const view = useDevices((store) => store.view);
  if (!view) {
    return null;
  }
  const there: Record<Places, boolean> = {
    WINDOW: true,
    PHONE: phoneOf(view) !== undefined,
    OUTSIDE: Boolean(view.choice.outside),
  };
  const now = there[view.choice.places] ? view.choice.places : 'WINDOW';
  const others = (Object.keys(there) as Places[]).filter((each) => there[each] && each !== now);
  return others.map((each) => {
    const word = t(WORD[each], { number: view.choice.outside });
    const Icon = ICON[each];
    return (
      <button
        key={each}
        type="button"
        title={word}
        aria-label={word}
        className="chip flex h-10 w-9 items-center justify-center"
        onClick={() => void attempt(put('/api/devices/choice', { ...view.choice, places: each }))}
      >
        <Icon size={18} aria-hidden="true" />
      </button>
    );
  });
}
