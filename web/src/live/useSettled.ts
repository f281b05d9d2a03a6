import { useEffect, useState } from 'react';

/** A value as it has been for this long. */
export function useSettled<T>(value: T, forMs: number): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), forMs);
    return () => clearTimeout(timer);
  }, [value, forMs]);
  return settled;
}
