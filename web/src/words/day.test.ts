import i18next from 'i18next';
import { beforeAll, beforeEach, expect, test, vi } from 'vitest';
import { dayFrom, dayText } from './day';
import { setOfficeZone } from './time';

/** A Monday. */
const NOW = Date.parse('2026-11-30T09:00:00Z');

beforeAll(async () => {
  const day = { today: 'Today', yesterday: 'Yesterday', tomorrow: 'Tomorrow' };
  await i18next.init({ lng: 'en', resources: { en: { translation: { day } } } });
  setOfficeZone('Europe/London');
});

beforeEach(() => vi.stubGlobal('navigator', { languages: ['en-GB'] }));

test.each([
  ['today', '2026-11-30'],
  ['Tomorrow', '2026-12-01'],
  ['yesterday', '2026-11-29'],
  ['mon', '2026-11-30'],
  ['sunday', '2026-12-06'],
  ['26 nov', '2026-11-26'],
  ['nov 26', '2026-11-26'],
  ['3 January 2027', '2027-01-03'],
  ['26/11', '2026-11-26'],
  ['5.6.27', '2027-06-05'],
  ['2026-12-24', '2026-12-24'],
  ['Thu 26 Nov 2026', '2026-11-26'],
])('%s is %s', (typed, day) => {
  expect(dayFrom(typed, NOW)).toBe(day);
});

test.each(['', '31/2', '40 nov', 'soon', '1 2 3 4', '26', '2026-13-01', 'm', '13 pm'])(
  '%s is no day',
  (typed) => {
    expect(dayFrom(typed, NOW)).toBeNull();
  },
);

test('of what has been a weekday is the last one', () => {
  expect(dayFrom('thu', NOW, true)).toBe('2026-11-26');
  expect(dayFrom('mon', NOW, true), 'today').toBe('2026-11-30');
});

test('numbers are read in the order of the reader, and what a field shows is understood', () => {
  vi.stubGlobal('navigator', { languages: ['en-US'] });
  expect(dayFrom('12/24', NOW)).toBe('2026-12-24');
  expect(dayText('2026-11-26')).toBe('Thu Nov 26 2026');
  expect(dayFrom(dayText('2026-11-26'), NOW)).toBe('2026-11-26');
});
