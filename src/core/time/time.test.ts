import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayAfter, dayAhead, dayPlus, daysTill, localDay } from '.';

describe('days of the calendar', () => {
  it('are counted over leap days, New Year and the changes of summer time', () => {
    expect(dayPlus('2026-03-28', 1)).toBe('2026-03-29');
    expect(dayPlus('2026-03-29', 1)).toBe('2026-03-30');
    expect(dayPlus('2026-10-25', 1)).toBe('2026-10-26');
    expect(dayPlus('2028-02-28', 1)).toBe('2028-02-29');
    expect(dayPlus('2100-02-28', 1)).toBe('2100-03-01');
    expect(dayPlus('2026-12-31', 1)).toBe('2027-01-01');
    expect(daysTill('2026-02-27', '2026-03-01')).toBe(2);
    expect(daysTill('2027-01-01', '2026-12-31')).toBe(-1);
    // A year and a century, by hand: 365 days, and 36,524 from 2001 to 2101 (24 leap days, none in 2100).
    expect(daysTill('2026-01-01', '2027-01-01')).toBe(365);
    expect(daysTill('2001-01-01', '2101-01-01')).toBe(36_524);
  });
  it('so many on and as many back is the same day', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -40_000, max: 40_000 }),
        fc.integer({ min: -4000, max: 4000 }),
        (a, b) => {
          const day = dayPlus('2026-11-28', a);
          expect(dayPlus(dayPlus(day, b), -b)).toBe(day);
          expect(daysTill(day, dayPlus(day, b))).toBe(b);
        },
      ),
    );
  });
  it('parts of a day count as the day they fall in', () => {
    expect(dayAfter('2026-12-31', 1.9)).toBe('2027-01-01');
    expect(dayAfter('2026-12-31', 0.99)).toBe('2026-12-31');
    expect(dayAfter('2026-12-31', 2 - 1e-9)).toBe('2027-01-02');
  });
});

describe('the day of a moment', () => {
  it('is that of the calendar on the wall, just after midnight and just before', () => {
    expect(localDay(new Date(2026, 0, 1, 0, 5).getTime())).toBe('2026-01-01');
    expect(localDay(new Date(2026, 0, 1, 23, 55).getTime())).toBe('2026-01-01');
    expect(localDay(new Date(2028, 1, 29, 0, 5).getTime())).toBe('2028-02-29');
  });
  // Hours ahead of UTC on that day, of the IANA time zone database by way of Intl.
  it.each([
    'Pacific/Honolulu',
    'America/Mexico_City',
    'America/St_Johns',
    'Europe/Berlin',
    'Asia/Kathmandu',
    'Pacific/Auckland',
    'Pacific/Kiritimati',
  ])('in %s is what its clocks show', (timeZone) => {
    const shown = new Intl.DateTimeFormat('sv-SE', { timeZone, dateStyle: 'short' });
    const clock = new Intl.DateTimeFormat('sv-SE', { timeZone, dateStyle: 'short', timeStyle: 'medium' });
    for (const at of [
      '2026-03-29T00:30:00Z',
      '2026-11-28T05:59:00Z',
      '2026-11-28T20:00:00Z',
      '2028-02-29T11:00:00Z',
    ]) {
      const moment = Date.parse(at);
      const ahead = Date.parse(`${clock.format(moment).replace(' ', 'T')}Z`) - moment;
      expect(dayAhead(moment, ahead)).toBe(shown.format(moment));
    }
  });
});
