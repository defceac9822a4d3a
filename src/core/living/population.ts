import { seededRandom } from '../random';
import type { CrewKind } from '../catalogue';
import { chainOf, immature, moistAt, paceAt } from './chain';
import { LEAF_DENSITY, warmed } from './litter';

/** Where a crew lives, and what it gets. Floor in m², food in kg dry a day. */
export interface CrewHome {
  readonly floor: number;
  /** °C of the soil by month of the year, January first; and water in it as a share of the pores. */
  readonly temperature: readonly number[];
  readonly wetness: number;
  /** Depth of soil and litter it can use, m. */
  readonly depth: number;
  /** Shelter of litter, bark and stones, 0 to 1. */
  readonly shelter: number;
  /** Litter kept on the floor, m; its kind's k. */
  readonly litter: number;
  readonly litterK: number;
  /** Droppings and leftovers that are left lying, and dry food put down. */
  readonly waste: number;
  readonly supplement: number;
  /** 0 closed and still, 1 well aired. */
  readonly air: number;
  readonly hunters: readonly Hunters[];
  /** What of room and of each food falls to it where others live of the same, 0 to 1; absent: all of it. */
  readonly part?: HomePart;
}

export interface HomePart {
  readonly room: number;
  readonly litter: number;
  readonly waste: number;
  readonly mould: number;
}

/** Animals that eat crew. */
export interface Hunters {
  /** Days the crew has to itself before they come. */
  readonly quiet: number;
  /** They go into litter and soil as well: nothing lies hidden from them. */
  readonly indoors: boolean;
  readonly count: number;
  /** Most that one of them eats of it in a day, kg live. */
  readonly appetite: number;
  /** m² of floor whose crew, as far as it lies open, one of them clears in a day. */
  readonly searches: number;
  /** m, of the longest prey it takes. */
  readonly largest: number;
}

/** How gladly prey of a size is taken: what is tiny for the hunter it leaves alone (from memory). */
const taste = (size: number, largest: number): number =>
  size > largest ? 0 : Math.min(1, Math.max(0, (size / largest - 0.05) / 0.2));

/** Month 0: the day the crew is let in. */
export interface CrewRun {
  /** Days from the start, and on each: eggs, hatched young, pupae among them, adults. */
  readonly day: readonly number[];
  readonly eggs: readonly number[];
  readonly young: readonly number[];
  readonly pupae: readonly number[];
  readonly adults: readonly number[];
  /** First day from which on it stands by itself: near what it comes to, and that no less than was let in; or null. */
  readonly stands: number | null;
  /** First day with fewer than two adults and none to come, or null. */
  readonly gone: number | null;
  /** Adults the place carries, and what holds them to it. */
  readonly carryingCapacity: number;
  readonly limit: CrewLimit;
  /** kg of litter and of other food taken in all, and adults eaten. */
  readonly litterEaten: number;
  readonly wasteEaten: number;
  readonly eaten: number;
  /** Hatched young that were eaten besides: of a beetle its larvae. */
  readonly youngEaten: number;
}

export type CrewLimit = 'room' | 'food' | 'others' | 'moisture' | 'warmth' | 'depth' | 'air';

/** Food that grows on a m² of moist litter, kg dry a day: mould and bacteria (from memory). */
const MOULD = 0.0004;
/** How much of a kind is met by what hunts in the litter, by where it lives (common practice). */
const UNDERGROUND: Readonly<Record<CrewKind['habit']['value'], number>> = {
  surface: 1,
  litter: 1,
  wood: 0.5,
  soil: 0.15,
};
const ALL: HomePart = { room: 1, litter: 1, waste: 1, mould: 1 };
/** It is the others that limit a kind that would come to so much more without them. */
const CROWDED = 1.4;
/** Share of the litter's own decay that crew can take. */
const TAKES = 0.6;

const meanOf = (all: readonly number[]): number =>
  all.reduce((sum, it) => sum + it, 0) / Math.max(1, all.length);

