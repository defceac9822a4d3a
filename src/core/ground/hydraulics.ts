import { KELVIN_HUMIDITY } from '../physics/constants';
import type { Blend } from './water';

/**
 * How a blend holds and passes water, as tables over its water content θ. Water moves by q = K(θ)·(∂ψ/∂z + 1)
 * (Darcy–Buckingham), ψ = −suction. Suctions m of water, conductivities m/s.
 *
 * K by Mualem 1976 (Water Resour. Res. 12: 513) from the blend's own curve, whatever its shape, as Durner 1994 (Water
 * Resour. Res. 30: 211) does for superposed curves: K = Ks·√Se·[∫₀^Se dS/h / ∫₀¹ dS/h]².
 * Ks from what drains at a third of a bar: 764.5·φe^3.29 cm/h (Ahuja, Nofziger, Swartzendruber & Ross 1989, Soil Sci.
 * 148: 404); fibres and barks lie outside its soils, so it is good to a factor of a few there.
 */
export interface Hydraulics {
  /** m³/m³ when full, and what no suction of nature takes out. */
  readonly porosity: number;
  readonly residual: number;
  /** m/s when full. */
  readonly saturated: number;
  /** θ of the first entry, 1/step between two, and how many there are. */
  readonly first: number;
  readonly perStep: number;
  readonly last: number;
  /** At each θ: suction, m; conductivity, m/s; ∫K over all greater suctions, m²/s; humidity of its air, 0 to 1. */
  readonly suction: Float64Array;
  readonly conductivity: Float64Array;
  readonly potential: Float64Array;
  readonly humidity: Float64Array;
  /** Conductivity by the logarithm of suction, for what lies next to another soil: first, per step, values. */
  readonly bySuction: { readonly first: number; readonly perStep: number; readonly values: Float64Array };
}

/** Entries of the tables over θ. */
const ENTRIES = 400;
/** Suctions looked at, m: from a film of air's thickness to oven dry, so many a decade. */
const DECADES = { from: -10, to: 5, each: 20 } as const;
/** m³/m³ of the largest pores that empty evenly (numerical). */
const LAST_PORES = 0.03;
/** m of pressure for the square of each m³/m³ more than full: flooded a hand deep it stands a twentieth over full (numerical). */
const PRESSES = 30;

const tables = new WeakMap<Blend, Hydraulics>();

/** Tables of a blend; made once for each. */
export function hydraulicsOf(blend: Blend): Hydraulics {
  let made = tables.get(blend);
  if (!made) {
    made = makeHydraulics(blend);
    tables.set(blend, made);
  }
  return made;
}

/** Saturated conductivity, m/s, from the pores that drain at 0.33 bar: Ahuja et al. 1989. */
export const saturatedConductivity = (blend: Blend): number =>
  (764.5 * Math.max(0.01, blend.porosity - blend.held(336)) ** 3.29) / 100 / 3600;

