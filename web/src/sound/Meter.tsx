import { useEffect, useState } from 'react';
import { measure, pace } from './level';

const BARS = 10;

/** How loud a stream is, as a bar. */
export function Meter({ stream, label }: { stream: MediaStream | null; label: string }) {
  const [level, setLevel] = useState(0);
  useEffect(() => {
    if (!stream) {
      return undefined;
    }
    const stop = measure(stream, pace(), (now) => setLevel(Math.round(now * BARS)));
    return () => {
      stop();
      setLevel(0);
    };
  }, [stream]);
  return (
    <span
      role="meter"
      aria-label={label}
      aria-valuemin={0}
      aria-valuemax={BARS}
      aria-valuenow={level}
      className="inline-block"
    >
      <span className="bg-base-300 block h-2.5 w-16 overflow-hidden rounded-sm" aria-hidden="true">
        <span className="bg-primary block h-full" style={{ width: `${(100 * level) / BARS}%` }} />
      </span>
    </span>
  );
}
