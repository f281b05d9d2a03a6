import type { CallView } from '../api/types';
import { LiveCord } from '../cord/Cord';
import { Voices } from '../sound/Voices';
import { CallButtons } from '../calls/CallButtons';
import { Members } from './Members';
import { StripFrame } from './StripFrame';
import { Came, Waiting, Who } from './StripParts';
import { TapeSign } from './TapeSign';

/** A call that waits, on hold or where it was sent: low, with the buttons in the row of the name. */
export function HeldStrip({ call }: { call: CallView }) {
  const sent = call.phase === 'SENT';
  return (
    <StripFrame call={call} look={`py-1.5 ${sent ? 'border-dashed border-accent' : ''}`}>
      <div className="flex flex-wrap items-start gap-x-4 gap-y-1">
        <div className="min-w-0 flex-1 basis-44 sm:basis-48">
          <Who call={call} oneRow />
          <TapeSign call={call} />
        </div>
        <Waiting call={call} />
        <CallButtons call={call} wide={false} />
      </div>
      <div className="mt-1.5 flex items-start gap-4">
        <div className="min-w-0 flex-1">
          <LiveCord course={call.course} earlier={call.earlier} words={false} />
        </div>
        <p className="quiet -mt-1 shrink-0 text-sm max-sm:shrink">
          <Came call={call} />
        </p>
      </div>
      {call.conference && <Members call={call} conference={call.conference} />}
      <Voices call={call} />
    </StripFrame>
  );
}
