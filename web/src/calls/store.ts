import { create } from 'zustand';
import type {
  CallBackView,
  CallView,
  LeavingView,
  LineUseView,
  MyCalls,
  OthersCallView,
} from '../api/types';

/**
 * What can be open in a call's strip, one at a time: the choice of a target, of somebody to add, or of
 * a slot, or the keypad, to which keys typed on the desk go then instead of into the dial field.
 */
export type Panel = 'TRANSFER' | 'ADD' | 'PARK' | 'KEYS';

interface Calls {
  calls: CallView[];
  callBacks: CallBackView[];
  /** Who leaves a message in a mailbox of mine right now. */
  leaving: LeavingView[];
  /** Calls of colleagues that concern me because one of us acts for the other. */
  others: OthersCallView[];
  /** What goes on at lines that I share with others. */
  lines: LineUseView[];
  panel: { call: string; what: Panel } | null;
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
  chosen: '',
};

/** My calls, and what I have opened of them. */
export const useCallStore = create<Calls>(() => NONE);

export const useCalls = () => useCallStore((store) => store.calls);

export const callStore = {
  /** What the server says of my calls. A call that has ended is no longer chosen. */
  take: ({ calls, callBacks, leaving, others, lines }: MyCalls) =>
    useCallStore.setState(({ chosen }) => ({
      calls,
      callBacks,
      leaving,
      others,
      lines,
      chosen: calls.some((call) => call.id === chosen) ? chosen : '',
    })),
  choose: (chosen: string) => useCallStore.setState({ chosen }),
  /** Opens a panel in the call's strip, or puts it away. */
  togglePanel: (call: string, what: Panel) =>
    useCallStore.setState(({ panel }) => ({
      panel: panel?.call === call && panel.what === what ? null : { call, what },
    })),
  closePanel: () => useCallStore.setState({ panel: null }),
  reset: () => useCallStore.setState(NONE),
};
