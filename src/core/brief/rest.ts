import { findAnimal, type Animal, type Catalogue, type Range } from '../catalogue';
import type { Design } from '../document/schema';
import { dayPlus, localDay } from '../time';
import { selfOf } from './age';

/** A part of every year: from a month and day on, so many days. */
export interface PartOfYear {
  /** `MM-DD` */
  readonly from: string;
  readonly days: number;
  /** A turn that began before this day is none, ISO 8601; left out: all are. */
  readonly since?: string;
  /** Only the turn that begins on the day it counts from. */
  readonly once?: true;
}

/** A part of a year as it falls about a day: first day, and the first day after it. */
export interface Span {
  readonly from: string;
  readonly until: string;
}

/** The turn of a part of the year that a day lies in; null: the day lies in none. */
export function partOn({ from, days, since = '', once }: PartOfYear, day: string): Span | null {
  const year = Number(day.slice(0, 4));
  // A part may run over the turn of the year.
  for (const own of [year, year - 1]) {
    const first = `${String(own).padStart(4, '0')}-${from}`;
    const until = dayPlus(first, days);
    if (once && first !== since) continue;
    if (day >= first && day < until && first >= since) return { from: first, until };
  }
  return null;
}

/** The last turn of a part of the year that is over on a day: the first day after it; null: there was none yet. */
export function lastOver({ from, days, since = '' }: PartOfYear, day: string): string | null {
  const year = Number(day.slice(0, 4));
  for (const own of [year, year - 1, year - 2]) {
    const first = `${String(own).padStart(4, '0')}-${from}`;
    const until = dayPlus(first, days);
    if (until <= day) return first >= since ? until : null;
  }
  return null;
}

/** A month and day so many days before or after another. */
const shifted = (monthDay: string, days: number): string => dayPlus(`2025-${monthDay}`, days).slice(5);

/** Days without food before it is cooled: a gut that is not empty rots in the cold (common practice). */
export const FAST = 14;
/** Days over which it is cooled, of the rest, and over which it is warmed up after it (common practice). */
export const TURN = 7;

/** The winter rest of an enclosure, as it comes round each year. */
export interface Rest {
  readonly weeks: number;
  /** Here, in the enclosure; or apart, somewhere cooler. */
  readonly place: 'here' | 'apart';
  /** What it rests at, °C; of a species without a row of its own what its keeper plans for is not told. */
  readonly temperature: Range | null;
  /** Without food: before it, through it, and till it is warm again. */
  readonly fasts: PartOfYear;
  /** Cooled, resting and warmed up. */
  readonly cooled: PartOfYear;
}

/** The rest that is planned for a design; null: none. */
export function restOf(
  { brief, living }: Pick<Design, 'brief' | 'living'>,
  animal: Animal | undefined,
): Rest | null {
  const { rest } = living;
  if (!rest) return null;
  const days = 7 * rest.weeks;
  // What has come to live here within a rest does not begin it in the middle, unfed and not looked at: it waits for the next.
  const since = [rest.since, brief.stage === 'inhabited' ? brief.since : null].reduce(
    (a, b) => (a === null || (b !== null && b > a) ? b : a),
    null,
  );
  const first = since === null ? {} : { since };
  return {
    weeks: rest.weeks,
    place: rest.place,
    temperature: animal?.growing?.rest?.value.temperature ?? null,
    fasts: { from: shifted(rest.from, -FAST), days: FAST + days + TURN, ...first },
    // It is cooled only in a turn that it has fasted in.
    cooled: {
      from: rest.from,
      days: days + TURN,
      ...(since === null ? {} : { since: dayPlus(since, FAST) }),
    },
  };
}

/** K by which a room may be warmer than a rest in it: a floor by the window is cooler than the middle of the room. */
const CORNER = 1.5;

/** Whether a room of so many °C in winter, with everything off, lets an animal rest in it. */
export const letsRest = (room: number, temperature: Range): boolean => room <= temperature.high + CORNER;

/**
 * A rest as it is usually led: from the middle of autumn, as long as its species is given on the mean, here if the room lets it.
 * @param room °C of the room in winter
 */
