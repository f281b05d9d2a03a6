import { useEffect, useState } from 'react';
import { useSearchParams } from 'wouter';
import { useSettled } from '../live/useSettled';
import { type Narrowed, NOTHING } from './entries';

export const FILTERS = [
  'ALL',
  'MISSED',
  'RECEIVED',
  'PLACED',
  'RECORDED',
  'WITH_MESSAGE',
  'NOTED',
] as const;

export type Filter = (typeof FILTERS)[number];

/** Whoever pauses so long while typing wants to see what there is. */
const TYPING_MS = 150;

/** What is looked for. It stands in the address, and is there again after a reload. */
export function useWanted() {
  const [address, setAddress] = useSearchParams();
  const [text, setText] = useState(address.get('text') ?? '');
  const settled = useSettled(text.trim(), TYPING_MS);
  const put = (change: Record<string, string>) => {
    const next = new URLSearchParams(address);
    for (const [name, value] of Object.entries(change)) {
      if (value) {
        next.set(name, value);
      } else {
        next.delete(name);
      }
    }
    setAddress(next, { replace: true });
  };
  useEffect(() => {
    if ((address.get('text') ?? '') !== settled) {
      put({ text: settled });
    }
  });
  const names = Object.keys(NOTHING) as (keyof Narrowed)[];
  return {
    filter: FILTERS.find((each) => each === address.get('filter')) ?? 'ALL',
    choose: (filter: Filter) => put({ filter: filter === 'ALL' ? '' : filter }),
    /** As it is typed, and as it is asked for. */
    text,
    settled,
    type: setText,
    narrowed: Object.fromEntries(
      names.map((name) => [name, address.get(name) ?? '']),
    ) as unknown as Narrowed,
    narrow: (narrowed: Narrowed) => put({ ...narrowed }),
  };
}
