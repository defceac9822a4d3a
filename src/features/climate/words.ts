import type { Device, Timer } from '@/core/document';
import type { Season, Span } from '@/core/climate';

export const SEASON_WORD: Record<Season, string> = {
  winter: 'winter',
  spring: 'spring',
  summer: 'summer',
  autumn: 'autumn',
};
export const SPAN_WORD: Record<Span, string> = { day: 'Day', week: 'Week', year: 'Year' };

/** Minutes of the day as a clock reads them. */
export const clock = (minutes: number): string =>
  `${String(Math.floor(minutes / 60) % 24).padStart(2, '0')}:${String(Math.round(minutes) % 60).padStart(2, '0')}`;

/** Minutes of the day out of what a person types: 7:30, 7.30, 730, 19. */
export function readClock(text: string): number | null {
  const found = /^\s*(\d{1,2})(?:[:.h]?(\d{2}))?\s*$/.exec(text);
  if (!found) return null;
  const hours = Number(found[1]);
  const minutes = Number(found[2] ?? 0);
  return hours > 24 || minutes > 59 || hours * 60 + minutes > 1440 ? null : hours * 60 + minutes;
}

export const percentWord = (share: number): string => `${Math.round(share * 100)} %`;

export function timerWord(timer: Timer): string {
  switch (timer.by) {
    case 'day':
      return 'with the day';
    case 'night':
      return 'at night';
    case 'always':
      return 'always';
    case 'clock':
      return timer.spans.length === 0
        ? 'with the mist'
        : timer.spans.map((it) => `${clock(it.from)}–${clock(it.to)}`).join(', ');
  }
}

/** What holds a device, in a few words. */
export function heldWord({ thermostat, humidistat }: Device, write: (celsius: number) => string): string {
  if (thermostat) {
    const day = thermostat.day === null ? 'off' : write(thermostat.day);
    const night = thermostat.night === null ? 'off' : write(thermostat.night);
    return `held at ${day} by day, ${night} by night`;
  }
  if (humidistat) {
    const word = (it: number | null): string => (it === null ? 'off' : percentWord(it));
    return `held at ${word(humidistat.day)} by day, ${word(humidistat.night)} by night`;
  }
  return '';
}
