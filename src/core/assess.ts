import { roomClimate } from './brief';
import { findAnimal, materialOf, type Catalogue } from './catalogue';
import type { Corners, Design } from './design/schema';
import { judge, type Finding } from './findings';
import { add, highest, level } from './ground/corners';
import { drainageOf, type Drainage } from './ground/drainage';
import { emptyMass, interiorVolume } from './ground/enclosure';
import { materialsIn, stackLayers, type LayerResult } from './ground/layers';
import { soilMoisture, type SoilMoisture } from './ground/moisture';
import { listsOf, type Lists } from './ground/shopping';

export type CautionStep = 'mixing' | 'collecting' | 'cutting' | 'water' | 'lifting' | 'hygiene' | 'law';

/** Everything that follows from a design. All SI. */
export interface Assessment {
  /** m³ */
  readonly interior: number;
  /** kg, and whether it was weighed or estimated from the walls. */
  readonly empty: { readonly kg: number; readonly weighed: boolean };
  /** kg with moist soil and the water kept in it; no wood, plants or lamps yet. */
  readonly standingMass: number;
  readonly layers: readonly LayerResult[];
  readonly surface: Corners;
  /** From the highest ground to the lid, m; negative when it stands over it. */
  readonly heightLeft: number;
  readonly drainage: Drainage | undefined;
  /** m³ placed */
  readonly substrateVolume: number;
  readonly drainageVolume: number;
  /** m³ to mix into the soils before they go in. */
  readonly waterToMixIn: number;
  /** The soil once drained over its bed; undefined without drainage or where a material has no curve. */
  readonly moisture: SoilMoisture | undefined;
  readonly lists: Lists;
  readonly findings: readonly Finding[];
  /** Steps of this build at which the usual caution is shown. */
  readonly cautions: readonly CautionStep[];
}

/** The one way from a design to its numbers and findings. Pure; a few tens of microseconds. */
export function assess(design: Design, catalogue: Catalogue): Assessment {
  const drainage = drainageOf(design, catalogue);
  const layers = stackLayers(design, catalogue, drainage?.held ?? 0);
  const surface = layers.at(-1)?.top ?? level(0);
  const empty = emptyMass(design.enclosure);
  const standingMass = empty.kg + layers.reduce((sum, it) => sum + it.wetMass, 0);
  const moisture = soilMoisture(design, layers, catalogue);
  const lists = listsOf(design, layers, catalogue);
  const soils = layers.filter((it) => it.layer.kind === 'substrate');
  const soil = soils.reduce((sum, it) => add(sum, it.thickness), level(0));

  const findings = judge({
    design,
    catalogue,
    animal: findAnimal(catalogue, design.brief.animal),
    room: roomClimate(design.brief.room),
    layers,
    drainage,
    surface,
    soil,
    emptyMass: empty.kg,
    standingMass,
    moisture,
    lists,
  });

  return {
    interior: interiorVolume(design.enclosure),
    empty,
    standingMass,
    layers,
    surface,
    heightLeft: design.enclosure.height - highest(surface),
    drainage,
    substrateVolume: soils.reduce((sum, it) => sum + it.placed, 0),
    drainageVolume: layers.find((it) => it.layer.kind === 'drainage')?.placed ?? 0,
    waterToMixIn: soils.reduce((sum, it) => sum + (it.need?.waterToMixIn ?? 0), 0),
    moisture,
    lists,
    findings,
    cautions: cautionsOf(design, catalogue, standingMass),
  };
}

function cautionsOf(design: Design, catalogue: Catalogue, standingMass: number): readonly CautionStep[] {
  const rows = design.ground.layers.flatMap(materialsIn).map((id) => materialOf(catalogue, id));
  const steps: CautionStep[] = [];
  if (rows.some((row) => row.cautions.includes('dust'))) steps.push('mixing');
  if (rows.some((row) => row.cautions.includes('collecting'))) steps.push('collecting');
  if (design.ground.method !== 'none') steps.push('cutting');
  if (design.ground.waterDepth > 0) steps.push('water');
  if (standingMass > 25) steps.push('lifting');
  return [...steps, 'hygiene', 'law'];
}
