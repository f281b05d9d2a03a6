import { del, post } from '../api/client';
import { postDigits } from '../api/digits';
import type { CallView, ConferenceView, NewCall, OthersCallView, PartyView } from '../api/types';
import { OUTSIDE, otherDevice, placingDevice, useDevices } from '../devices/store';
import { device } from '../live/device';
import { attempt } from '../notices/attempt';
import { navigate } from 'wouter/use-browser-location';
import { callStore, useCallStore } from './store';

export type Action = CallView['actions'][number];

/** What a called outsider is shown. */
export type CallerId = NonNullable<NewCall['callerId']>;

/** The same, or a line of mine on which the call goes out, or in whose name I call. */
export type ShownAs = CallerId | number | `as-${number}`;

const inNameOf = (shown?: ShownAs) =>
  typeof shown === 'string' && shown.startsWith('as-') ? Number(shown.slice(3)) : undefined;

/** The device on which I answer calls: a telephone outside only as long as I am there. */
export function answeringDevice(): string {
  const placing = placingDevice();
  const there = useCallStore.getState().calls.some((call) => call.outside?.stage === 'THERE');
  return placing === OUTSIDE && !there ? device : placing;
}

/** Places a call to an extension, a number, or a text with a number in it. */
export function placeCall(to: string, shown?: ShownAs): Promise<{ id: string }> {
  const behalf = inNameOf(shown);
  const as =
    typeof shown === 'number' ? { line: shown } : behalf ? { behalf } : { callerId: shown };
  return post<{ id: string }>('/api/calls', { to, device: placingDevice(), ...as });
}

/** Tells of a refusal as a notice. */
async function orNotice(request: Promise<unknown>): Promise<void> {
  await attempt(request);
}

/** Asks the exchange for a service; a refusal is shown as a notice. */
export function serve(call: CallView, action: Action): Promise<void> {
  switch (action) {
    case 'TRANSFER':
    case 'DEFLECT':
      callStore.togglePanel(call.id, 'TRANSFER');
      return Promise.resolve();
    case 'ADD':
    case 'PARK':
      callStore.togglePanel(call.id, action);
      return Promise.resolve();
    case 'MOVE_HERE':
      return orNotice(ask(call, action, null, otherDevice(call, useDevices.getState().view)));
    default:
      return orNotice(ask(call, action, call.announces ?? call.partner));
  }
}

/**
 * @param other the other of two calls, for a service that concerns both
 */
function ask(call: CallView, action: Action, other?: string | null, on = answeringDevice()) {
  const service = action.toLowerCase().replaceAll('_', '-');
  return post(`/api/calls/${call.id}/${service}`, { device: on, other });
}

/** The ways to send a call on. */
export type Way = 'put-through' | 'announce' | 'deflect';

/** What becomes of a call that was put through and that nobody takes there. */
export type Unanswered = 'BACK' | 'MAILBOX';

export interface SendTo {
  to: string;
  callerId?: CallerId;
  /** Whether their mailbox is meant, without ringing them. */
  mailbox?: boolean;
  unanswered?: Unanswered;
}

export function send(call: CallView, way: Way, target: SendTo): Promise<unknown> {
  return post(
    `/api/calls/${call.id}/${way}`,
    way === 'announce' ? { ...target, device: placingDevice() } : target,
  );
}

/** Answers a colleague's call, or goes on with it, because one of us acts for the other. */
export function takeOver(call: OthersCallView): Promise<void> {
  return orNotice(post(`/api/calls/${call.call}/take-over`, { device: answeringDevice() }));
}

/** Takes a call that rings at a colleague, or the one ringing longest in my team. */
export function pickUp(person?: number): Promise<void> {
  return orNotice(post('/api/calls/pick-up', { person, device: answeringDevice() }));
}

/** Where and for whom a call is to wait; the next free slot when none is named. */
export interface ParkAt {
  slot?: string;
  forWhom?: number;
  note?: string;
}

export function park(call: CallView, at: ParkAt): Promise<unknown> {
  return post(`/api/calls/${call.id}/park`, at);
}

/** Takes the call that waits in a slot. */
export function takeParkedOrThrow(
  slot: string,
  call: string,
  evenForOthers = false,
): Promise<unknown> {
  return post(`/api/slots/${slot}/take`, {
    call,
    device: answeringDevice(),
    evenForOthers,
  });
}

export function takeParked(slot: string, call: string, evenForOthers = false): Promise<void> {
  return orNotice(takeParkedOrThrow(slot, call, evenForOthers));
}

/** Brings the others of two calls together, staying with them or not. */
export function connect(held: CallView, other: CallView, how: 'JOIN' | 'HAND_OVER') {
  return ask(held, how, other.id);
}

export function cancelCallBack(id: string): Promise<void> {
  return orNotice(del(`/api/calls/call-backs/${id}`));
}

type Member = ConferenceView['members'][number];

/** What the starter of a conference does with its members. */
export const member = {
  mute: (call: CallView, { leg, muted }: Member) =>
    orNotice(post(`/api/calls/${call.id}/members/${leg}/mute`, { on: !muted })),
  drop: (call: CallView, { leg }: Member) => orNotice(del(`/api/calls/${call.id}/members/${leg}`)),
  aside: (call: CallView, { leg }: Member) =>
    orNotice(post(`/api/calls/${call.id}/members/${leg}/aside`, { device: answeringDevice() })),
};

export async function sendDigits(call: CallView, digits: string): Promise<void> {
  await orNotice(postDigits(`/api/calls/${call.id}/digits`, digits));
}

/** Calls somebody from wherever they are shown, or chooses them for the panel that asks for somebody. */
export async function callParty(party: Pick<PartyView, 'dial'>): Promise<void> {
  if (party.dial && callStore.meantFor(party.dial)) {
    navigate('/desk'); // where the panel is
  } else if (party.dial) {
    await orNotice(placeCall(party.dial));
  }
}
