import type { CallView } from '../api/types';
import { LiveCord } from '../cord/Cord';
import { Voices } from '../sound/Voices';
import { CallButtons } from '../calls/CallButtons';
import { Members } from './Members';
import { StripFrame } from './StripFrame';
import { CameFrom, Times, Who } from './StripParts';
import { TapeSign } from './TapeSign';

const EDGE: Partial<Record<CallView['phase'], string>> = {
  TALKING: 'border-primary',
  WAITING: 'border-primary',
  FAILED: 'border-error',
  MESSAGE: 'border-secondary',
};

/** The call one is on, or is placing: its times large, its cord with words, all that can be done. */
export function ActiveStrip({ call }: { call: CallView }) {
  return (
    <StripFrame call={call} look={`py-2.5 ${EDGE[call.phase] ?? 'border-accent'}`}>
      <div className="flex flex-wrap items-start gap-x-4 gap-y-1">
        <div className="min-w-0 flex-1 basis-44 sm:basis-48">
          <Who call={call} />
          <CameFrom call={call} />
          <TapeSign call={call} />
        </div>
        <Times call={call} />
      </div>
      <div className="mt-2">
        <LiveCord course={call.course} earlier={call.earlier} words />
      </div>
      {call.conference && <Members call={call} conference={call.conference} />}
      <Voices call={call} />
      <div className="mt-2">
        <CallButtons call={call} wide />
      </div>
    </StripFrame>
  );
}
