import type { QueueLines, QueueSettings } from '../api/types';

/** Who can come first, and why. */
export const FIRSTS = ['TAG', 'FROM_ANOTHER_LINE', 'AGAIN_TODAY', 'SENT_HERE'] as const;

/** What can be shown of a contact at once. */
export const FIELDS: QueueSettings['fields'] = ['COMPANY', 'TAGS', 'NOTE', 'ADDRESS', 'MAIL'];

export const ORDERS: QueueSettings['order'][] = [
  'LONGEST_IDLE',
  'IN_TURN',
  'FEWEST',
  'ALL',
  'LEVELS',
];

/** How a line keeps callers, as it was typed. */
export function read(
  typed: FormData,
  members: QueueLines['lines'][number]['members'],
): QueueSettings {
  const number = (name: string) => Number(typed.get(name));
  const text = (name: string) => String(typed.get(name) ?? '');
  return {
    order: text('order') as QueueSettings['order'],
    longestWait: number('longestWait'),
    most: number('most'),
    finishing: number('finishing'),
    tellPlace: typed.has('tellPlace'),
    tellTime: typed.has('tellTime'),
    every: text('every') === '' ? undefined : number('every'),
    keep: typed.has('keep'),
    message: typed.has('message'),
    elsewhere: typed.has('elsewhere'),
    within: number('within'),
    percent: number('percent'),
    members: members.map(({ person }) => ({
      person,
      leads: typed.has(`leads-${person}`),
      asked: number(`asked-${person}`),
    })),
    preferences: FIRSTS.filter((why) => number(`first-${why}`) > 0).map((why) => ({
      why,
      tag: why === 'TAG' ? text('tag') : '',
      priority: number(`first-${why}`),
    })),
    asks: text('asks'),
    digits: number('digits'),
    fields: FIELDS.filter((field) => typed.has(`shows-${field}`)),
    address: text('address'),
  };
}
