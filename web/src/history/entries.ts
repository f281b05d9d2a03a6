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

/** Where the file is of what is chosen, or of everything that is found. */
export function fileOf(filter: string, text: string, ids: number[]): string {
  const query: Record<string, string> = ids.length > 0 ? { ids: ids.join(',') } : { filter, text };
  return `/api/history/file?${new URLSearchParams(query)}`;
}

export async function copyNumber({ other }: HistoryEntry) {
  const number = other.number ?? '';
  await navigator.clipboard.writeText(number);
  notify('numberCopied', { number });
}
