import { Suspense, lazy } from 'react';
import type { CallView } from '../api/types';
import { LiveCord } from '../cord/Cord';
import { CallButtons } from '../calls/CallButtons';
import { StripFrame } from './StripFrame';
import { CameFrom, State, Who } from './StripParts';
import { TapeSign } from './TapeSign';

const KnownLine = lazy(() =>
  import('../followup/KnownLine').then((it) => ({ default: it.KnownLine })),
);

const LOOK =
  'py-2.5 ringing-strip border-2 bg-[color-mix(in_oklab,var(--color-accent)_14%,var(--color-base-100))]';

/** A call that rings here: who it is and what one did last with them, the buttons near at hand. */
export function RingingStrip({ call }: { call: CallView }) {
  return (
    <StripFrame call={call} look={LOOK}>
      <div className="flex flex-wrap items-start gap-x-4 gap-y-1">
        <div className="min-w-0 flex-1 basis-44 sm:basis-48">
          <Who call={call} />
          <CameFrom call={call} />
          {call.other.kind === 'OUTSIDE' && call.other.dial && (
            <Suspense>
              <KnownLine number={call.other.dial} />
            </Suspense>
          )}
          <TapeSign call={call} />
        </div>
        <CallButtons call={call} wide={false} />
      </div>
      <div className="mt-2 flex items-start gap-4">
        <div className="min-w-0 flex-1">
          <LiveCord course={call.course} earlier={call.earlier} words={false} />
        </div>
        <p className="shrink-0 font-semibold">
          <State call={call} />
        </p>
      </div>
    </StripFrame>
  );
}
