import type { CallView } from '../api/types';
import { TargetPicker } from '../dial/TargetPicker';
import { ParkPanel } from '../park/ParkPanel';
import { KeysPanel } from './KeysPanel';
import type { Panel as What } from './store';

/** What is open beneath the buttons of a call. It loads once the page is there, before anybody wants it. */
export function Panel({ call, what }: { call: CallView; what: What }) {
  switch (what) {
    case 'KEYS':
      return call.actions.includes('DIGITS') && <KeysPanel call={call} />;
    case 'PARK':
      return <ParkPanel call={call} />;
    case 'TRANSFER':
    case 'ADD':
      return <TargetPicker key={what} call={call} adding={what === 'ADD'} />;
  }
}
