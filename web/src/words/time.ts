import i18next from 'i18next';

/** Where the office's clocks run; until it is known who asks, where this computer is. */
let zone: string | undefined;

/** From now on times are those of the office. */
export function setOfficeZone(officeZone: string) {
  zone = officeZone;
}

/** How this person writes dates and numbers: their browser's way of the language they read. */
function locale(): string {
  const language = i18next.language || 'en';
  return navigator.languages.find((each) => each.split('-')[0] === language) ?? language;
}

/** A moment as the reader writes it. */
export function readersDate(instant: number, options: Intl.DateTimeFormatOptions): string {
  return new Intl.DateTimeFormat(locale(), options).format(new Date(instant));
}

function format(instant: string | number, options: Intl.DateTimeFormatOptions): string {
  return readersDate(new Date(instant).getTime(), { ...options, timeZone: zone });
}

/** A length of time as 0:09, 4:12 or 1:02:03. */
export function clockTime(milliseconds: number): string {
  const total = Math.max(0, Math.floor(milliseconds / 1000));
  const hours = Math.floor(total / 3600);
  const minutes = Math.floor(total / 60) % 60;
  const seconds = String(total % 60).padStart(2, '0');
  return hours > 0
    ? `${hours}:${String(minutes).padStart(2, '0')}:${seconds}`
    : `${minutes}:${seconds}`;
}

/** The time of day of an instant at the office. */
export function timeOfDay(instant: string): string {
  return format(instant, { hour: '2-digit', minute: '2-digit' });
}

/** The same as 09:05, in which fields of time have it: not for reading. */
export function minuteOf(instant: string): string {
  return new Intl.DateTimeFormat('en', {
    timeZone: zone,
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  }).format(new Date(instant));
}

/** The day of an instant at the office, as 2026-06-15: for comparing, not for reading. */
export function dayOf(instant: string | number): string {
  const parts = new Intl.DateTimeFormat('en', {
    timeZone: zone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
  }).formatToParts(new Date(instant));
  const part = (type: string) => parts.find((each) => each.type === type)?.value ?? '';
  return `${part('year')}-${part('month')}-${part('day')}`;
}

/** A day spelled out; with the year when it is not this one. */
export function longDay(instant: string, now: number): string {
  const thisYear = dayOf(instant).slice(0, 4) === dayOf(now).slice(0, 4);
  return format(instant, {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    ...(thisYear ? {} : { year: 'numeric' }),
  });
}

/** A day in short and its time; with the year when it is not this one. */
function farMoment(instant: string, now: number): string {
  const thisYear = dayOf(instant).slice(0, 4) === dayOf(now).slice(0, 4);
  const day = format(instant, {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    ...(thisYear ? {} : { year: 'numeric' }),
  });
  return `${day.replaceAll(',', '')}, ${timeOfDay(instant)}`;
}

/** When something was or will be, in the one form that all screens have: of today the time alone. */
export function dayAndTime(instant: string, now = Date.now()): string {
  return dayOf(instant) === dayOf(now) ? timeOfDay(instant) : farMoment(instant, now);
}

const DAY_MS = 86_400_000;

/** A day as one says it: today, yesterday, or spelled out. */
export function dayTitle(instant: string, now: number): string {
  if (dayOf(instant) === dayOf(now)) {
    return i18next.t('day.today');
  }
  return dayOf(instant) === dayOf(now - DAY_MS)
    ? i18next.t('day.yesterday')
    : longDay(instant, now);
}

/** The same within a sentence, where days nearby have names. */
export function shortMoment(instant: string, now: number): string {
  const days = new Map([
    [dayOf(now), i18next.t('day.today')],
    [dayOf(now - DAY_MS), i18next.t('day.yesterday')],
    [dayOf(now + DAY_MS), i18next.t('day.tomorrow')],
  ]);
  const near = days.get(dayOf(instant))?.toLowerCase();
  return near ? `${near} ${timeOfDay(instant)}` : farMoment(instant, now);
}
