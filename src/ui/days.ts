import { counted } from '@/core/units';
import { localDay } from '@/core/time';

/** A day as one says it. */
export const dayWords = (day: string): string =>
  new Date(`${day}T12:00:00Z`).toLocaleDateString(undefined, {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    timeZone: 'UTC',
  });

/** When a line of a day is written: one of today at its hour, one of a day before at its noon; ms since 1970. */
export const momentOn = (day: string): number =>
  day === localDay(Date.now()) ? Date.now() : new Date(`${day}T12:00:00`).getTime();

/** Days as weeks or months, as one says it. */
export function daysWord(days: number): string {
  if (days < 14) return counted(days, 'day');
  if (days < 100) return counted(days / 7, 'week');
  return counted(days / 30.44, 'month');
}
