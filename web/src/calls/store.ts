import { create } from 'zustand';
import type {
  CallBackView,
  CallView,
  LeavingView,
  LineUseView,
  OthersCallView,
} from '../api/types';

/**
 * What can be open in a call's strip, one at a time: the choice of a target, of somebody to add, or of
 * a slot, or the keypad, to which keys typed on the desk go then instead of into the dial field.
 */
export type Panel = 'TRANSFER' | 'ADD' | 'PARK' | 'KEYS';

interface Beside {
  callBacks: CallBackView[];
  /** Who leaves a message in a mailbox of mine right now. */
  leaving: LeavingView[];
  /** Calls of colleagues that concern me because one of us acts for the other. */
  others: OthersCallView[];
  /** What goes on at lines that I share with others. */
  lines: LineUseView[];
}

interface Calls extends Beside {
  calls: CallView[];
  panel: { call: string; what: Panel } | null;
  /** Who was clicked while a panel asks for somebody; another object with each click. */
  target: { dial: string; nth: number };
  /** The call the keys mean, when one was chosen. */
  chosen: string;
}

const NONE: Calls = {
  calls: [],
  callBacks: [],
  leaving: [],
  others: [],
  lines: [],
  panel: null,
  target: { dial: '', nth: 0 },
  chosen: '',
};

/** Whether the panel of a call that still is there asks for this. */
function asksFor({ panel, calls }: Calls, what: Panel): boolean {
  return panel?.what === what && calls.some((call) => call.id === panel.call);
}

/** Whether one is choosing where to send a call. */
export const useTransferring = () => useCallStore((store) => asksFor(store, 'TRANSFER'));

/** My calls, and what I have opened of them. */
export const useCallStore = create<Calls>(() => NONE);

export const useCalls = () => useCallStore((store) => store.calls);

export const callStore = {
  /** What the server says of my calls. A call that has ended is no longer chosen. */
  take: (calls: CallView[]) =>
    useCallStore.setState(({ chosen }) => ({
      calls,
      chosen: calls.some((call) => call.id === chosen) ? chosen : '',
    })),
  /** What the server says of what goes on beside them. */
  know: (beside: Partial<Beside>) => useCallStore.setState(beside),
  choose: (chosen: string) => useCallStore.setState({ chosen }),
  /** Opens a panel in the call's strip, or puts it away. */
  togglePanel: (call: string, what: Panel) =>
    useCallStore.setState(({ panel }) => ({
      panel: panel?.call === call && panel.what === what ? null : { call, what },
      target: NONE.target,
    })),
  closePanel: () => useCallStore.setState({ panel: null, target: NONE.target }),
  /**
   * Whoever is clicked while a panel asks for somebody is meant for it.
   *
   * @returns whether one asks
   */
  meantFor(dial: string): boolean {
    const store = useCallStore.getState();
    const asks = asksFor(store, 'TRANSFER') || asksFor(store, 'ADD');
    const { target } = store;
    if (asks) {
      useCallStore.setState({ target: { dial, nth: target.nth + 1 } });
    }
    return asks;
  },
  reset: () => useCallStore.setState(NONE),
};
