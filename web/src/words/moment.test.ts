import i18next from 'i18next';
import { beforeAll, beforeEach, expect, test, vi } from 'vitest';
import { momentFrom, momentText, timeFrom, timeText } from './moment';
import { setOfficeZone } from './time';

/** A Monday, at nine by the clocks of the office. */
const NOW = Date.parse('2026-11-30T09:00:00Z');

beforeAll(async () => {
  const day = { today: 'Today', yesterday: 'Yesterday', tomorrow: 'Tomorrow' };
  const moment = { in: 'in', minutes: 'min minutes', hours: 'h hour hours', days: 'day days' };
  await i18next.init({ lng: 'en', resources: { en: { translation: { day, moment } } } });
  setOfficeZone('Europe/London');
});

beforeEach(() => vi.stubGlobal('navigator', { languages: ['en-GB'] }));

test.each([
  ['in 2 h', '2026-11-30T11:00'],
  ['in 20 min', '2026-11-30T09:20'],
  ['in 3 days', '2026-12-03T09:00'],
  ['14:30', '2026-11-30T14:30'],
  ['8', '2026-12-01T08:00'],
  ['5 pm', '2026-11-30T17:00'],
  ['tomorrow 9', '2026-12-01T09:00'],
  ['Wed 16.45', '2026-12-02T16:45'],
  ['26 nov', '2026-11-26T09:00'],
  ['nov 26', '2026-11-26T09:00'],
  ['3 jan 2027', '2027-01-03T09:00'],
  ['Thu 26 Nov 2026, 14:30', '2026-11-26T14:30'],
  ['2026-12-24T18:00', '2026-12-24T18:00'],
])('%s is %s', (typed, moment) => {
  expect(momentFrom(typed, NOW)).toBe(moment);
});

test.each(['soon', 'in 2 moons', '25:00', 'tomorrow 9:75', '13 pm', ''])(
  'there is no telling what %j is',
  (typed) => expect(momentFrom(typed, NOW)).toBeNull(),
);

test('a time of day in every form, and back as the reader writes it', () => {
  expect(['9', '9:05', '17.30', '12 am', '12 pm', '5 pm'].map(timeFrom)).toEqual([
    '09:00',
    '09:05',
    '17:30',
    '00:00',
    '12:00',
    '17:00',
  ]);
  expect(timeFrom('mon 9')).toBeNull();
  expect(timeText('17:30')).toBe('17:30');
  expect(momentText('2026-11-26T14:30')).toBe('Thu 26 Nov 2026, 14:30');
  vi.stubGlobal('navigator', { languages: ['en-US'] });
  expect(timeFrom(timeText('17:30').toLowerCase())).toBe('17:30');
});
