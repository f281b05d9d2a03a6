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

/** The time of day of an instant, as 14:05. */
export function timeOfDay(instant: string): string {
  return new Date(instant).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
}

/** The day of an instant on this computer, as 2026-06-15. */
export function dayOf(instant: string | number): string {
  const day = new Date(instant);
  const two = (n: number) => String(n).padStart(2, '0');
  return `${day.getFullYear()}-${two(day.getMonth() + 1)}-${two(day.getDate())}`;
}

/** A day spelled out, as Monday 15 June; with the year when it is not this one. */
export function longDay(instant: string, now: number): string {
  const day = new Date(instant);
  return day.toLocaleDateString('en-GB', {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    ...(day.getFullYear() === new Date(now).getFullYear() ? {} : { year: 'numeric' }),
  });
}
