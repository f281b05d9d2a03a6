import { create } from 'zustand';
import type { SlotView } from '../api/types';

/** The park slots, the same for everybody. */
export const useShelf = create<{ slots: SlotView[] }>(() => ({ slots: [] }));

export const shelfStore = {
  take: (slots: SlotView[]) => useShelf.setState({ slots }),
  reset: () => useShelf.setState({ slots: [] }),
};
