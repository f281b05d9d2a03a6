import { create } from 'zustand';
import { get } from '../api/client';
import type { CallView, DevicesView, PhoneView } from '../api/types';
import { device } from '../live/device';

/** What I am reached through; null before the server has told. */
export const useDevices = create<{ view: DevicesView | null }>(() => ({ view: null }));

export const devicesStore = {
  /** Asks anew, as the server says that something has changed. */
  async load() {
    try {
      useDevices.setState({ view: await get<DevicesView>('/api/devices') });
    } catch {
      // The server is away, and tells once it is back.
    }
  },
  reset: () => useDevices.setState({ view: null }),
};

/** The desk phone that is mine now and plugged in: a borrowed one before my own. */
export function phoneOf(view: DevicesView | null): PhoneView | undefined {
  return view?.phones[0];
}

/** The desk phone on which calls are placed and answered now, if it is one. */
export function placingPhone(view: DevicesView | null): PhoneView | undefined {
  return view?.choice.places === 'PHONE' ? phoneOf(view) : undefined;
}

/** The device on which I place and answer calls. */
export function placingDevice(): string {
  return placingPhone(useDevices.getState().view)?.device ?? device;
}

/** Where a call would go on when it is moved: to the desk phone from here, and here from anywhere. */
export function otherDevice(call: CallView): string | undefined {
  return call.device === device ? phoneOf(useDevices.getState().view)?.device : device;
}

/** Which of my devices ring. */
export function ringing(view: DevicesView | null): 'here' | 'both' | 'phone' {
  if (!view || !phoneOf(view) || typeof view.choice.phoneAfter !== 'number') {
    return 'here';
  }
  return typeof view.choice.windowAfter === 'number' ? 'both' : 'phone';
}
