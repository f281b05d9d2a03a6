import { useCallback, useRef, useState } from 'react';
import { post, sentence } from '../api/client';
import type { CallView, PartyView } from '../api/types';
import { device } from './device';
import { notify, useLive } from './store';

export type Action = CallView['actions'][number];

/** Places a call to an extension, a number, or a text with a number in it. */
export function placeCall(to: string): Promise<{ id: string }> {
  return post<{ id: string }>('/api/calls', { to, device });
}

/** Asks the exchange for a service; a refusal is shown as a notice. */
export async function serve(call: CallView, action: Action): Promise<void> {
  try {
    await post(`/api/calls/${call.id}/${action.toLowerCase()}`, { device });
  } catch (error) {
    notify('problem', { sentence: sentence(error) });
  }
}

export async function sendDigits(call: CallView, digits: string): Promise<void> {
  try {
    await post(`/api/calls/${call.id}/digits`, { digits });
  } catch (error) {
    notify('problem', { sentence: sentence(error) });
  }
}

/** Calls somebody from wherever they are shown. */
export async function callParty(party: Pick<PartyView, 'dial'>): Promise<void> {
  if (party.dial) {
    try {
      await placeCall(party.dial);
    } catch (error) {
      notify('problem', { sentence: sentence(error) });
    }
  }
}

/** Runs an action once at a time: a second click while it is under way does nothing. */
export function useOnce<A extends unknown[]>(action: (...args: A) => Promise<unknown>) {
  const running = useRef(false);
  const [busy, setBusy] = useState(false);
  const run = useCallback(
    async (...args: A) => {
      if (running.current) {
        return;
      }
      running.current = true;
      setBusy(true);
      try {
        await action(...args);
      } finally {
        running.current = false;
        setBusy(false);
      }
    },
    [action],
  );
  return { run, busy };
}

/** The call that rings longest here, and the one I am in. */
export function ringingCall(calls: CallView[]) {
  return calls.find((call) => call.phase === 'RINGING');
}

export function activeCall(calls: CallView[]) {
  return calls.find((call) => call.phase !== 'RINGING' && call.phase !== 'HELD');
}

export const useCalls = () => useLive((live) => live.calls);

/** Who is at the other end, in words. */
export function nameOf(party: PartyView, withheld: string): string {
  return party.name || withheld;
}
