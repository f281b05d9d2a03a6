import type { TFunction } from 'i18next';
import type { CallView, PartyView } from '../api/types';

/** The call that rings longest here, and the one I am in. */
export function ringingCall(calls: CallView[]) {
  return calls.find((call) => call.phase === 'RINGING');
}

export function activeCall(calls: CallView[]) {
  return calls.find((call) => !['RINGING', 'HELD', 'SENT'].includes(call.phase));
}

/** Who is at the other end, in words. */
export function nameOf(party: PartyView, withheld: string): string {
  return party.name || withheld;
}

/** What more is known of whoever is at the other end: company, which of their numbers, place. */
export function aboutParty(party: PartyView, t: TFunction): string[] {
  const { known } = party;
  const number = party.name === party.number ? '' : (party.number ?? '');
  const type = known?.type && known.type !== 'OTHER' ? t(`numberType.${known.type}`) : '';
  return [
    known?.type ? known.company : party.place,
    [type, number].filter(Boolean).join(' '),
  ].filter(Boolean);
}

/** What rings comes first, what is held last; a call that is announced stands with its announcement. */
export function inOrder(calls: CallView[]): CallView[] {
  const place = (phase: string) =>
    phase === 'RINGING' ? 0 : ['HELD', 'SENT'].includes(phase) ? 2 : 1;
  const announced = new Set(calls.map((call) => call.announces));
  return calls
    .filter((call) => !announced.has(call.id))
    .sort((a, b) => place(a.phase) - place(b.phase));
}
