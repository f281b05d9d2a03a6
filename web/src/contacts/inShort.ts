import type { ContactBefore } from '../api/types';

/** A whole card in one line. */
export function inShort(card: ContactBefore): string {
  return [
    card.name,
    card.company,
    ...card.numbers.map((each) => each.shown),
    ...card.mails,
    ...card.addresses,
    ...card.tags,
    card.note,
  ]
    .filter(Boolean)
    .join(' · ');
}
