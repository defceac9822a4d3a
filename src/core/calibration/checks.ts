import type { Factors } from '../climate';
import { DAY, HOUR } from '../physics/constants';
import { along, type Trace } from '../readings';
import type { Played, Told } from './play';
import type { CalibrationInput, Errors, Probe, Quantity } from './types';

/** Why nothing can be fitted to readings, with what to do about it. */
export class UnfitRecord extends Error {}

/** Under it humidity is a share that was taken for per cent; K and share a record must range over; K and share of a probe that lay in the room. */
const [SHARE, STILL, STILL_DAMP, IN_ROOM, IN_ROOM_DAMP] = [0.02, 0.3, 0.02, 0.6, 0.03];
/** K of a daily rise by the lamps, and share of one by mist, that would show, and share of it that must. */
const [RISES, RISES_DAMP, SHOWN] = [2, 0.04, 0.2];
/** Over this a misting cannot make it much damper; and how many there must be to tell. */
const [DAMP, MISTINGS] = [0.9, 4];
/** Hours by which a clock is set right, and from which on nobody can say which of two is wrong. */
const [SETS, CLOCK] = [0.75, 2.5];
/** Of the squares of what is off no more may be left when a clock is set right. */
const LEFT = 0.6;
/** Beyond this no enclosure of the kind is told rightly: K and share of humidity by root mean square, once it is fitted. */
const [TOO_FAR, TOO_FAR_DAMP] = [2.5, 0.16];
/** K and share of humidity that weigh alike. */
const ALIKE: Readonly<Record<Quantity, number>> = { temperature: 0.7, humidity: 0.03 };

const mean = (all: readonly number[]): number =>
  all.reduce((sum, it) => sum + it, 0) / Math.max(1, all.length);
const rangeOf = (all: readonly number[]): number =>
  all.reduce((a, b) => Math.max(a, b), -Infinity) - all.reduce((a, b) => Math.min(a, b), Infinity);
const spanOf = ({ t }: Trace): number => (t.at(-1) ?? 0) - (t[0] ?? 0);

/**
 * Refuses probes that tell nothing of the box, before anything is fitted to them.
 * @throws UnfitRecord
 */
export function checkProbes(probes: readonly Probe[], room: CalibrationInput['room']): void {
  const traces = probes.flatMap((it) => [it.temperature, it.humidity].filter((own) => own !== null));
  if (!traces.some((it) => spanOf(it) >= DAY))
    throw new UnfitRecord('a record of at least one whole day is needed');
  for (const probe of probes) {
    const { name, temperature, humidity } = probe;
    if (humidity?.value.every((it) => it < SHARE))
      throw new UnfitRecord(
        `the humidity of “${name}” never passes 2 %: the file holds shares where per cent were expected. Multiply that column by 100`,
      );
    if (
      (temperature === null || rangeOf(temperature.value) < STILL) &&
      (humidity === null || rangeOf(humidity.value) < STILL_DAMP)
    )
      throw new UnfitRecord(
        `the readings of “${name}” never change: the probe is stuck, or the file was not logged. Breathe on the probe and see whether it moves`,
      );
    if (liesIn(room, probe))
      throw new UnfitRecord(
        `“${name}” reads what the room does: the logger lay in the room, or one file was given twice. Lay it into the enclosure`,
      );
  }
}

/** Whether a probe reads what the room reads, in all that both read. */
function liesIn(room: CalibrationInput['room'], probe: Probe): boolean {
  const gaps = (['temperature', 'humidity'] as const).flatMap((quantity) => {
    const [own, other] = [probe[quantity], room[quantity]];
    if (!own || !other) return [];
    const at = along(other);
    const both = own.t.flatMap((t, i) => {
      const value = at(t);
      return value === null ? [] : [((own.value[i] ?? 0) - value) ** 2];
    });
    const most = quantity === 'temperature' ? IN_ROOM : IN_ROOM_DAMP;
    return both.length > own.t.length / 2 ? [Math.sqrt(mean(both)) < most] : [];
  });
  // Air a little warmer than the room is told from it by its humidity alone, and the other way round.
  return gaps.length > 1 && gaps.every(Boolean);
}

/** Quarters of an hour of a day. */
const BINS = 96;

/** Mean course of a day by the quarter of an hour, read off straight lines; null where nothing was read. */
function dayOf(t: readonly number[], value: readonly number[]): readonly (number | null)[] {
  const sums = new Float64Array(BINS);
  const counts = new Float64Array(BINS);
  const at = along({ t, value });
  const width = DAY / BINS;
  for (let from = Math.ceil((t[0] ?? 0) / width) * width; from <= (t.at(-1) ?? 0); from += width) {
    const own = at(from);
    if (own === null) continue;
    const bin = Math.floor(((((from % DAY) + DAY) % DAY) + 1) / width) % BINS;
    sums[bin] = (sums[bin] ?? 0) + own;
    counts[bin] = (counts[bin] ?? 0) + 1;
  }
  return Array.from(sums, (sum, i) => ((counts[i] ?? 0) > 0 ? sum / (counts[i] ?? 1) : null));
}

