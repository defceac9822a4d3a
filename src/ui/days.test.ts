import { expect, it } from 'vitest';
import { localDay, localToday } from './days';

it('the day is that of the calendar on the wall, just after midnight and just before', () => {
  expect(localToday(new Date(2026, 0, 1, 0, 5))).toBe('2026-01-01');
  expect(localToday(new Date(2026, 0, 1, 23, 55))).toBe('2026-01-01');
  expect(localDay(new Date(2028, 1, 29, 0, 5).getTime())).toBe('2028-02-29');
});
