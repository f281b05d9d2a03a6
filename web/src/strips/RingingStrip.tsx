import { Suspense, lazy } from 'react';
import type { CallView } from '../api/types';
import { LiveCord } from '../cord/Cord';
import { StripFrame } from './StripFrame';
import { CameFrom, State, WhoAndKeys } from './StripParts';

const CallerFields = lazy(() =>
  import('../queues/CallerFields').then((it) => ({ default: it.CallerFields })),
);

const KnownLine = lazy(() =>
  import('../followup/KnownLine').then((it) => ({ default: it.KnownLine })),
);

const LOOK =
  'py-1.5 lg:min-h-(--ringing) lg:[&_.btn-plain_svg]:hidden ringing-strip border-2 bg-[color-mix(in_oklab,var(--color-accent)_14%,var(--color-base-100))]';

/** A call that rings here: who it is and what one did last with them, the buttons near at hand. */
export function RingingStrip({ call }: { call: CallView }) {
  return (
    <StripFrame call={call} look={LOOK}>
      <WhoAndKeys call={call} />
      <div className="mt-1 flex items-center gap-x-4 gap-y-1 max-lg:flex-wrap">
        <div className="min-w-0 flex-1 max-lg:basis-full">
          <CameFrom call={call}>
            {call.other.kind === 'OUTSIDE' && call.other.dial && (
              <Suspense>
                <KnownLine number={call.other.dial} />
              </Suspense>
            )}
          </CameFrom>
        </div>
        <div className="w-28 shrink-0 max-lg:flex-1">
          <LiveCord course={call.course} earlier={call.earlier} words={false} />
        </div>
        <p className="shrink-0 font-semibold">
          <State call={call} />
        </p>
      </div>
      <Suspense>
        <CallerFields call={call} />
      </Suspense>
    </StripFrame>
  );
}