/** kg dry of food a day that this kind finds, by its diet. */
export function foodFor(kind: CrewKind, home: CrewHome): { litter: number; waste: number; mould: number } {
  const { litter, waste, mould } = kind.diet.value;
  const part = home.part ?? ALL;
  const stands = home.litter * home.floor * LEAF_DENSITY;
  const rots = (stands * warmed(home.litterK, meanOf(home.temperature))) / 365;
  // Crew hastens decay: what it eats itself comes on top of what rots.
  return {
    litter: litter > 0 ? part.litter * rots * (TAKES + 1.5 * litter) : 0,
    waste: part.waste * (home.waste + home.supplement) * Math.min(1, waste * 2),
    mould: mould > 0 ? part.mould * MOULD * home.floor * mould * Math.min(1, home.litter / 0.01 + 0.2) : 0,
  };
}

/** Adults that a place carries: the least of what room and food allow, after moisture, depth and air. */
export function carryingCapacity(
  kind: CrewKind,
  home: CrewHome,
): { readonly adults: number; readonly limit: CrewLimit } {
  const eats = kind.eats.value * kind.mass.value;
  const food = foodFor(kind, home);
  const fed = (food.litter + food.waste + food.mould) / Math.max(1e-12, eats * 1.6);
  const room = (home.part ?? ALL).room * kind.crowd.value * home.floor * (0.35 + 0.65 * home.shelter);
  const moist = moistAt(home.wetness, kind.wetness.value);
  const deep = Math.min(1, home.depth / kind.depth.value);
  const air = kind.air ? 0.4 + 0.6 * home.air : 1;
  const warm = Math.max(...home.temperature.map((it) => paceAt(it, kind.temperature.value)));
  const single: [CrewLimit, number][] = [
    ['moisture', moist],
    ['depth', deep],
    ['air', air],
    ['warmth', Math.min(1, warm * 2)],
  ];
  const [worst, share] = single.reduce((a, b) => (b[1] < a[1] ? b : a));
  const most = Math.min(fed, room);
  const isCrowded = (): boolean => {
    if (!home.part || home.part === ALL) return false;
    return carryingCapacity(kind, { ...home, part: ALL }).adults > CROWDED * most * share;
  };
  return {
    adults: most * share,
    limit: share < 0.6 ? worst : isCrowded() ? 'others' : fed < room ? 'food' : 'room',
  };
}

export interface CrewInput {
  readonly kind: CrewKind;
  readonly home: CrewHome;
  /** Adults let in, and young of an age in days since they hatched. */
  readonly start: number;
  readonly young?: { readonly count: number; readonly days: number };
  /** Days between two records. */
  readonly every?: number;
  readonly months: number;
  /** Month of the year it begins in, 0 to 11. */
  readonly from?: number;
  /** Draws numbers between 0 and 1 for a sampled year; null: the expected course. */
  readonly random?: (() => number) | null;
}

const DAY_OF_MONTH = 30.44;
/** Births in a full place, times those that replace its dead (from memory): how soon it fills again. */
const SURPLUS = 5;

/**
 * The population day by day. Eggs and young pass through their days at the pace of the temperature; births lessen as
 * adults fill the place (Beverton and Holt's form, of adults alone), which holds no more of them than it carries; what
 * lies open is eaten by Holling's type II. Each
 * step keeps order: with more of any age today, or with fewer hunters, there are never fewer of any age tomorrow.
 */
