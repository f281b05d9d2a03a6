import { IconArrowsExchange } from '@tabler/icons-react';
import { useTranslation } from 'react-i18next';
import { put } from '../api/client';
import { attempt } from '../notices/attempt';
import { phoneOf, useDevices } from './store';

/** Places and answers calls on the other device from now on; there only while a desk phone is. */
export function PlacingSwitch() {
  const { t } = useTranslation();
  const view = useDevices((store) => store.view);
  if (!view || !phoneOf(view)) {
    return null;
  }
  const onPhone = view.choice.places === 'PHONE';
  const word = t(onPhone ? 'devices.useWindow' : 'devices.usePhone');
  return (
    <button
      type="button"
      title={word}
      aria-label={word}
      className="chip flex h-10 w-9 items-center justify-center"
      onClick={() =>
        void attempt(
          put('/api/devices/choice', { ...view.choice, places: onPhone ? 'WINDOW' : 'PHONE' }),
        )
      }
    >
      <IconArrowsExchange size={18} aria-hidden="true" />
    </button>
  );
}
