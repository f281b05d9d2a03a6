import { create } from 'zustand';

/** Whose card is open over whatever one is doing. */
export interface WantedCard {
  /** A new one when there is none. */
  contact?: number;
  /** What is known of whoever a new card is for. */
  number: string;
}

interface Store {
  card?: WantedCard;
}

/** It belongs to no strip and no list: the call may end while one writes. */
export const useCardSheet = create<Store>(() => ({}));

export const cardSheet = {
  open: (card: WantedCard) => useCardSheet.setState({ card }),
  close: () => useCardSheet.setState({ card: undefined }),
};
