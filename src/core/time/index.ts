import { DAY_MS } from '../physics/constants';

/*
 * Days are days of the calendar as text, such as 2026-03-29: they have no zone and no hour, and summer time does not touch
 * them. Moments are ms since 1970. What goes from one to the other says whose clock it goes by.
 */

const noon = (day: string): number => Date.parse(`${day}T12:00:00Z`);
const dayOfNoon = (at: number): string => new Date(at).toISOString().slice(0, 10);

/** The day so many whole days after another, or before it. */
export const dayPlus = (day: string, days: number): string => dayOfNoon(noon(day) + days * DAY_MS);

/** The day so many days after another; parts of a day count as the day they fall in. */
export const dayAfter = (from: string, days: number): string => dayPlus(from, Math.floor(days + 1e-6));

/** Whole days from one day to another; negative where it was before. */
export const daysTill = (from: string, to: string): number => Math.round((noon(to) - noon(from)) / DAY_MS);

/** The day a moment has where clocks are so many ms ahead of UTC. */
export const dayAhead = (at: number, ahead: number): string => dayOfNoon(at + ahead);

/** The day a moment has on the keeper’s own clock: that of this machine. */
export function localDay(at: number): string {
  const date = new Date(at);
  const two = (it: number): string => String(it).padStart(2, '0');
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
}

/** A day as the library of recurrence rules has it: its noon in UTC, which no zone turns into another day. */
export const noonOf = (day: string): Date => new Date(noon(day));
export const dayOfDate = (date: Date): string => dayOfNoon(date.getTime());
