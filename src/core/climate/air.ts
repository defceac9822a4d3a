/** Moist air. SI: °C, Pa, kg of water per kg of dry air. ASHRAE Handbook Fundamentals, ch. 1, unless said otherwise. */

import { KELVIN } from '../physics/constants';

/** Ratio of the molar masses of water and dry air. */
const WATER_TO_AIR = 0.621945;
/** Gas constant of dry air, J/kg K. */
const GAS = 287.042;
/** Sea level, Pa. */
export const STANDARD_PRESSURE = 101_325;

/**
 * Saturation vapour pressure, Pa, over water (over ice below 0 °C): Hyland & Wexler 1983, as ASHRAE prints it.
 * @param celsius −100 to 200
 */
export function saturation(celsius: number): number {
  const t = celsius + KELVIN;
  const ln =
    celsius < 0
      ? -5.6745359e3 / t +
        6.3925247 +
        t * (-9.677843e-3 + t * (6.2215701e-7 + t * (2.0747825e-9 + t * -9.484024e-13))) +
        4.1635019 * Math.log(t)
      : -5.8002206e3 / t +
        1.3914993 +
        t * (-4.8640239e-2 + t * (4.1764768e-5 + t * -1.4452093e-8)) +
        6.5459673 * Math.log(t);
  return Math.exp(ln);
}

/** Pressure of the air at a height above the sea, Pa; ASHRAE ch. 1, eq. 3. */
export const pressureAt = (metres: number): number =>
  STANDARD_PRESSURE * (1 - 2.25577e-5 * metres) ** 5.25588;

/** kg/kg at a vapour pressure, Pa. */
export const ratioOf = (vapour: number, pressure: number): number =>
  (WATER_TO_AIR * vapour) / (pressure - vapour);

/** Vapour pressure, Pa, at a humidity ratio. */
export const vapourOf = (ratio: number, pressure: number): number =>
  (pressure * ratio) / (WATER_TO_AIR + ratio);

/** kg/kg at saturation. */
export const saturated = (celsius: number, pressure: number): number =>
  ratioOf(saturation(celsius), pressure);

/** kg/kg at a relative humidity, 0 to 1. */
export const ratioAt = (celsius: number, relative: number, pressure: number): number =>
  ratioOf(relative * saturation(celsius), pressure);

/** Relative humidity, 0 up; above 1 where air holds more than it can. */
export const relativeAt = (celsius: number, ratio: number, pressure: number): number =>
  vapourOf(ratio, pressure) / saturation(celsius);

/** Temperature at which such air begins to leave water, °C; by bisection of the saturation curve. */
export function dewPoint(ratio: number, pressure: number): number {
  const vapour = vapourOf(ratio, pressure);
  return bisect(-100, 100, (t) => saturation(t) - vapour);
}

/** Temperature of a wet wick in a draught, °C; ASHRAE ch. 1, eq. 33 (35 below freezing). */
export function wetBulb(celsius: number, ratio: number, pressure: number): number {
  return bisect(-100, celsius, (wet) => {
    const full = saturated(wet, pressure);
    const at =
      wet >= 0
        ? ((2501 - 2.326 * wet) * full - 1.006 * (celsius - wet)) / (2501 + 1.86 * celsius - 4.186 * wet)
        : ((2830 - 0.24 * wet) * full - 1.006 * (celsius - wet)) / (2830 + 1.86 * celsius - 2.1 * wet);
    return at - ratio;
  });
}

/**
 * Saturated air at one pressure, kg/kg, by `saturated`, quick to read with its slope: a cubic through its values and
 * slopes at every kelvin (within 6e-7 of it; 1e-4 in the kelvin around freezing). Over 70 °C, where no box may come, it goes on straight: near boiling the
 * ratio has no end and then turns its sign, and a surface that a step threw there would stay there.
 */
export class SaturationCurve {
  private readonly values: Float64Array;
  /** At the start and at the end of each kelvin: at freezing the curve of ice ends and that of water begins. */
  private readonly starts: Float64Array;
  private readonly ends: Float64Array;
  /** kg/kg K where it was read last. */
  slope = 0;

  constructor(pressure: number) {
    const count = HOTTEST - COLDEST + 1;
    this.values = Float64Array.from({ length: count }, (_, i) => saturated(COLDEST + i, pressure));
    const d = 1e-3;
    const slope = (low: number, high: number): number =>
      (saturated(high, pressure) - saturated(low, pressure)) / (high - low);
    const at = (i: number): number => COLDEST + i;
    this.starts = Float64Array.from({ length: count }, (_, i) => {
      const t = at(i);
      return t === 0 ? slope(0, d) : slope(t - d, t + d);
    });
    this.ends = Float64Array.from({ length: count }, (_, i) => {
      const t = at(i);
      return t === 0 ? slope(-d, -1e-9) : slope(t - d, t + d);
    });
  }

  /** kg/kg at a temperature, °C; its slope is left in `slope`. */
  at(celsius: number): number {
    const { values, starts, ends } = this;
    const place = celsius - COLDEST;
    const last = values.length - 1;
    if (place >= last) {
      this.slope = ends[last]!;
      return values[last]! + (place - last) * this.slope;
    }
    if (place <= 0) {
      this.slope = 0;
      return values[0]!;
    }
    const i = Math.floor(place);
    const u = place - i;
    const v = 1 - u;
    const a = values[i]!;
    const b = values[i + 1]!;
    const sa = starts[i]!;
    const sb = ends[i + 1]!;
    this.slope = 6 * u * v * (b - a) + v * (1 - 3 * u) * sa + u * (3 * u - 2) * sb;
    return v * v * (1 + 2 * u) * a + u * u * (3 - 2 * u) * b + u * v * (v * sa - u * sb);
  }
}
const COLDEST = -40;
const HOTTEST = 70;

const curves = new Map<number, SaturationCurve>();
/** The curve of a pressure, made once for each. */
export function saturationCurve(pressure: number): SaturationCurve {
  let curve = curves.get(pressure);
  if (!curve) {
    if (curves.size > 60) curves.clear();
    curve = new SaturationCurve(pressure);
    curves.set(pressure, curve);
  }
  return curve;
}

/** Dry air in a volume of moist air, kg/m³. */
export const dryAirDensity = (celsius: number, ratio: number, pressure: number): number =>
  pressure / (GAS * (celsius + KELVIN) * (1 + 1.607858 * ratio));

/** kg/m³ of the moist air, vapour included. */
export const airDensity = (celsius: number, ratio: number, pressure: number): number =>
  dryAirDensity(celsius, ratio, pressure) * (1 + ratio);

/** Temperature, K, at which dry air would be as light: what buoyancy goes by. */
export const virtual = (celsius: number, ratio: number): number => (celsius + KELVIN) * (1 + 0.61 * ratio);

/** A root of a rising function, to 1e-9. */
function bisect(low: number, high: number, of: (x: number) => number): number {
  let [a, b] = [low, high];
  for (let i = 0; i < 60 && b - a > 1e-9; i += 1) {
    const middle = (a + b) / 2;
    if (of(middle) < 0) a = middle;
    else b = middle;
  }
  return (a + b) / 2;
}
