import i18next from 'i18next';
import { dayFrom, dayText } from './day';
import { dayOf, minuteOf, readersDate } from './time';

const MINUTE_MS = 60_000;
const NOON_HOUR = 12;
/** A day alone means its morning. */
const MORNING = '09:00';

const CLOCK = /^(?:(.*[^\s,])[\s,]+)?(\d{1,2})(?:[:.h](\d{2})?)?\s*(am|pm)?$/;
const AHEAD = /^(\S+)\s+(\d{1,3})\s*(\p{L}+)$/u;

/** As fields of moments have it: 2026-11-26T14:30, by the clocks of the office. */
function written(time: number): string {
  return `${dayOf(time)}T${minuteOf(new Date(time).toISOString())}`;
}

function clock(hour: string, minute = '00', half?: string): string | null {
  const typed = Number(hour);
  if (half && (typed < 1 || typed > NOON_HOUR)) {
    return null;
  }
  const hours = half ? (typed % NOON_HOUR) + (half === 'pm' ? NOON_HOUR : 0) : typed;
  return hours < 24 && Number(minute) < 60 ? `${String(hours).padStart(2, '0')}:${minute}` : null;
}

/** The time of day somebody means: 9, 9:30, 5 pm. As 09:30; null when there is no telling. */
export function timeFrom(typed: string): string | null {
  const [, before, hour, minute, half] = CLOCK.exec(typed.trim().toLowerCase()) ?? [];
  return hour === undefined || before !== undefined ? null : clock(hour, minute, half);
}

/** In how many minutes, when it is said so: in 2 h, in 20 min, in 3 days. */
function minutesAhead(text: string): number | null {
  const [, begins, count, unit = ''] = AHEAD.exec(text) ?? [];
  if (begins !== i18next.t('moment.in')) {
    return null;
  }
  const units: [string, number][] = [
    ['moment.minutes', 1],
    ['moment.hours', 60],
    ['moment.days', 1_440],
  ];
  const [, minutes] =
    units.find(([words]) => i18next.t(words).split(' ').includes(unit)) ?? ([] as undefined[]);
  return minutes === undefined ? null : Number(count) * minutes;
}

/**
 * The moment somebody means by what they have typed: in 2 h, 14:30, tomorrow 9, mon 5 pm, 26 nov.
 *
 * @returns as 2026-11-26T14:30; null when there is no telling
 */
export function momentFrom(typed: string, now: number): string | null {
  const text = typed.trim().toLowerCase();
  if (/^\d{4}-\d{2}-\d{2}t\d{2}:\d{2}$/.test(text)) {
    return text.toUpperCase();
  }
  const ahead = minutesAhead(text);
  if (ahead !== null) {
    return written(now + ahead * MINUTE_MS);
  }
  const [, before, hour = '', minute, half] = CLOCK.exec(text) ?? [];
  const time = clock(hour, minute, half);
  if (hour !== '' && time !== null && before === undefined) {
    const today = `${dayOf(now)}T${time}`;
    const gone = today <= written(now);
    return gone ? `${dayOf(now + 1_440 * MINUTE_MS)}T${time}` : today;
  }
  const day = hour !== '' && time !== null && before ? dayFrom(before, now) : null;
  if (day !== null && time !== null) {
    return `${day}T${time}`;
  }
  const whole = dayFrom(text, now);
  return whole === null ? null : `${whole}T${MORNING}`;
}

/** A time of day, as it stands in a field: 14:30, or as the reader writes it. */
export function timeText(time: string): string {
  return time
    ? readersDate(Date.parse(`2026-01-01T${time}:00Z`), {
        hour: 'numeric',
        minute: '2-digit',
        timeZone: 'UTC',
      })
    : '';
}

/** A moment, as it stands in a field: Thu 26 Nov 2026, 14:30. */
export function momentText(moment: string): string {
  const [day = '', time = ''] = moment.split('T');
  return moment ? `${dayText(day)}, ${timeText(time)}` : '';
}