export function runCrew({
  kind,
  home,
  start,
  young,
  months,
  from = 0,
  every = 10,
  random = null,
}: CrewInput): CrewRun {
  const chain = chainOf(kind);
  const classes = Math.max(1, immature(chain));
  const { adults: most, limit } = carryingCapacity(kind, home);
  // Everybody young shares the same odds of a day: one factor is kept for all, and each class is stored without it, so
  // that a day costs the same however many days of age there are.
  const ages = new Float64Array(classes);
  let factor = 1;
  let head = 0;
  let eggs = 0;
  let hatched = 0;
  let pupae = 0;
  // Those that have so many days left before they are adults are pupae.
  const pupaDays = Math.min(kind.pupates?.value.days ?? 0, classes - Math.min(classes, chain.eggDays));
  const eggDays = Math.min(classes, chain.eggDays);
  if (young) {
    const at = Math.min(classes - 1, eggDays + young.days);
    ages[(head - at + classes) % classes] = young.count;
    hatched = young.count;
    if (at >= classes - pupaDays) pupae = young.count;
  }
  let adults = start;
  let phase = 0;
  const days = Math.round(months * DAY_OF_MONTH);
  const outDay: number[] = [];
  const outEggs: number[] = [];
  const outYoung: number[] = [];
  const outPupae: number[] = [];
  const outAdults: number[] = [];
  const moist = moistAt(home.wetness, kind.wetness.value);
  // Births that just replace a full place, and the most that come about in it: some times as many, of which what finds no
  // room is lost.
  const fresh = chain.youngKeep ** immature(chain);
  const replaces = (most * (1 - chain.adultKeep)) / Math.max(1e-12, fresh);
  const mostBirths = replaces * SURPLUS;
  const hunted = home.hunters.flatMap((it) => {
    const likes = taste(kind.size.value, it.largest);
    if (likes === 0) return [];
    // From what comes into the litter neither it nor bark hides much; soil does.
    const met = it.indoors
      ? UNDERGROUND[kind.habit.value] * (1 - 0.4 * home.shelter)
      : kind.exposed.value * (1 - 0.8 * home.shelter);
    return [
      {
        count: it.count,
        quiet: it.quiet,
        handling: kind.mass.value / Math.max(1e-9, it.appetite),
        attack: (it.searches / Math.max(0.01, home.floor)) * likes * met,
      },
    ];
  });
  const { low, high } = kind.temperature.value;
  let gone: number | null = null;
  let eaten = 0;
  let youngEaten = 0;
  let weather = { warm: 0, births: 1 };
  let keepsYoung = 1;
  let keepsAdult = 1;
  let pace = 0;
  let before = NaN;
  for (let day = 0; day <= days; day += 1) {
    if (day % every === 0 || day === days) {
      outDay.push(day);
      outEggs.push(eggs);
      outYoung.push(hatched);
      outPupae.push(pupae);
      outAdults.push(adults);
    }
    const month = Math.floor(from + day / DAY_OF_MONTH) % 12;
    if (random && day % 30 === 0) {
      // A warmer or colder month, and better or worse breeding.
      weather = {
        warm: (random() + random() + random() - 1.5) * 3,
        births: Math.exp((random() + random() - 1) * 0.8),
      };
    }
    const temperature = (home.temperature[month] ?? 20) + weather.warm;
    if (temperature !== before) {
      before = temperature;
      pace = paceAt(temperature, kind.temperature.value);
      const harsh = temperature <= low - 4 || temperature >= high + 2 ? 0.9 : temperature >= high ? 0.97 : 1;
      const odds = harsh * (0.97 + 0.03 * moist);
      keepsYoung = chain.youngKeep ** Math.max(0.25, pace) * odds;
      keepsAdult = chain.adultKeep ** Math.max(0.25, pace) * odds;
    }
    const could = chain.bears * weather.births * pace * adults;
    const births = mostBirths > 0 ? could / (1 + could / mostBirths) : 0;
    let escapesYoung = 1;
    let escapesAdult = 1;
    for (const { count, quiet, handling, attack } of hunted) {
      if (day < quiet) continue;
      const met = 0.5 * (eggs + hatched) + adults;
      const taken = (attack * count) / (1 + attack * handling * met);
      escapesYoung *= Math.exp(-taken * 0.5);
      escapesAdult *= Math.exp(-taken);
    }
    eaten += adults * (1 - escapesAdult);
    // What lies as a pupa in the soil is not met.
    youngEaten += (hatched - pupae) * (1 - escapesYoung);
    adults *= keepsAdult * escapesAdult;
    const keeps = keepsYoung * escapesYoung;
    factor *= keeps;
    eggs *= keeps;
    hatched *= keeps;
    pupae *= keeps;
    // Days of age pass at the pace of the warmth: whole classes at a time, so that nobody matures early.
    phase += pace;
    while (phase >= 1) {
      phase -= 1;
      head = (head + 1) % classes;
      const matured = (ages[head] ?? 0) * factor;
      adults += matured;
      if (eggDays < classes) hatched -= matured;
      else eggs -= matured;
      if (pupaDays > 0) {
        pupae -= matured;
        pupae += (ages[(head + pupaDays) % classes] ?? 0) * factor;
      }
      ages[head] = 0;
      if (eggDays > 0 && eggDays < classes) {
        const out = (ages[(head - eggDays + classes) % classes] ?? 0) * factor;
        eggs -= out;
        hatched += out;
      }
    }
    // What the place does not carry starves or leaves it.
    adults = Math.min(adults, most);
    ages[head] = (ages[head] ?? 0) + births / factor;
    if (eggDays > 0) eggs += births;
    else hatched += births;
    eggs = Math.max(0, eggs);
    hatched = Math.max(0, hatched);
    pupae = Math.max(0, Math.min(hatched, pupae));
    if (factor < 1e-150) {
      for (let i = 0; i < classes; i += 1) ages[i] = (ages[i] ?? 0) * factor;
      factor = 1;
    }
    if (random && adults < 12 && adults > 0) adults = few(adults, random);
    if (gone === null && day > 30 && adults < 2 && eggs + hatched < 2) gone = day;
  }
  const ends = outAdults.at(-1) ?? 0;
  const near = Math.min(most * 0.5, ends * 0.8);
  const index =
    ends >= Math.max(2, start) ? outAdults.findIndex((it, i) => i > 0 && it >= Math.max(start, near)) : -1;
  const stands = index < 0 ? null : (outDay[index] ?? null);
  const food = foodFor(kind, home);
  const total = food.litter + food.waste + food.mould;
  const meanAdults = meanOf(outAdults);
  const wants = meanAdults * kind.mass.value * kind.eats.value * 1.6 * days;
  const gets = Math.min(wants, total * days);
  return {
    day: outDay,
    eggs: outEggs,
    young: outYoung,
    pupae: outPupae,
    adults: outAdults,
    stands,
    gone,
    carryingCapacity: most,
    limit,
    litterEaten: total > 0 ? (gets * food.litter) / total : 0,
    wasteEaten: total > 0 ? (gets * food.waste) / total : 0,
    eaten,
    youngEaten,
  };
}

