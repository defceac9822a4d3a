import { AIR_DENSITY, MOIST_AIR_HEAT, WATER_HEAT } from '../physics/constants';
import type { Placed } from '../pieces/place';
import type { ChamberModel, Cell } from './box';
import type { Run } from './simulate';
import { FACE } from './walls';

/** Of four centimetres of damp moss, or a reservoir, kg per m² of its floor (from memory). */
const HOLDS = 15;
/** m² of wet moss for each m² of floor under it: it lines the sides of its box, and is rough (from memory). */
const MOSS_AREA = 2;
/** Share of what a hide shades that is floor inside it; of its outside that faces the air (from memory). */
const FLOOR = 0.7;
const FACES_AIR = 0.6;
/** m of wood, clay or slate round it, and W/m K (from memory). */
const SHELL = { thickness: 0.012, conducts: 0.2 } as const;
/** J/K of a dry hide for each m² of its outside: its inner skin (from memory). */
const SKIN_HEAT = 6000;
/** W/m²K between what lies on the ground and the ground, through a few millimetres of air and moss (from memory). */
const ON_GROUND = 4;
/** Of a hollow full of soil: the share an animal digs free, and water its moist soil gives off, kg/m³ (from memory). */
const DUG = { free: 0.25, holds: 150 } as const;
/** Least room that counts as one, m³. */
const LEAST = 5e-5;

/** A hide as a cell of its own; null where it has no way in, and so no air of its own. */
export function chamberOf({ piece, solid, ground }: Placed, cell: Cell): ChamberModel | null {
  if (piece.entrance === null || piece.entrance <= 0) return null;
  const floor = Math.max(0.002, solid.shades * FLOOR);
  const whole = Math.max(0.02, solid.bounds.z1 - solid.bounds.z0);
  // What stands in the ground is full of it so far up.
  const tall = Math.max(0.02, Math.min(whole, solid.bounds.z1 - ground));
  const free = tall / whole;
  const hollow = solid.encloses > LEAST ? solid.encloses * free : floor * tall * 0.6;
  const air = Math.max(LEAST, piece.filled ? hollow * DUG.free : hollow);
  const outside = Math.max(0.01, solid.surface * FACES_AIR * free);
  const wet = piece.moist ? floor * MOSS_AREA : 0;
  const holds = piece.moist ? (piece.filled ? DUG.holds * hollow : HOLDS * floor) : 0;
  return {
    piece: piece.id,
    cell,
    air,
    wet,
    holds,
    soil: piece.moist ? 0 : floor,
    way: { area: (Math.PI * piece.entrance * piece.entrance) / 4, height: piece.entrance },
    // Half the moss follows within the hour.
    heat: AIR_DENSITY * air * MOIST_AIR_HEAT + SKIN_HEAT * outside + (holds / 2) * WATER_HEAT,
    toAir: outside / (SHELL.thickness / SHELL.conducts + 2 * FACE.sideways),
    toSoil: floor * ON_GROUND,
  };
}

/** What a hide came to in a run: mean, driest and dampest of its own air, and days from wetted to dry. */
export interface HideClimate {
  readonly piece: string;
  readonly humidity: number;
  readonly driest: number;
  readonly dampest: number;
  readonly temperature: number;
  /** Days until its moss or reservoir is dry; null for dry ones. */
  readonly days: number | null;
}

/** Share of its water at which moss no longer keeps a chamber damp (from memory). */
const DRY_AT = 0.1;

/** Hides of a run, each by its own cell: the one number that is told of them everywhere. */
export function hidesOf(
  run: Pick<Run, 'chambers' | 't'>,
  chambers: readonly ChamberModel[],
): readonly HideClimate[] {
  return run.chambers.map((it, index) => {
    const from = it.humidity.length > 1 ? 1 : 0;
    const values = Array.from(it.humidity.slice(from));
    const mean = (list: ArrayLike<number>): number =>
      Array.from(list).reduce((sum, value) => sum + value, 0) / Math.max(1, list.length);
    // What it loses while it is wet and nobody wets it again.
    const holds = chambers[index]?.holds ?? 0;
    let [lost, hours] = [0, 0];
    for (let i = 1; i < it.store.length; i += 1) {
      const change = (it.store[i - 1] ?? 0) - (it.store[i] ?? 0);
      if (change < 0 || (it.store[i] ?? 0) < DRY_AT * holds) continue;
      lost += change;
      hours += ((run.t[i] ?? 0) - (run.t[i - 1] ?? 0)) / 3600;
    }
    return {
      piece: it.piece,
      humidity: Math.min(1, mean(values)),
      driest: Math.min(1, ...values),
      dampest: Math.min(1, Math.max(0, ...values)),
      temperature: mean(it.temperature.slice(from)),
      days: holds > 0 && lost > 0 ? ((1 - DRY_AT) * holds * hours) / 24 / lost : null,
    };
  });
}
