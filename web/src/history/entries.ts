import { post } from '../api/client';
import type { HistoryEntry } from '../api/types';
import { attempt } from '../notices/attempt';
import { notify } from '../notices/store';

/** Removes entries, for me alone; a notice brings them back. */
export async function remove(ids: number[]) {
  if (await attempt(post('/api/history/remove', { ids }))) {
    notify('entriesRemoved', { count: String(ids.length) }, () => {
      void attempt(post('/api/history/restore', { ids }));
    });
  }
}

/** To what the history is narrowed down; empty where it is not. */
export interface Narrowed {
  contact: string;
  person: string;
  line: string;
  outcome: string;
  from: string;
  to: string;
}

export const NOTHING: Narrowed = {
  contact: '',
  person: '',
  line: '',
  outcome: '',
  from: '',
  to: '',
};

/** The question for these entries. What is empty is not asked for. */
export function asked(wanted: Record<string, string>): string {
  return new URLSearchParams(Object.entries(wanted).filter(([, value]) => value !== '')).toString();
}

/** Where the file is of what is chosen, or of everything that is found. */
export const fileOf = (wanted: Record<string, string>) => `/api/history/file?${asked(wanted)}`;

export async function copyNumber({ other }: HistoryEntry) {
  const number = other.number ?? '';
  await navigator.clipboard.writeText(number);
  notify('numberCopied', { number });
}

/** Who else was in a conference that I was in, beside whoever the entry is about. */
export function alsoIn({ course, other }: HistoryEntry): string[] {
  const names = course
    .filter((each) => each.kind === 'CONFERENCE' && each.mine)
    .flatMap((each) => each.who);
  return [...new Set(names)].filter((name) => name !== other.name);
}