/**
 * Hours by which the clock of the readings is late, told by what lamps and mist do in the course of the day.
 * @param played what the drawn box would have read
 * @returns 0 where it goes right, or as right as can be told
 * @throws UnfitRecord where the two clocks are too far apart to say which is wrong
 */
export function checkClock(told: readonly Told[], played: Played): number {
  const pairs = told.map(({ quantity, trace }, k) => ({
    unit: ALIKE[quantity],
    seen: dayOf(trace.t, trace.value),
    due: dayOf(trace.t, played[k] ?? []),
  }));
  const moved = pairs.map(({ due, unit }) => rangeOf(due.filter((it) => it !== null)) / unit);
  if (!moved.some((it) => it * ALIKE.temperature >= RISES)) return 0;
  const off = (bins: number): number =>
    mean(
      pairs.flatMap(({ seen, due, unit }) => {
        const gaps = seen.flatMap((value, i) => {
          const other = due[(i - bins + BINS) % BINS];
          return value === null || other === null || other === undefined ? [] : [(value - other) / unit];
        });
        const level = mean(gaps);
        return gaps.map((it) => (it - level) ** 2);
      }),
    );
  let best = 0;
  for (let bins = -24; bins <= 24; bins += 1) if (off(bins) < off(best)) best = bins;
  const hours = (best * 24) / BINS;
  if (Math.abs(hours) < SETS || off(best) > LEFT * off(0)) return 0;
  if (Math.abs(hours) < CLOCK) return hours;
  throw new UnfitRecord(
    `its days come ${Math.abs(hours)} h ${hours > 0 ? 'later' : 'earlier'} than the lamps are set: one of the two clocks is wrong. Set it right, or the hours of the lamps`,
  );
}

/**
 * Refuses readings in which lamps or mist leave no trace, by what the drawn box would have read.
 * @param light s of the day between which it is light
 * @param mistings s from the start
 * @throws UnfitRecord
 */
export function checkTraces(
  told: readonly Told[],
  played: Played,
  light: { readonly from: number; readonly to: number },
  mistings: readonly number[],
): void {
  const isDay = (at: number): boolean => at % DAY >= light.from && at % DAY < light.to;
  const rise = (t: readonly number[], values: readonly number[]): number =>
    mean(values.filter((_, i) => isDay(t[i] ?? 0))) - mean(values.filter((_, i) => !isDay(t[i] ?? 0)));
  told.forEach(({ name, quantity, trace: { t, value } }, k) => {
    const calculated = played[k] ?? [];
    if (quantity === 'temperature') {
      const due = rise(t, calculated);
      if (due >= RISES && rise(t, value) < SHOWN * due)
        throw new UnfitRecord(
          `the lamps leave no trace in “${name}”: it is of another enclosure, lay in the room, or the lamps were off. Log this one with its lamps as they are set`,
        );
      return;
    }
    const rises = mistings.flatMap((at) => {
      const around = (values: readonly number[], from: number, to: number): number | null => {
        const own = values.filter((_, i) => (t[i] ?? 0) >= at + from && (t[i] ?? 0) < at + to);
        return own.length > 0 ? mean(own) : null;
      };
      const by = (values: readonly number[]): number | null => {
        const [early, late] = [around(values, -1.25 * HOUR, -HOUR / 4), around(values, HOUR / 4, 2 * HOUR)];
        return early === null || late === null || early > DAMP ? null : late - early;
      };
      const [due, seen] = [by(calculated), by(value)];
      return due === null || seen === null ? [] : [{ due, seen }];
    });
    const due = mean(rises.map((it) => it.due));
    if (rises.length >= MISTINGS && due >= RISES_DAMP && mean(rises.map((it) => it.seen)) < SHOWN * due)
      throw new UnfitRecord(
        `its mistings leave no trace in “${name}”: it is of another enclosure, or it was not misted at the times that are set. Set the times of its mist as they are`,
      );
  });
}

/** Times more or less than drawn that a factor comes to in a box that is drawn at all rightly (common practice). */
const FAR_FROM_DRAWN = 3;
/** Share of humidity that a fit may leave which had to go further than that. */
const LEFT_BY_FAR = 0.1;

/**
 * Refuses what was fitted and still lies far off, and what lies off although it was bent beyond what any box as drawn is.
 * @throws UnfitRecord
 */
export function checkFit({ temperature, humidity }: Errors, factors: Factors): void {
  const bent = Object.values(factors).some((it) => it > FAR_FROM_DRAWN || it < 1 / FAR_FROM_DRAWN);
  const most = bent ? LEFT_BY_FAR : TOO_FAR_DAMP;
  if ((temperature ?? 0) <= TOO_FAR && (humidity ?? 0) <= most) return;
  throw new UnfitRecord(
    'no leak, wetness or heat makes the enclosure as it is drawn read that: it is of another one, something in it is not drawn, or something was wrong in those days. See Troubleshoot, and give a stretch in which nothing was',
  );
}
