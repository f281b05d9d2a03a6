import type { ContactRow, Dial, Found, PartyView, PersonView, SlotView } from '../api/types';

/** Something the dial field offers to call. */
export type Choice = { key: string; to: string } & (
  | { kind: 'person'; person: PersonView }
  | { kind: 'contact'; contact: ContactRow }
  | { kind: 'group'; group: PartyView; queue?: Found['queue'] }
  | { kind: 'slot'; slot: SlotView }
  | { kind: 'number'; dial: Dial }
);

/** What the list can be limited to. */
export const LIMITS = ['person', 'contact', 'group'] as const;
export type Limit = (typeof LIMITS)[number];

/** A colleague's second number. */
const MOBILE = 1;

/** Whether it is a colleague whose mobile is meant. */
export function meansMobile(option: Choice | undefined, nth: number): boolean {
  return option?.kind === 'person' && nth === MOBILE;
}

/** How many numbers it has to choose from. */
export function numbersOf(option?: Choice): number {
  if (option?.kind === 'contact') {
    return option.contact.numbers.length;
  }
  return option?.kind === 'person' && option.person.mobile ? 2 : 1;
}

/** What is dialled when this is chosen, by which of its numbers. */
export function dialOf(option: Choice, nth = 0): string {
  if (option.kind === 'person' && meansMobile(option, nth)) {
    return option.person.mobile ?? option.to;
  }
  return (option.kind === 'contact' && option.contact.numbers[nth]?.dial) || option.to;
}

/** What was found as one list, what Enter calls first: a number that can be dialled, then whoever is known. */
export function choices(found: Found): Choice[] {
  const all: Choice[] = [];
  for (const dial of found.dials.filter((each) => !each.problem)) {
    all.push({ kind: 'number', key: `number ${dial.to}`, to: dial.to, dial });
  }
  if (found.slot) {
    all.push({ kind: 'slot', key: 'slot', to: found.slot.slot, slot: found.slot });
  }
  if (found.group) {
    all.push({
      kind: 'group',
      key: 'group',
      to: found.group.dial ?? '',
      group: found.group,
      queue: found.queue,
    });
  }
  for (const { person, contact } of found.known) {
    if (person) {
      all.push({ kind: 'person', key: `p${person.id}`, to: person.extension, person });
    }
    const [number] = contact?.numbers ?? [];
    if (contact && number) {
      all.push({ kind: 'contact', key: `c${contact.id}`, to: number.dial, contact });
    }
  }
  return all;
}
