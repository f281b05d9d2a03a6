import { create } from 'zustand';
import type { NoticeView } from '../api/types';

/** A notice on the page, with what takes back what it tells of. */
export interface Shown {
  key: number;
  notice: NoticeView;
  undo?: () => void;
}

/** What I am told once, the latest last. */
export const useNotices = create<{ notices: Shown[] }>(() => ({ notices: [] }));

let lastKey = 0;

function show(notice: NoticeView, undo?: () => void) {
  useNotices.setState(({ notices }) => ({
    notices: [...notices, { key: ++lastKey, notice, undo }],
  }));
}

export const noticeStore = {
  take: (notices: NoticeView[]) => notices.forEach((notice) => show(notice)),
  reset: () => useNotices.setState({ notices: [] }),
};

/** Puts a notice away. */
export function dismiss(key: number) {
  useNotices.setState(({ notices }) => ({ notices: notices.filter((each) => each.key !== key) }));
}

/** Shows a notice that this page has to say itself. */
export function notify(what: string, about: Record<string, string> = {}, undo?: () => void) {
  show({ what, about }, undo);
}
