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

/** By what name the exchange knows the telephone outside that is one of my devices. */
export const OUTSIDE = 'outside';

/** The number of the telephone outside on which calls are placed now, if it is one. */
export function placingOutside(view: DevicesView | null): string | undefined {
  return view?.choice.places === 'OUTSIDE' ? (view.choice.outside ?? undefined) : undefined;
}

/** The device on which I place calls. */
export function placingDevice(): string {
  const { view } = useDevices.getState();
  return placingOutside(view) ? OUTSIDE : (placingPhone(view)?.device ?? device);
}

/** Whether a telephone outside is being rung for this call, and nobody is there yet. */
export function isRungFor(call: CallView): boolean {
  return call.outside !== undefined && call.outside.stage !== 'THERE';
}

/**
 * Where a call would go on when it is moved: from anywhere here, and from here to the telephone
 * outside if calls are placed there or there is no desk phone, else to that.
 */
export function otherDevice(call: CallView, view: DevicesView | null): string | undefined {
  if (call.device !== device || isRungFor(call)) {
    return device;
  }
  const outside = view?.choice.outside ? OUTSIDE : undefined;
  return placingOutside(view) ? OUTSIDE : (phoneOf(view)?.device ?? outside);
}

/** Which of my devices ring. */
export function ringing(view: DevicesView | null): 'here' | 'both' | 'phone' {
  if (!view || !phoneOf(view) || typeof view.choice.phoneAfter !== 'number') {
    return 'here';
  }
  return typeof view.choice.windowAfter === 'number' ? 'both' : 'phone';
}
