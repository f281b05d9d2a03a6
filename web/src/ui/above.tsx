import type { ComponentType } from 'react';

let Part: ComponentType | undefined;

/** Has this stand above every sheet, as whatever rings does. */
export function standsAbove(part: ComponentType) {
  Part = part;
}

/** What stands above a sheet. */
export function Above() {
  return Part && <Part />;
}
