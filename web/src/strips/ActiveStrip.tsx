import { Suspense, lazy } from 'react';
import type { CallView } from '../api/types';
import { LiveCord } from '../cord/Cord';
import { Voices } from '../sound/Voices';
import { CallButtons } from '../calls/CallButtons';
import { Foot } from './Foot';
import { Members } from './Members';
import { StripFrame } from './StripFrame';
import { CameFrom, Times, Who } from './StripParts';

const CallerFields = lazy(() =>
  import('../queues/CallerFields').then((it) => ({ default: it.CallerFields })),
);

const EDGE: Partial<Record<CallView['phase'], string>> = {
  TALKING: 'border-primary',
  WAITING: 'border-primary',
  FAILED: 'border-error',
  MESSAGE: 'border-secondary',
};

/** The call one is on, or is placing, in three rows: who and times; cord and voices; all that can be done. */
export function ActiveStrip({ call }: { call: CallView }) {
  return (
    <StripFrame call={call} look={`py-2 ${EDGE[call.phase] ?? 'border-accent'}`}>
      <div className="flex items-start gap-x-4 gap-y-1 max-lg:flex-wrap">
        <div className="min-w-0 flex-1 basis-44 sm:basis-48">
          <Who call={call} />
          <CameFrom call={call} />
          <Suspense>
            <CallerFields call={call} />
          </Suspense>
        </div>
        <Times call={call} />
      </div>
      <div className="relative mt-1.5 flex items-start gap-x-6 gap-y-1 max-sm:flex-wrap">
        <div className="min-h-7 min-w-0 flex-1 max-sm:basis-full">
          <LiveCord course={call.course} earlier={call.earlier} words />
        </div>
        <Voices call={call} />
      </div>
      <div className="mt-1.5">
        <Foot of={call}>
          <CallButtons call={call} wide />
        </Foot>
      </div>
      {/* Beneath the keys, which must not move when somebody comes or leaves. */}
      {call.conference && <Members call={call} conference={call.conference} />}
    </StripFrame>
  );
}
