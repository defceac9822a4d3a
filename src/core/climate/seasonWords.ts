import { monthsOf, type Design, type Device, type SeasonSettings, type Timer } from '../document/schema';
import { isOff } from '../document/seasonal';
import { percent, message, temperature, type Message } from '../units';

export const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
] as const;

/** The months of a part of the year, as one says them. */
export const monthWords = ({ from, until }: Pick<SeasonSettings, 'from' | 'until'>): string =>
  from === until ? `${MONTHS[from - 1]}` : `${MONTHS[from - 1]} to ${MONTHS[until - 1]}`;

/** Minutes since midnight as a time of day. */
const clock = (minute: number): string =>
  `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;

type Mist = Pick<Design['climate']['mist'], 'times' | 'everyDays'>;

/** A misting plan as one says it. */
export const mistWords = ({ times, everyDays }: Mist, by: 'hand' | 'nozzles'): string =>
  times.length === 0
    ? 'none'
    : `${times.map((it) => `${it.seconds} ${by === 'hand' ? 'pulls' : 's'} at ${clock(it.at)}`).join(', ')}${everyDays > 1 ? ` every ${everyDays} days` : ''}`;

/** When something is on, as one says it. */
export function timerWords(timer: Timer): string {
  switch (timer.by) {
    case 'day':
      return 'on by day';
    case 'night':
      return 'on by night';
    case 'always':
      return 'on day and night';
    case 'clock':
      return timer.spans.length === 0
        ? 'off'
        : `on from ${timer.spans.map((it) => `${clock(it.from)} to ${clock(it.to)}`).join(', ')}`;
  }
}

/** One thing that is set otherwise for a part of the year: what it is then, and what it is in the rest. */
export interface SeasonLine {
  readonly what: string;
  readonly then: Message;
  readonly rest: Message;
}

/** All that a part of the year sets otherwise. */
export function seasonLines(
  { enclosure, climate }: Design,
  { topCover, mist, devices }: SeasonSettings,
): readonly SeasonLine[] {
  const lines: SeasonLine[] = [];
  if (topCover !== null)
    lines.push({
      what: 'Cover of the top',
      then: [percent(topCover)],
      rest: [percent(enclosure.topCover)],
    });
  if (mist)
    lines.push({
      what: 'Mist',
      then: [mistWords(mist, climate.mist.by)],
      rest: [mistWords(climate.mist, climate.mist.by)],
    });
  for (const own of devices) {
    const device = climate.devices.find((it) => it.id === own.device);
    if (!device) continue;
    if (own.timer)
      lines.push({ what: device.name, then: [timerWords(own.timer)], rest: [timerWords(device.timer)] });
    if (isOff(own)) continue;
    if (own.dim !== null)
      lines.push({
        what: `${device.name}, dimmed to`,
        then: [percent(own.dim)],
        rest: [percent(device.dim)],
      });
    if (own.thermostat && device.thermostat)
      lines.push({
        what: `${device.name}, held at`,
        then: heldWords(own.thermostat, temperature),
        rest: heldWords(device.thermostat, temperature),
      });
    if (own.humidistat && device.humidistat)
      lines.push({
        what: `${device.name}, held at`,
        then: heldWords(own.humidistat, percent),
        rest: heldWords(device.humidistat, percent),
      });
  }
  return lines;
}

/** What a control holds by day and by night. */
export function heldWords(
  { day, night }: Pick<NonNullable<Device['thermostat']>, 'day' | 'night'>,
  of: typeof temperature,
): Message {
  const one = (value: number | null) => (value === null ? 'off' : of(value));
  return message`${one(day)} by day, ${one(night)} by night`;
}

/** Months in which no part of the year sets anything otherwise. */
export const restMonths = ({ climate }: Design): readonly number[] => {
  const taken = new Set(climate.seasons.flatMap((it) => monthsOf(it)));
  return MONTHS.flatMap((_, index) => (taken.has(index + 1) ? [] : [index + 1]));
};

/** Months on whose first day settings are changed over, in order of the year. */
export const changeOvers = ({ climate }: Design): readonly number[] => {
  const all = climate.seasons.flatMap(({ from, until }) => [from, (until % 12) + 1]);
  return [...new Set(all)].sort((a, b) => a - b);
};

/** What is set when, part by part of the year, in the order of the year; for a care sheet. */
export function seasonsSaid(design: Design): Message {
  const parts = [...design.climate.seasons].sort((a, b) => a.from - b.from);
  const said = parts.flatMap((part): Message => {
    const lines = seasonLines(design, part).flatMap(({ what, then, rest }): Message => [
      `${what} `,
      ...then,
      ' (in the rest of the year ',
      ...rest,
      '); ',
    ]);
    return [`${part.name}, ${monthWords(part)}: `, ...lines];
  });
  const last = said.at(-1);
  return typeof last === 'string' ? [...said.slice(0, -1), last.replace(/; $/, '')] : said;
}
