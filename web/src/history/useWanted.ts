import { useEffect, useState } from 'react';
import { useSearchParams } from 'wouter';
import { useTyped } from '../live/useTyped';
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

const NAMES = Object.keys(NOTHING) as (keyof Narrowed)[];

/** What is looked for. It stands in the address, and is there again after a reload. */
export function useWanted() {
  const [address, setAddress] = useSearchParams();
  const written = address.get('text') ?? '';
  const [text, settled, type] = useTyped(written);
  const put = (change: Record<string, string>) =>
    setAddress(
      (now) => {
        const set = { ...Object.fromEntries(now), ...change };
        return Object.fromEntries(Object.entries(set).filter(([, value]) => value));
      },
      { replace: true },
    );

  // Typing changes the address; and another address, as by the tab above, is what is looked for.
  useEffect(() => {
    if (settled !== written) {
      put({ text: settled });
    }
  }, [settled]); // eslint-disable-line react-hooks/exhaustive-deps -- when it was typed, and not when the address changes
  const [seen, setSeen] = useState(written);
  if (seen !== written) {
    setSeen(written);
    if (written !== settled) {
      type(written);
    }
  }

  return {
    filter: FILTERS.find((each) => each === address.get('filter')) ?? 'ALL',
    choose: (filter: (typeof FILTERS)[number]) => put({ filter: filter === 'ALL' ? '' : filter }),
    /** As it is typed, and as it is asked for. */
    text,
    settled,
    type,
    narrowed: Object.fromEntries(
      NAMES.map((name) => [name, address.get(name) ?? '']),
    ) as unknown as Narrowed,
    narrow: (narrowed: Narrowed) => put({ ...narrowed }),
  };
}
