import type { Catalogue } from '../catalogue';
import { CORNERS, highest, lowest, mean } from './corners';
import { refield, type Rect } from './floor';
import type { LayerResult, Part } from './layers';
import { airlessZone, blendOf, blendToo, drainedMeans, type Blend, type Stratum } from './water';

export interface Band {
  /** Above the floor, m. */
  readonly from: number;
  readonly to: number;
  /** m³ per m³ placed */
  readonly water: number;
  readonly air: number;
}

/** The soil once watered through and drained over its open bed. All plain data. */
export interface SoilMoisture {
  /** Suction is counted from here, m above the floor: the underside of the soil, or the water where that is higher. */
  readonly datum: number;
  /** Mean depth of the soil, m. */
  readonly depth: number;
  /** Mean water and air at that depth, m³/m³. */
  readonly capacity: number;
  readonly air: number;
  readonly porosity: number;
  /** Height over the soil's underside that stays airless, m; at most the mean depth. */
  readonly airless: number;
  /** The same by the other published table of what it is mixed from; left out: there is none. */
  readonly airlessToo?: number;
  /** Up the deepest column. */
  readonly column: readonly Band[];
  /** Each soil layer cut into level bands from its lowest to its highest place. */
  readonly layers: Readonly<Record<string, readonly Band[]>>;
}

const BANDS = 18;

/**
 * Moisture of the soil of one part of the floor over its drainage layer, at rest. undefined without drainage (a closed
 * floor drains nowhere and is moistened by hand), without soil, or when a material has no curve.
 */
export function soilMoisture(part: Part, waterDepth: number, catalogue: Catalogue): SoilMoisture | undefined {
  if (!part.stack.some((it) => it.layer.kind === 'drainage')) return undefined;
  const soils: { result: LayerResult; blend: Blend; thickness: number }[] = [];
  for (const result of part.stack) {
    if (result.layer.kind !== 'substrate' || mean(result.thickness) <= 0) continue;
    const blend = blendOf(result.layer.mix, catalogue);
    if (!blend) return undefined;
    soils.push({ result, blend, thickness: mean(refield(result.thickness, result.field, part.field)) });
  }
  const bottom = soils[0];
  if (!bottom) return undefined;
  const foot = lowest(refield(bottom.result.base, bottom.result.field, part.field));
  const datum = Math.max(foot, waterDepth);

  const submerged = datum - foot;
  const strata: Stratum[] = soils.map(({ blend, thickness }) => ({ blend, thickness }));
  const others = soils.map(({ result, blend, thickness }) => ({
    blend: (result.layer.kind === 'substrate' && blendToo(result.layer.mix, catalogue)) || blend,
    thickness,
  }));
  const hasOther = others.some((it, i) => it.blend !== strata[i]?.blend);
  return {
    datum,
    ...drainedMeans(strata, submerged),
    airless: airlessZone(strata, submerged),
    ...(hasOther ? { airlessToo: airlessZone(others, submerged) } : {}),
    column: deepestColumn(soils, part.field, datum),
    layers: Object.fromEntries(
      soils.map(({ result, blend }) => [
        result.layer.id,
        bandsOf(blend, lowest(result.base), highest(result.top), datum),
      ]),
    ),
  };
}

function bandsOf(blend: Blend, from: number, to: number, datum: number): Band[] {
  const step = (to - from) / BANDS;
  return Array.from({ length: BANDS }, (_, index) => {
    const low = from + index * step;
    const water = blend.held(Math.max(0, low + step / 2 - datum) * 100);
    return { from: low, to: low + step, water, air: blend.porosity - water };
  });
}

/** The deepest column, each stratum between its own bounds there. */
function deepestColumn(
  soils: readonly { result: LayerResult; blend: Blend }[],
  field: Rect,
  datum: number,
): Band[] {
  const last = soils.at(-1)?.result;
  if (!last) return [];
  const top = refield(last.top, last.field, field);
  const corner = CORNERS.reduce((a, b) => (top[b] > top[a] ? b : a));
  return soils.flatMap(({ result, blend }) =>
    bandsOf(
      blend,
      refield(result.base, result.field, field)[corner],
      refield(result.top, result.field, field)[corner],
      datum,
    ),
  );
}
