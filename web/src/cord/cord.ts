import type { SegmentView } from '../api/types';
import { clockTime } from '../words/time';

/** A stretch of the cord ready to draw. */
export interface Stretch {
  segment: SegmentView;
  lasted: number;
  /** Share of the whole, in percent. */
  width: number;
  open: boolean;
  /** Whether the same goes on as before it, with somebody at another device of theirs. */
  moved: boolean;
}

/** A cord as long as this takes the whole width; a shorter one grows towards it. */
const FULL_LENGTH_MS = 5 * 60_000;

/** However short a call was, its cord takes this much of the row, in percent. */
const SHORTEST = 6;

/** A stretch is never drawn narrower than this, in percent, or it could not be seen. */
const NARROWEST = 1.5;

/** A stretch at least this wide, in percent, has room for words below it. */
export const ROOM_FOR_WORDS = 13;

/** The stretches of a course with their widths, and how much of the row they take together. */
export function stretches(course: SegmentView[], now: number): { all: Stretch[]; length: number } {
  const timed = course.map((segment, i) => ({
    segment,
    moved: i > 0 && alike(segment, course[i - 1] as SegmentView),
    open: !segment.to,
    lasted: Math.max(0, (segment.to ? Date.parse(segment.to) : now) - Date.parse(segment.from)),
  }));
  const total = timed.reduce((sum, each) => sum + each.lasted, 0);
  const length = Math.min(100, SHORTEST + ((100 - SHORTEST) * total) / FULL_LENGTH_MS);
  const all = timed.map((each) => ({
    ...each,
    width: Math.max(NARROWEST, total === 0 ? 100 : (100 * each.lasted) / total),
  }));
  return { all, length };
}

function alike(one: SegmentView, other: SegmentView): boolean {
  return one.kind === other.kind && one.who.join() === other.who.join() && one.mine === other.mine;
}

/** The whole course in words, for those who do not see it. */
export function inWords(all: Stretch[], word: (stretch: Stretch) => string): string {
  return all.map((each) => `${word(each)} ${clockTime(each.lasted)}`).join(', ');
}
