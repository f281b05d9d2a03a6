import type { CallView } from '../api/types';
import { ActiveStrip } from './ActiveStrip';
import { HeldStrip } from './HeldStrip';
import { RingingStrip } from './RingingStrip';

/** One call in hand: who, how it stands, its cord, and what can be done with it now. */
export function CallStrip({ call }: { call: CallView }) {
  if (call.phase === 'RINGING') {
    return <RingingStrip call={call} />;
  }
  const waits = call.phase === 'HELD' || call.phase === 'SENT';
  return waits ? <HeldStrip call={call} /> : <ActiveStrip call={call} />;
}