/** @param saturated m/s, where it was measured; else from the blend's own pores */
export function makeHydraulics(blend: Blend, saturated = saturatedConductivity(blend)): Hydraulics {
  const { from, to, each } = DECADES;
  const count = (to - from) * each + 1;
  const ratio = 10 ** (1 / each);
  const h = Float64Array.from({ length: count }, (_, i) => 10 ** (from + i / each));
  const theta = h.map((it) => blend.held(it * 100));
  const residual = theta[count - 1] ?? 0;
  const { porosity } = blend;
  // Mualem's integral from the dry end, ∫dθ/h.
  const mualem = new Float64Array(count);
  for (let i = count - 2; i >= 0; i -= 1)
    mualem[i] =
      (mualem[i + 1] ?? 0) +
      Math.max(0, (theta[i] ?? 0) - (theta[i + 1] ?? 0)) / ((h[i] ?? 1) * Math.sqrt(ratio));
  const whole = Math.max(1e-300, mualem[0] ?? 0);
  const range = Math.max(1e-6, porosity - residual);
  const k = theta.map((it, i) => {
    const effective = Math.min(1, Math.max(0, (it - residual) / range));
    return saturated * Math.sqrt(effective) * ((mualem[i] ?? 0) / whole) ** 2;
  });
  // Between two suctions K is taken as a power of h, whose integral is exact.
  const potential = new Float64Array(count);
  for (let i = count - 2; i >= 0; i -= 1) {
    const [ka, kb] = [k[i] ?? 0, k[i + 1] ?? 0];
    const [ha, hb] = [h[i] ?? 0, h[i + 1] ?? 0];
    let part = 0;
    if (ka > 0 && kb > 0) {
      const power = Math.log(kb / ka) / Math.log(ratio) + 1;
      part = Math.abs(power) < 1e-6 ? ka * ha * Math.log(ratio) : (kb * hb - ka * ha) / power;
    }
    potential[i] = (potential[i + 1] ?? 0) + part;
  }
  const first = residual;
  const step = range / (ENTRIES - 1);
  const [suction, conductivity, matric] = [
    new Float64Array(ENTRIES),
    new Float64Array(ENTRIES),
    new Float64Array(ENTRIES),
  ];
  let at = count - 1;
  for (let entry = 0; entry < ENTRIES; entry += 1) {
    const wanted = first + entry * step;
    while (at > 0 && (theta[at - 1] ?? 0) <= wanted) at -= 1;
    if (at === 0) {
      conductivity[entry] = saturated;
      matric[entry] = potential[0] ?? 0;
      continue;
    }
    const [dry, wet] = [theta[at] ?? 0, theta[at - 1] ?? 0];
    const part = wet > dry ? Math.min(1, Math.max(0, (wanted - dry) / (wet - dry))) : 0;
    const between = (values: Float64Array): number => {
      const [a, b] = [values[at] ?? 0, values[at - 1] ?? 0];
      return a > 0 && b > 0 ? a * (b / a) ** part : a + (b - a) * part;
    };
    suction[entry] = between(h);
    conductivity[entry] = between(k);
    matric[entry] = between(potential);
  }
  // A blend whose fines fill the gaps is full over a stretch of suctions. Its last pores are taken to empty over that
  // stretch, by a parabola that goes on from the curve: content says suction without a corner, at which a step would hang.
  const bend = ENTRIES - 1 - Math.max(4, Math.ceil(LAST_PORES / step));
  const long = (ENTRIES - 1 - bend) * step;
  const from0 = suction[bend] ?? 0;
  const steep = Math.min(
    0,
    Math.max(-from0 / long, ((suction[bend] ?? 0) - (suction[bend - 1] ?? 0)) / step),
  );
  const curved = (-from0 - steep * long) / (long * long);
  conductivity[ENTRIES - 1] = saturated;
  for (let entry = bend + 1; entry < ENTRIES; entry += 1) {
    const x = (entry - bend) * step;
    suction[entry] = entry === ENTRIES - 1 ? 0 : from0 + steep * x + curved * x * x;
    matric[entry] =
      (matric[entry - 1] ?? 0) +
      0.5 *
        ((conductivity[entry - 1] ?? 0) + (conductivity[entry] ?? 0)) *
        ((suction[entry - 1] ?? 0) - (suction[entry] ?? 0));
  }
  // Full and nearly full pass water alike, and press alike.
  const nearly = suction[ENTRIES - 2] ?? 0;
  const full = ((matric[ENTRIES - 1] ?? 0) - (matric[ENTRIES - 2] ?? 0)) / nearly;
  conductivity[ENTRIES - 1] = full;
  return {
    porosity,
    residual,
    saturated: full,
    first,
    perStep: 1 / step,
    last: ENTRIES - 1,
    suction,
    conductivity,
    potential: matric,
    humidity: suction.map((it) => Math.exp(-KELVIN_HUMIDITY * it)),
    bySuction: { first: from * Math.LN10, perStep: each / Math.LN10, values: k },
  };
}

