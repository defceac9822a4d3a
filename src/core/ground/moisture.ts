import type { Catalogue } from '../catalogue';
import type { Design } from '../design/schema';
import { CORNERS, highest, lowest, mean } from './corners';
import type { LayerResult } from './layers';
import { airlessZone, blendOf, drainedMeans, type Blend, type Stratum } from './water';

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
  /** Up the deepest column. */
  readonly column: readonly Band[];
  /** Each soil layer cut into level bands from its lowest to its highest place. */
  readonly layers: Readonly<Record<string, readonly Band[]>>;
}

const BANDS = 18;

/**
 * Moisture of the soil over a drainage layer, at rest. undefined without drainage (a closed floor drains nowhere and is
 * moistened by hand), without soil, or when a material has no curve.
 */
export function soilMoisture(
  design: Design,
  layers: readonly LayerResult[],
  catalogue: Catalogue,
): SoilMoisture | undefined {
  if (!design.ground.layers.some((layer) => layer.kind === 'drainage')) return undefined;
  const soils: { result: LayerResult; blend: Blend }[] = [];
  for (const result of layers) {
    if (result.layer.kind !== 'substrate' || mean(result.thickness) <= 0) continue;
    const blend = blendOf(result.layer.mix, catalogue);
    if (!blend) return undefined;
    soils.push({ result, blend });
  }
  const bottom = soils[0];
  if (!bottom) return undefined;
  const datum = Math.max(lowest(bottom.result.base), design.ground.waterDepth);

  const submerged = datum - lowest(bottom.result.base);
  const strata: Stratum[] = soils.map(({ result, blend }) => ({ blend, thickness: mean(result.thickness) }));
  return {
    datum,
    ...drainedMeans(strata, submerged),
    airless: airlessZone(strata, submerged),
    column: deepestColumn(soils, datum),
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
function deepestColumn(soils: readonly { result: LayerResult; blend: Blend }[], datum: number): Band[] {
  const top = soils.at(-1)?.result.top;
  if (!top) return [];
  const corner = CORNERS.reduce((a, b) => (top[b] > top[a] ? b : a));
  return soils.flatMap(({ result, blend }) => bandsOf(blend, result.base[corner], result.top[corner], datum));
}
