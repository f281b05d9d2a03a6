import i18next from 'i18next';
import { afterEach, expect, test, vi } from 'vitest';
import { clockTime, dayAndTime, dayOf, longDay, setOfficeZone, timeOfDay } from './time';

test.each([
  [-5, '0:00'],
  [9_400, '0:09'],
  [252_000, '4:12'],
  [3_723_000, '1:02:03'],
])('%i ms reads %s', (milliseconds, text) => {
  expect(clockTime(milliseconds)).toBe(text);
});

function reads(...languages: string[]) {
  vi.stubGlobal('navigator', { languages });
}

afterEach(() => vi.stubGlobal('navigator', { languages: [] }));

test('days and times are those of the office, wherever its people are', () => {
  reads('en-GB');
  setOfficeZone('Europe/London');
  expect(dayOf('2026-06-30T23:30:00Z'), 'it is past midnight there').toBe('2026-07-01');
  expect(timeOfDay('2026-06-15T08:05:00Z')).toBe('09:05');
  setOfficeZone('Asia/Tokyo');
  expect(timeOfDay('2026-06-15T08:05:00Z')).toBe('17:05');
  expect(longDay('2026-06-15T08:00:00Z', Date.parse('2026-09-01'))).toBe('Monday 15 June');
});

test('of today the time alone, else the day in short, with the year when it is another one', () => {
  reads('en-GB');
  setOfficeZone('Europe/London');
  const now = Date.parse('2026-11-30T20:00:00Z');
  expect(dayAndTime('2026-11-30T00:10:00Z', now)).toBe('00:10');
  expect(dayAndTime('2026-11-26T23:15:00Z', now)).toBe('Thu 26 Nov, 23:15');
  expect(dayAndTime('2025-12-26T23:15:00Z', now)).toBe('Fri 26 Dec 2025, 23:15');
});

test('they are written as the reader writes the language, and in no other', async () => {
  await i18next.init({ lng: 'en' });
  setOfficeZone('Europe/London');
  reads('de-DE', 'en-US');
  expect(timeOfDay('2026-06-15T13:05:00Z')).toMatch(/^02:05\sPM$/);
  expect(longDay('2025-12-31T12:00:00Z', Date.parse('2026-01-01'))).toBe(
    'Wednesday, December 31, 2025',
  );
});