/** Water of one node of soil as the flux sees it; filled by `readWater`, to be used again. */
export interface WaterState {
  /** m, m/s, m²/s, 0 to 1, and how each changes with θ. */
  suction: number;
  conductivity: number;
  potential: number;
  humidity: number;
  bySuction: number;
  byConductivity: number;
  byPotential: number;
  byHumidity: number;
}

export const emptyWater = (): WaterState => ({
  suction: 0,
  conductivity: 0,
  potential: 0,
  humidity: 1,
  bySuction: 0,
  byConductivity: 0,
  byPotential: 0,
  byHumidity: 0,
});

/** Reads a soil at a water content; fuller than full it presses by its own depth. */
export function readWater(soil: Hydraulics, theta: number, into: WaterState): void {
  const { first, perStep, last } = soil;
  const place = (theta - first) * perStep;
  if (place <= 0) {
    into.suction = soil.suction[0] ?? 0;
    into.conductivity = 0;
    into.potential = 0;
    into.humidity = soil.humidity[0] ?? 0;
    into.bySuction = 0;
    into.byConductivity = 0;
    into.byPotential = 0;
    into.byHumidity = 0;
    return;
  }
  if (place >= last) {
    const over = theta - soil.porosity;
    const slope = soil.suction[last - 1]! * perStep;
    const pressure = over * (slope + PRESSES * over);
    const more = slope + 2 * PRESSES * over;
    into.suction = -pressure;
    into.conductivity = soil.saturated;
    into.potential = soil.potential[last]! + soil.saturated * pressure;
    into.humidity = 1;
    into.bySuction = -more;
    into.byConductivity = 0;
    into.byPotential = soil.saturated * more;
    into.byHumidity = 0;
    return;
  }
  const i = Math.floor(place);
  const part = place - i;
  const s0 = soil.suction[i]!;
  const k0 = soil.conductivity[i]!;
  const p0 = soil.potential[i]!;
  const h0 = soil.humidity[i]!;
  const ds = soil.suction[i + 1]! - s0;
  const dk = soil.conductivity[i + 1]! - k0;
  const dh = soil.humidity[i + 1]! - h0;
  into.suction = s0 + part * ds;
  into.conductivity = k0 + part * dk;
  const dp = soil.potential[i + 1]! - p0;
  into.potential = p0 + part * dp;
  into.humidity = h0 + part * dh;
  into.bySuction = ds * perStep;
  into.byConductivity = dk * perStep;
  into.byPotential = dp * perStep;
  into.byHumidity = dh * perStep;
}

/** Water content of a soil at a suction, m³/m³; m. By bisection of its own table. */
export function contentAt({ suction, first, perStep, last }: Hydraulics, wanted: number): number {
  if (wanted <= 0) return first + last / perStep;
  let [dry, wet] = [0, last];
  if (wanted >= (suction[0] ?? 0)) return first;
  while (wet - dry > 1) {
    const middle = (dry + wet) >> 1;
    if ((suction[middle] ?? 0) > wanted) dry = middle;
    else wet = middle;
  }
  const [a, b] = [suction[dry] ?? 0, suction[wet] ?? 0];
  const part = a > b ? (a - wanted) / (a - b) : 0;
  return first + (dry + part) / perStep;
}

/** Conductivity of a soil at a suction, m/s; m. */
export function conductivityBy(soil: Hydraulics, suction: number): number {
  if (suction <= 1e-9) return soil.saturated;
  const { first, perStep, values } = soil.bySuction;
  const place = (Math.log(suction) - first) * perStep;
  if (place <= 0) return soil.saturated;
  const i = Math.floor(place);
  if (i >= values.length - 1) return 0;
  return values[i]! + (place - i) * (values[i + 1]! - values[i]!);
}

/** Share of gravity as a drive within which sinking and rising between two soils go over into each other (numerical). */
const OVER = 0.05;

/** A flux, m/s, and how it changes with the water content of both its ends; filled by `fluxBetween`. */
export interface Flux {
  rate: number;
  byUpper: number;
  byLower: number;
}

