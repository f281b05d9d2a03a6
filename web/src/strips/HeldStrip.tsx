import type { CallView } from '../api/types';
import { LiveCord } from '../cord/Cord';
import { Members } from './Members';
import { StripFrame } from './StripFrame';
import { Came, Waiting, WhoAndKeys } from './StripParts';
import { TapeSign } from './TapeSign';

/** A call that waits, on hold or where it was sent: low, with the buttons in the row of the name. */
export function HeldStrip({ call }: { call: CallView }) {
  const sent = call.phase === 'SENT';
  return (
    <StripFrame
      call={call}
      look={`py-1.5 max-md:[&_.btn]:h-11 ${sent ? 'border-dashed border-accent' : ''}`}
    >
      <WhoAndKeys call={call} />
      <div className="mt-1 flex items-center gap-x-4 gap-y-1 max-lg:flex-wrap">
        <div className="min-w-0 flex-1 max-lg:basis-full">
          <LiveCord course={call.course} earlier={call.earlier} words={false} />
        </div>
        <TapeSign call={call} />
        <Waiting call={call} />
        <p className="quiet max-w-1/2 truncate text-sm">
          <Came call={call} />
        </p>
      </div>
      {call.conference && <Members call={call} conference={call.conference} />}
    </StripFrame>
  );
}
