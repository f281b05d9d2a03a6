import { create } from 'zustand';

/** Sheets that are open, the uppermost last: nothing beneath them can be seen well or reached. */
const useSheets = create<{ open: HTMLElement[] }>(() => ({ open: [] }));

export const useUppermostSheet = () => useSheets((store) => store.open.at(-1));

/** Tells that a sheet is open, until what is returned is called. */
export function sheetOpens(sheet: HTMLElement): () => void {
  useSheets.setState(({ open }) => ({ open: [...open, sheet] }));
  return () => useSheets.setState(({ open }) => ({ open: open.filter((it) => it !== sheet) }));
}