/** So few that chance decides: a whole number near what is expected. */
function few(expected: number, random: () => number): number {
  const whole = Math.floor(expected);
  return whole + (random() < expected - whole ? 1 : 0);
}

export interface CrewRisk {
  /** Share of sampled courses in which it died out within the time. */
  readonly collapse: number;
  /** Days until half of the courses stood, and a tenth and nine tenths of the adults at the end. */
  readonly stands: number | null;
  readonly low: number;
  readonly high: number;
}

/** Many sampled courses of one crew. */
export function sampleCrew(asked: Omit<CrewInput, 'random'>, count: number, seed = 1): CrewRisk {
  const ends: number[] = [];
  const stood: number[] = [];
  let collapsed = 0;
  for (let i = 0; i < count; i += 1) {
    const run = runCrew({ ...asked, random: seededRandom(seed * 1000 + i) });
    if (run.gone !== null) collapsed += 1;
    if (run.stands !== null) stood.push(run.stands);
    ends.push(run.adults.at(-1) ?? 0);
  }
  ends.sort((a, b) => a - b);
  stood.sort((a, b) => a - b);
  const at = (part: number): number => ends[Math.min(ends.length - 1, Math.floor(part * ends.length))] ?? 0;
  return {
    collapse: collapsed / Math.max(1, count),
    stands: stood.length * 2 >= count ? (stood[Math.floor(stood.length / 2)] ?? null) : null,
    low: at(0.1),
    high: at(0.9),
  };
}
