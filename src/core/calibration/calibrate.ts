import type { Catalogue } from '../catalogue';
import { DAY, HOUR } from '../physics/constants';
import type { Trace } from '../readings';
import { checkClock, checkFit, checkProbes, checkTraces, UnfitRecord } from './checks';
import { playerOf, toldBy, type Played, type Point, type Told } from './play';
import { leastSquares } from './search';
import type { CalibrationInput, Errors, Fit, Quantity } from './types';

/** K and share of humidity by which a model that is right still misses a reading. */
const MISSES: Readonly<Record<Quantity, number>> = { temperature: 0.7, humidity: 0.03 };
/** Hours after which one reading tells something new beside the one before; share of a day that the next tells anew. */
const [NEW, ANEW] = [3, 0.15];
/** Misses over which one more counts no longer by its square: a lid that was open, a hand on the probe. */
const ODD = 2.5;
/**
 * How far each lies from what is drawn among enclosures that are drawn as they are (estimated): logarithms of exchange,
 * wetness and gain, K of a room that was not read, logarithm of its vapour; and how far each is moved to see what it does.
 */
const SPREAD = [0.7, 0.8, 0.35, 1.5, 0.25] as const;
const STEP = [0.06, 0.06, 0.06, 0.2, 0.06] as const;
/** How often the days are played at the most. */
const MOST = 30;
/** Hours with readings that there must be to fit to. */
const LEAST_FITTED = 12;
/** h after a misting in which it shows. */
const SHOWS = 2;

/**
 * Fits exchange, wetness and gain to what probes of an enclosure read, by damped least squares. Of the days two thirds are
 * fitted to; the last third only judges.
 * @throws UnfitRecord where the readings tell nothing of this enclosure, with why
 */
export function calibrate(
  given: CalibrationInput,
  catalogue: Catalogue,
  onProgress: (share: number) => void = () => undefined,
): Fit {
  checkProbes(given.probes, given.room);
  const first = playerOf(given, toldBy(given.probes), catalogue);
  const origin: Point = [0, 0, 0, 0, 0];
  const light = first.drawn.plan(0).day[0] ?? { from: 0, to: DAY / 2 };
  const clock = checkClock(toldBy(given.probes), first.play(origin));
  const asked = clock === 0 ? given : shifted(given, clock * HOUR);
  const told = toldBy(asked.probes);
  const { drawn, play } = clock === 0 ? first : playerOf(asked, told, catalogue);
  const days = Math.ceil(Math.max(...told.map(({ trace }) => trace.t.at(-1) ?? 0)) / DAY);
  const mistings = Array.from({ length: days }, (_, day) =>
    drawn
      .plan(day)
      .wetters.flatMap((windows, i) =>
        drawn.box.wetters[i]?.jug ? [] : windows.map((it) => day * DAY + it.from),
      ),
  ).flat();
  const begins = Math.min(...told.map(({ trace }) => trace.t[0] ?? Infinity));
  const ends = Math.max(...told.map(({ trace }) => trace.t.at(-1) ?? 0));
  // The last third of what was read, not of the days it lies in: of a short record nothing would be left to judge by.
  const third = begins + ((ends - begins) * 2) / 3;
  const heldFrom = ends - begins >= 3 * DAY ? Math.floor(third / DAY + 0.1) * DAY : third;
  const fitted = (t: number): boolean => t < heldFrom;
  const held = (t: number): boolean => t >= heldFrom;

  if (Math.max(...told.map(({ trace }) => hoursOf(trace, fitted))) < LEAST_FITTED)
    throw new UnfitRecord(
      'in the first two thirds of the record next to nothing was read, so there is nothing to fit to. Give a stretch whose days hang together',
    );
  // What a model has wrong it has wrong alike every day: ten days do not tell ten times as much as one.
  const worthOf = told.map(({ trace }) => {
    const hours = hoursOf(trace, fitted);
    const anew = Math.min(hours, 24) + ANEW * Math.max(0, hours - 24);
    return Math.min(trace.t.filter(fitted).length, anew / NEW);
  });
  const weights = told.map(({ trace }, k) =>
    Math.sqrt((worthOf[k] ?? 0) / Math.max(1, trace.t.filter(fitted).length)),
  );
  const residuals = (played: Played): readonly number[] =>
    told.flatMap(({ quantity, trace }, k) =>
      trace.t.flatMap((t, i) =>
        fitted(t)
          ? [(weights[k] ?? 0) * lessOdd(((played[k]?.[i] ?? 0) - (trace.value[i] ?? 0)) / MISSES[quantity])]
          : [],
      ),
    );
  const sought = [0, 1, 2, ...(asked.room.temperature ? [] : [3]), ...(asked.room.humidity ? [] : [4])];
  const pointOf = (found: readonly number[]): Point =>
    origin.map((_, i) => (sought.includes(i) ? (found[sought.indexOf(i)] ?? 0) : 0)) as unknown as Point;

  const before = play(origin);
  checkTraces(told, before, light, mistings);
  const { point, made, slopes, covariance } = leastSquares({
    spread: sought.map((i) => SPREAD[i] ?? 1),
    step: sought.map((i) => STEP[i] ?? 0.05),
    make: (it) => play(pointOf(it)),
    residuals,
    worth: worthOf.reduce((sum, it) => sum + it, 0),
    most: MOST,
    onMade: (count) => onProgress(Math.min(1, count / MOST)),
  });
  onProgress(1);
  const after = errors(told, made, () => true);
  const [exchange, wetness, gain, warmer, vapour] = pointOf(point);
  checkFit(after, { exchange, wetness, gain });
  const interval = (i: number): readonly [number, number] => {
    const sd = Math.sqrt(Math.max(0, covariance.get(i, i)));
    return [Math.exp((point[i] ?? 0) - 1.96 * sd), Math.exp((point[i] ?? 0) + 1.96 * sd)];
  };
  const misted = (t: number): boolean => held(t) && mistings.some((at) => t >= at && t < at + SHOWS * HOUR);
  return {
    factors: { exchange: Math.exp(exchange), wetness: Math.exp(wetness), gain: Math.exp(gain) },
    intervals: { exchange: interval(0), wetness: interval(1), gain: interval(2) },
    room: {
      warmer: sought.includes(3) ? warmer : null,
      vapour: sought.includes(4) ? Math.exp(vapour) : null,
    },
    clock,
    before: errors(told, before, () => true),
    after,
    left: errors(told, made, held),
    leftOf: asked.probes.map(({ name }) => ({
      name,
      ...errors(
        told.filter((it) => it.name === name),
        made.filter((_, k) => told[k]?.name === name),
        held,
      ),
    })),
    leftAtMist: errors(told, made, misted).humidity,
    fittedDays: Math.max(...told.map(({ trace }) => hoursOf(trace, fitted))) / 24,
    heldDays: Math.max(...told.map(({ trace }) => hoursOf(trace, held))) / 24,
    apart: tellsApart(slopes.transpose().mmul(slopes).to2DArray()),
    shown: told.map(({ name, quantity, trace }, k) => ({
      name,
      quantity,
      t: trace.t,
      read: trace.value,
      before: before[k] ?? [],
      after: made[k] ?? [],
    })),
    heldFrom,
  };
}