/**
 * Water that sinks from an upper to a lower node, m/s; negative when it rises. Within one soil the conductivity is the
 * mean over all suctions between the two (Kirchhoff), (Φ₁ − Φ₂)/(h₂ − h₁), which is exact for a steady level flow and
 * keeps coarse nodes honest about a drying top. Between two soils it is that of both in series, at the suction the water
 * comes from: a coarse layer under a fine one stays dry until the fine one is nearly full (the capillary barrier).
 * @param upperHalf m from the upper node's middle to the face, `lowerHalf` from there to the lower one's
 */
export function fluxBetween(
  upper: { readonly soil: Hydraulics; readonly water: WaterState; readonly half: number },
  lower: { readonly soil: Hydraulics; readonly water: WaterState; readonly half: number },
  into: Flux,
): void {
  const { water: a } = upper;
  const { water: b } = lower;
  const distance = upper.half + lower.half;
  const apart = b.suction - a.suction;
  const drive = 1 + apart / distance;
  let mean: number;
  let meanByA = 0;
  let meanByB = 0;
  if (upper.soil === lower.soil) {
    if (Math.abs(apart) > 1e-4) {
      mean = (a.potential - b.potential) / apart;
      meanByA = (a.byPotential + mean * a.bySuction) / apart;
      meanByB = (-b.byPotential - mean * b.bySuction) / apart;
    } else {
      // −dΦ/dh of the table itself, so that nothing jumps where the two meet.
      mean = (localMean(a) + localMean(b)) / 2;
    }
  } else {
    // Near rest the two directions go over into each other: a corner there would be met by every step of drained ground.
    const down =
      drive > OVER ? 1 : drive < -OVER ? 0 : 0.5 + 0.25 * (drive / OVER) * (3 - (drive / OVER) ** 2);
    const sinks = down > 0 ? fromUpper(upper, lower.soil, lower.half) : null;
    const rises = down < 1 ? fromUpper(lower, upper.soil, upper.half) : null;
    mean = (sinks ? down * sinks.mean : 0) + (rises ? (1 - down) * rises.mean : 0);
    meanByA = sinks ? down * sinks.by : 0;
    meanByB = rises ? (1 - down) * rises.by : 0;
    if (sinks && rises) {
      const turns = ((0.75 * (1 - (drive / OVER) ** 2)) / OVER / distance) * (sinks.mean - rises.mean);
      meanByA -= turns * a.bySuction;
      meanByB += turns * b.bySuction;
    }
  }
  into.rate = mean * drive;
  into.byUpper = meanByA * drive - (mean * a.bySuction) / distance;
  into.byLower = meanByB * drive + (mean * b.bySuction) / distance;
}

/** Conductivity of a way from one node into another soil, at the suction of the node the water comes from. */
function fromUpper(
  { water, half }: { readonly water: WaterState; readonly half: number },
  other: Hydraulics,
  otherHalf: number,
): { readonly mean: number; readonly by: number } {
  const mean = series(water.conductivity, conductivityBy(other, water.suction), half, otherHalf);
  return { mean, by: seriesSlope(water, other, mean, half, otherHalf) };
}

/** Conductivity as the table’s own straight line has it there, m/s. */
const localMean = (water: WaterState): number =>
  water.bySuction < 0 ? -water.byPotential / water.bySuction : 0;

const series = (one: number, other: number, half: number, otherHalf: number): number =>
  one > 0 && other > 0 ? (half + otherHalf) / (half / one + otherHalf / other) : 0;

/** How the mean of two soils in series changes with the water content of the one the water comes from. */
function seriesSlope(
  water: WaterState,
  other: Hydraulics,
  mean: number,
  half: number,
  otherHalf: number,
): number {
  if (mean <= 0) return 0;
  const own = water.conductivity;
  const more = Math.max(1e-9, Math.abs(water.suction) * 1e-5);
  const k = conductivityBy(other, water.suction);
  const bySuction = (conductivityBy(other, water.suction + more) - k) / more;
  const squared = (mean * mean) / (half + otherHalf);
  return (
    squared *
    ((half * water.byConductivity) / (own * own) + (otherHalf * bySuction * water.bySuction) / (k * k))
  );
}
