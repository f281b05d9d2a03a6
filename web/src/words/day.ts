import i18next from 'i18next';
import { dayOf, readersDate } from './time';

const DAY_MS = 86_400_000;
const WEEK = 7;
const MONTHS = 12;
/** Shorter beginnings of a weekday or month could be several. */
const SHORTEST_NAME = 2;
/** Days are counted at noon in UTC, where no clock is put forward or back. */
const NOON = 'T12:00:00Z';

const at = (day: string) => Date.parse(day + NOON);
const iso = (time: number) => new Date(time).toISOString().slice(0, 10);

/** Whether the calendar has this day. */
function written(year: number, month: number, day: number): string | null {
  const text = [String(year), String(month).padStart(2, '0'), String(day).padStart(2, '0')].join(
    '-',
  );
  const time = Date.UTC(year, month - 1, day);
  return Number.isFinite(time) && iso(time) === text ? text : null;
}

/** Of the names of weekdays or months the one that begins so, counted from 1; 0 when none does. */
function named(text: string, names: string[]): number {
  return text.length < SHORTEST_NAME
    ? 0
    : names.findIndex((each) => each.toLowerCase().startsWith(text)) + 1;
}

const names = (kind: 'weekday' | 'month', count: number, first: number, step: number) =>
  Array.from({ length: count }, (_, index) =>
    readersDate(first + index * step, { [kind]: 'long', timeZone: 'UTC' }),
  );

const weekdays = () => names('weekday', WEEK, Date.parse('2026-06-15T12:00:00Z'), DAY_MS); // a Monday
const months = () => names('month', MONTHS, Date.parse('2026-01-15T12:00:00Z'), 30.4 * DAY_MS);

/** Whether the reader writes the day before the month. */
function dayFirst(): boolean {
  const text = readersDate(Date.parse('2026-11-26T12:00:00Z'), {
    day: 'numeric',
    month: 'numeric',
    timeZone: 'UTC',
  });
  return text.indexOf('26') < text.indexOf('11');
}

/**
 * The day somebody means by what they have typed, in their own words and order: today, tomorrow, mon, 26 nov, 26/11.
 *
 * @param past whether a weekday means the last one and not the next
 * @returns as 2026-11-26; null when there is no telling
 */
export function dayFrom(typed: string, now: number, past = false): string | null {
  const text = typed.trim().toLowerCase();
  const today = dayOf(now);
  const near = ['yesterday', 'today', 'tomorrow'].findIndex(
    (each) => i18next.t(`day.${each}`).toLowerCase() === text,
  );
  if (near >= 0) {
    return iso(at(today) + (near - 1) * DAY_MS);
  }
  const whole = /^(\d{4})-(\d{2})-(\d{2})$/.exec(text);
  if (whole) {
    return written(Number(whole[1]), Number(whole[2]), Number(whole[3]));
  }
  const weekday = named(text, weekdays());
  if (weekday > 0) {
    const ahead = (weekday - (new Date(at(today)).getUTCDay() || WEEK) + WEEK) % WEEK;
    return iso(at(today) + (past && ahead > 0 ? ahead - WEEK : ahead) * DAY_MS);
  }
  // Of what is written whole, as the field itself shows it, the weekday says nothing new.
  const parts = text.split(/[^\p{L}\p{N}]+/u).filter((each) => named(each, weekdays()) === 0);
  return dayOfParts(parts, Number(today.slice(0, 4)));
}

function dayOfParts(parts: string[], thisYear: number): string | null {
  const [one = '', other = '', last] = parts;
  const year = last === undefined ? thisYear : Number(last.length === 2 ? `20${last}` : last);
  const [first, second] = [Number(one), Number(other)];
  if (parts.length < 2 || parts.length > 3 || !Number.isInteger(year)) {
    return null;
  }
  if (named(other, months()) > 0) {
    return written(year, named(other, months()), first);
  }
  if (named(one, months()) > 0) {
    return written(year, named(one, months()), second);
  }
  return dayFirst() ? written(year, second, first) : written(year, first, second);
}

/** A day, as it stands in a field: Thu 26 Nov 2026. */
export function dayText(day: string): string {
  return day
    ? readersDate(at(day), {
        weekday: 'short',
        day: 'numeric',
        month: 'short',
        year: 'numeric',
        timeZone: 'UTC',
      }).replaceAll(',', '')
    : '';
}