/** A miss as it counts: by its square while it is usual, by its size beyond (Huber 1964, smoothed). */
const lessOdd = (miss: number): number =>
  Math.sign(miss) * ODD * Math.sqrt(2 * (Math.sqrt(1 + (miss / ODD) ** 2) - 1));

/** Hours in which something was read. */
const hoursOf = ({ t }: Trace, used: (t: number) => boolean): number =>
  new Set(t.filter(used).map((at) => Math.floor(at / HOUR))).size;

/** Readings whose clock was late by so many s, by the clock of the lamps. */
function shifted(asked: CalibrationInput, by: number): CalibrationInput {
  const early = <T extends Trace | null>(trace: T): T =>
    trace === null ? trace : { ...trace, t: trace.t.map((it) => it - by), value: trace.value };
  return {
    ...asked,
    probes: asked.probes.map((it) => ({
      ...it,
      temperature: early(it.temperature),
      humidity: early(it.humidity),
    })),
    room: { temperature: early(asked.room.temperature), humidity: early(asked.room.humidity) },
  };
}

/** Root mean square of what is left, over all traces of a kind. */
function errors(told: readonly Told[], played: Played, used: (t: number) => boolean): Errors {
  const of = (quantity: Quantity): number | null => {
    let [sum, count] = [0, 0];
    told.forEach(({ quantity: own, trace }, k) => {
      if (own !== quantity) return;
      trace.t.forEach((t, i) => {
        if (!used(t)) return;
        sum += ((played[k]?.[i] ?? 0) - (trace.value[i] ?? 0)) ** 2;
        count += 1;
      });
    });
    return count === 0 ? null : Math.sqrt(sum / count);
  };
  return { temperature: of('temperature'), humidity: of('humidity') };
}

/** Steady humidity fixes only the ratio of wetness to exchange: their columns are then nearly one. */
function tellsApart(normal: readonly (readonly number[])[]): boolean {
  const [a, b, cross] = [normal[0]?.[0] ?? 0, normal[1]?.[1] ?? 0, normal[0]?.[1] ?? 0];
  return a > 0 && b > 0 && Math.abs(cross) / Math.sqrt(a * b) < 0.985;
}
