import type { CallView } from '../api/types';

/** In these stretches of a call somebody is heard who can be recorded. */
const HEARD = ['TALKING', 'CONFERENCE'];

/** How long a call has been recorded, in milliseconds: nothing is while somebody is on hold or parked. */
export function recordedFor({ tape, course, earlier }: CallView, now: number): number {
  const since = Date.parse(tape?.since ?? '');
  if (earlier > 0) {
    return now - since; // not all of the course is told
  }
  return course
    .filter((each) => HEARD.includes(each.kind))
    .map((each) => {
      const to = each.to ? Date.parse(each.to) : now;
      return Math.max(0, to - Math.max(since, Date.parse(each.from)));
    })
    .reduce((sum, each) => sum + each, 0);
}
