import { useEffect, useState } from 'react';
import type { CallView } from '../api/types';
import { useDevices } from '../devices/store';
import { useLine } from '../live/line';

/** The first call for which this computer rings by now, as its person has chosen. */
export function useLoud(ringing: CallView[]): CallView | undefined {
  const after = useDevices((store) => (store.view ? (store.view.choice.windowAfter ?? null) : 0));
  const ahead = useLine((line) => line.ahead);
  const [due, setDue] = useState('');
  const first = ringing.find((call) => !call.silenced);
  const { id, since } = first ?? {};

  useEffect(() => {
    if (!id || !since || !after) {
      return undefined;
    }
    const wait = Date.parse(since) + after * 1_000 - (Date.now() + ahead);
    const timer = setTimeout(() => setDue(id), Math.max(0, wait));
    return () => clearTimeout(timer);
  }, [id, since, after, ahead]);

  return after === 0 || (after !== null && due === id) ? first : undefined;
}