export function usualRest(
  animal: Animal,
  latitude: number,
  room: number,
): NonNullable<Design['living']['rest']> {
  const row = animal.growing?.rest?.value;
  return {
    from: latitude >= 0 ? '11-15' : '05-15',
    weeks: row ? Math.round((row.weeks.low + row.weeks.high) / 2) : 10,
    place: row && !letsRest(room, row.temperature) ? 'apart' : 'here',
    since: null,
  };
}

/** The rest a proposal comes with: of those that fall ill without one. */
export const neededRest = (
  animal: Animal | undefined,
  latitude: number,
  room: number,
): Design['living']['rest'] =>
  animal?.growing?.rest?.value.need === 'needed' ? usualRest(animal, latitude, room) : null;

export type RestPhase = 'fasts' | 'cools' | 'rests' | 'wakes';

/** Where in its rest an animal is on a day, and till when; null: it is awake. */
export function restPhase(
  rest: Rest | null,
  day: string,
): { readonly phase: RestPhase; readonly until: string } | null {
  const fasting = rest && partOn(rest.fasts, day);
  if (!rest || !fasting) return null;
  const begins = dayPlus(fasting.from, FAST);
  const asleep = dayPlus(begins, TURN);
  const wakes = dayPlus(begins, 7 * rest.weeks);
  if (day < begins) return { phase: 'fasts', until: begins };
  if (day < asleep) return { phase: 'cools', until: asleep };
  if (day < wakes) return { phase: 'rests', until: wakes };
  return { phase: 'wakes', until: fasting.until };
}

const union = (a: Range, b: Range): Range => ({
  low: Math.min(a.low, b.low),
  high: Math.max(a.high, b.high),
});

/** K beyond what it rests at that do no harm (common practice: frost and an early spring both do). */
const BORNE_ASLEEP = 3;

/**
 * An animal at rest: what it wants of the air is what it rests at, day and night, with no basking and no UV; on the way there
 * and back anything from there up to what it wants awake. Its humidity stays.
 */
function restingAs(animal: Animal, temperature: Range, phase: 'cools' | 'rests' | 'wakes'): Animal {
  const { warm, humidityDay, humidityNight, uvZone, borne } = animal.climate;
  const all = { ...warm, value: phase === 'rests' ? temperature : union(temperature, warm.value) };
  return {
    ...animal,
    climate: {
      warm: all,
      cool: all,
      night: all,
      humidityDay,
      humidityNight,
      uvZone: { ...uvZone, value: 1 },
      borne: {
        basis: 'practice',
        value: {
          dry: 0.15,
          damp: 0.25,
          ...borne?.value,
          hot: BORNE_ASLEEP,
          warmNight: BORNE_ASLEEP,
          cold: BORNE_ASLEEP,
          coldNight: BORNE_ASLEEP,
        },
      },
    },
  };
}

/** `animalOn` by moments: asked for every reading, it looks the day up once an hour. */
export function animalThrough(design: Design, catalogue: Catalogue): (at: number) => Animal | undefined {
  const HOUR = 3_600_000;
  let hour = Number.NaN;
  let animal: Animal | undefined;
  return (at) => {
    const own = Math.floor(at / HOUR);
    if (own !== hour) {
      hour = own;
      animal = animalOn(design, catalogue, localDay(at));
    }
    return animal;
  };
}

const resting = new WeakMap<Animal, Map<string, Animal>>();

/**
 * The animal that is in an enclosure on a day, with what it wants then: of its age, and while it rests what it rests at.
 * Undefined where there is none, and while it rests somewhere else.
 */
export function animalOn(design: Design, catalogue: Catalogue, day: string): Animal | undefined {
  const row = findAnimal(catalogue, design.brief.animal);
  const animal = row && selfOf(row, design.living.company);
  if (!animal) return undefined;
  const rest = restOf(design, animal);
  const phase = restPhase(rest, day)?.phase ?? null;
  if (!rest?.temperature || phase === null || phase === 'fasts') return animal;
  if (phase === 'rests' && rest.place === 'apart') return undefined;
  const known = resting.get(animal) ?? new Map<string, Animal>();
  resting.set(animal, known);
  const found = known.get(phase) ?? restingAs(animal, rest.temperature, phase);
  known.set(phase, found);
  return found;
}
