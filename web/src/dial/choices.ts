import type { Dial, Found, PartyView, PersonView, SlotView } from '../api/types';

/** Something the dial field offers to call. */
export type Choice = { key: string; to: string } & (
  | { kind: 'person'; person: PersonView }
  | { kind: 'group'; group: PartyView }
  | { kind: 'slot'; slot: SlotView }
  | { kind: 'number'; dial: Dial }
);

/** What was found as one list, what Enter calls first: a number that can be dialled, then people. */
export function choices(found: Found): Choice[] {
  const all: Choice[] = [];
  for (const dial of found.dials.filter((each) => !each.problem)) {
    all.push({ kind: 'number', key: `number ${dial.to}`, to: dial.to, dial });
  }
  if (found.slot) {
    all.push({ kind: 'slot', key: 'slot', to: found.slot.slot, slot: found.slot });
  }
  if (found.group) {
    all.push({ kind: 'group', key: 'group', to: found.group.dial ?? '', group: found.group });
  }
  for (const person of found.people) {
    all.push({ kind: 'person', key: String(person.id), to: person.extension, person });
  }
  return all;
}
