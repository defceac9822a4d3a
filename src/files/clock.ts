/** Offsets of a zone from UTC, ms, and wall-clock times in it. */
import { DAY_MS } from '@/core/physics/constants';

export class ZoneClock {
  private readonly format: Intl.DateTimeFormat | null;
  private readonly offsets = new Map<number, number>();
  private readonly days = new Map<number, readonly number[]>();
  /** Throws a RangeError for a zone the machine does not know. */
  constructor(readonly zone: string) {
    this.format =
      zone === 'UTC'
        ? null
        : new Intl.DateTimeFormat('en-US', {
            timeZone: zone,
            hourCycle: 'h23',
            year: 'numeric',
            month: 'numeric',
            day: 'numeric',
            hour: 'numeric',
            minute: 'numeric',
            second: 'numeric',
          });
  }

  /** To the quarter of an hour within which clocks are changed. */
  offset(utc: number): number {
    if (!this.format) return 0;
    const key = Math.floor(utc / 900_000);
    const known = this.offsets.get(key);
    if (known !== undefined) return known;
    const at = key * 900_000;
    const part = Object.fromEntries(
      this.format.formatToParts(at).map(({ type, value }) => [type, Number(value)]),
    );
    const wall = Date.UTC(
      part.year ?? 0,
      (part.month ?? 1) - 1,
      part.day ?? 1,
      part.hour ?? 0,
      part.minute ?? 0,
      part.second ?? 0,
    );
    this.offsets.set(key, wall - at);
    return wall - at;
  }

  /**
   * Moments at which the clock on the wall shows a time (given as if it were UTC, ms): one; two in the hour that comes
   * twice; none in the hour that is skipped, then `skipped` is when a clock that was not put forward shows it.
   */
  moments(wall: number): { readonly at: readonly number[]; readonly skipped: number } {
    const day = Math.floor(wall / DAY_MS);
    let offsets = this.days.get(day);
    if (!offsets) {
      const from = day * DAY_MS;
      offsets = [...new Set([this.offset(from - DAY_MS), this.offset(from + 2 * DAY_MS)])];
      this.days.set(day, offsets);
    }
    const [before = 0] = offsets;
    if (offsets.length === 1) return { at: [wall - before], skipped: wall - before };
    const at = offsets
      .map((offset) => ({ offset, t: wall - offset }))
      .filter(({ offset, t }) => this.offset(t) === offset)
      .map(({ t }) => t)
      .sort((a, b) => a - b);
    return { at, skipped: wall - before };
  }
}

/** In which order a date is written. */
export const ORDERS = ['ymd', 'dmy', 'mdy'] as const;
export type DateOrder = (typeof ORDERS)[number];

/** A time out of a cell: a moment, or what the wall clock showed; null where it is none. */
export type CellTime = { readonly moment: number } | { readonly wall: number } | null;

const TIME =
  /^(\d{1,4})[-./ ](\d{1,2})[-./ ](\d{1,4})\.?(?:[T ,]+(\d{1,2})[:.](\d{2})(?:[:.](\d{2})(?:[.,](\d{1,6}))?)?\s*([AaPp]\.?[Mm]\.?)?)?\s*(Z|UTC|GMT|[+-]\d{2}:?\d{2})?$/;
const CLOCK = /^(\d{1,2})[:.](\d{2})(?:[:.](\d{2})(?:[.,](\d{1,6}))?)?\s*([AaPp]\.?[Mm]\.?)?$/;

/** ISO 8601 and what loggers write beside it; seconds and milliseconds since 1970. A date before 1990 is none. */
export function timeOfCell(cell: string, order: DateOrder): CellTime {
  const text = cell.trim();
  if (/^\d{10}(\.\d+)?$/.test(text)) return { moment: Math.round(Number(text) * 1000) };
  if (/^\d{13}$/.test(text)) return { moment: Number(text) };
  const found = TIME.exec(text);
  if (!found) return null;
  const [, first = '', second = '', third = '', h, mi, s, part, half, zone] = found;
  const [a, b, c] = [Number(first), Number(second), Number(third)];
  // Four figures are a year wherever they stand.
  const [year, month, day] =
    first.length === 4 || (order === 'ymd' && third.length !== 4)
      ? [a, b, c]
      : order === 'mdy'
        ? [c, a, b]
        : [c, b, a];
  const clock = clockOf(h, mi, s, part, half);
  if (clock === null) return null;
  const full = year < 100 ? 2000 + year : year;
  const wall = Date.UTC(full, month - 1, day);
  const date = new Date(wall);
  if (full < 1990 || full > 2200 || date.getUTCMonth() !== month - 1 || date.getUTCDate() !== day)
    return null;
  if (zone === undefined) return { wall: wall + clock };
  const sign = zone.startsWith('-') ? -1 : 1;
  const digits = zone.replace(/\D/g, '');
  const off = digits === '' ? 0 : sign * (Number(digits.slice(0, 2)) * 60 + Number(digits.slice(2))) * 60_000;
  return { moment: wall + clock - off };
}

/** Time of day out of a cell of its own, ms; null where it is none. */
export function clockOfCell(cell: string): number | null {
  const found = CLOCK.exec(cell.trim());
  return found ? clockOf(found[1], found[2], found[3], found[4], found[5]) : null;
}

function clockOf(
  h: string | undefined,
  mi: string | undefined,
  s: string | undefined,
  part: string | undefined,
  half: string | undefined,
): number | null {
  let hour = Number(h ?? 0);
  if (half !== undefined) {
    if (hour < 1 || hour > 12) return null;
    hour = (hour % 12) + (/^p/i.test(half) ? 12 : 0);
  }
  const [minute, second] = [Number(mi ?? 0), Number(s ?? 0)];
  if (hour > 24 || minute > 59 || second > 60) return null;
  return ((hour * 60 + minute) * 60 + second) * 1000 + Math.round(Number(`0.${part ?? 0}`) * 1000);
}
