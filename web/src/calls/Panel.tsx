import type { CallView } from '../api/types';
import { TargetPicker } from '../dial/TargetPicker';
import { ParkPanel } from '../park/ParkPanel';
import { KeysPanel } from './KeysPanel';
import { type Panel as What, useCallStore } from './store';

/** What is open beneath the buttons of a call. It loads once the page is there, before anybody wants it. */
export function Panel({ call, what }: { call: CallView; what: What }) {
  const target = useCallStore((store) => store.target);
  switch (what) {
    case 'KEYS':
      return call.actions.includes('DIGITS') && <KeysPanel call={call} />;
    case 'PARK':
      return <ParkPanel call={call} />;
    case 'TRANSFER':
    case 'ADD':
      return (
        <TargetPicker
          key={`${what} ${target.nth}`} // whoever is clicked takes the place of what was typed
          call={call}
          adding={what === 'ADD'}
          initial={target.dial}
        />
      );
  }
}
