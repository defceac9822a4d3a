import { roomClimate } from './brief';
import { materialOf, type Catalogue, type CautionStep } from './catalogue';
import { allLayers, type Corners, type Design } from './document/schema';
import {
  checkPanes,
  emptyMass,
  interiorVolume,
  loadsOf,
  makingOf,
  type Loads,
  type Making,
  type PaneCheck,
} from './enclosure';
import { fresh, type Keep } from './finding/kept';
import { judge, type Finding, type RuleContext } from './findings';
import { CORNERS, level } from './ground/corners';
import { drainageOf, type Drainage } from './ground/drainage';
import { refield } from './ground/floor';
import { materialsIn } from './document/schema';
import { layGround, type GroundResult, type LayerResult } from './ground/layers';
import { soilMoisture, type SoilMoisture } from './ground/moisture';
import { preparationsOf, type Preparation } from './ground/prepare';
import { listsOf, type Lists, type Shelf } from './ground/shopping';
import { animalIn } from './brief/age';
import { livingOf, type LivingResult } from './living/planted';
import { scapeOf, type ScapeResult } from './scape/scape';

/** Everything that follows from a design. All SI. */
export interface Assessment {
  /** m³ */
  readonly interior: number;
  /** kg, and whether it was weighed or estimated from the walls. */
  readonly empty: { readonly kg: number; readonly weighed: boolean };
  /** kg with moist soil, the water kept in it and what is sunk in it; no plants or lamps yet. */
  readonly standingMass: number;
  readonly ground: GroundResult;
  /** Every layer, those of regions last. */
  readonly layers: readonly LayerResult[];
  /** Upper side of what lies over the rest of the floor. */
  readonly surface: Corners;
  /** From the highest ground to the lid, m; negative when it stands over it. */
  readonly heightLeft: number;
  readonly drainage: Drainage | undefined;
  /** m³ placed */
  readonly substrateVolume: number;
  readonly drainageVolume: number;
  /** All water that stands in the box, m³. */
  readonly standingWater: number;
  /** m³ to mix into the soils before they go in. */
  readonly waterToMixIn: number;
  /** The soil of the rest of the floor once drained; undefined without drainage or where a material has no curve. */
  readonly moisture: SoilMoisture | undefined;
  /** The same for each region that drains. */
  readonly moistureOf: Readonly<Record<string, SoilMoisture>>;
  readonly lists: Lists;
  /** What stands in the box, and what backgrounds come to. */
  readonly scape: ScapeResult;
  /** What is planted, and what of plants and crew is to be bought. */
  readonly living: LivingResult;
  readonly loads: Loads;
  readonly panes: PaneCheck | undefined;
  readonly making: Making;
  readonly preparations: readonly Preparation[];
  readonly findings: readonly Finding[];
  /** Steps of this build at which the usual caution is shown. */
  readonly cautions: readonly CautionStep[];
}

/** Nothing is there already. */
const EMPTY: Shelf = {};

/**
 * The one way from a design to its numbers and findings. Pure; well under a millisecond.
 * @param shelf what is there already and need not be bought
 * @param keep where parts of an assessment before this one are kept (`keeping`): those that read nothing that has changed
 * are taken over as they are
 */
export function assess(
  design: Design,
  catalogue: Catalogue,
  shelf: Shelf = EMPTY,
  keep: Keep = fresh,
): Assessment {
  const given = { design, catalogue, shelf };
  const ground = keep('ground', given, (it) => layGround(it.design, it.catalogue));
  const { layers, parts } = ground;
  const animal = animalIn(design, catalogue);
  const laid = { ...given, ground, animal };
  const drainage = keep('drainage', laid, (it) => drainageOf(it.ground, it.design.ground.waterDepth));
  const scape = keep('scape', laid, (it) => scapeOf(it.design, it.ground, it.animal, it.catalogue));
  const living = keep('living', laid, (it) => livingOf(it.design, it.ground, it.catalogue));
  const lists = keep('lists', laid, (it) => listsOf(it.design, it.ground, it.catalogue, it.shelf));
  const { moisture, moistureOf, moistures } = keep('moisture', laid, moistureIn);
  const box = keep('enclosure', given, ({ design: { enclosure } }) => ({
    interior: interiorVolume(enclosure),
    empty: emptyMass(enclosure),
    making: makingOf(enclosure),
  }));
  const sunk = design.ground.sunk.reduce((sum, piece) => sum + (piece.mass ?? 0), 0);
  const standingMass = box.empty.kg + sunk + scape.mass + layers.reduce((sum, it) => sum + it.wetMass, 0);
  const standing = { ...laid, standingMass, scape };
  const loads = keep('loads', standing, (it) => loadsOf(it.design.enclosure, it.standingMass));
  const panes = keep('panes', laid, (it) =>
    checkPanes(it.design.enclosure, standsAgainst(it.ground, it.design)),
  );
  const highest = parts.reduce((most, part) => Math.max(most, part.high), 0);

  const context: RuleContext = {
    design,
    catalogue,
    animal,
    room: keep('room', given, (it) => roomClimate(it.design.brief.room)),
    ground,
    layers,
    drainage,
    highest,
    deepestSoil: keep('deepest', laid, (it) => deepestSoil(it.ground)),
    emptyMass: box.empty.kg,
    standingMass,
    loads,
    panes,
    moistures,
    lists,
    scape,
    living,
  };
  const soils = layers.filter((it) => it.layer.kind === 'substrate');
  return {
    ...box,
    standingMass,
    ground,
    layers,
    surface: parts.find((part) => part.region === null)?.surface ?? level(0),
    heightLeft: design.enclosure.height - highest,
    drainage,
    substrateVolume: soils.reduce((sum, it) => sum + it.placed, 0),
    drainageVolume: layers.reduce((sum, it) => sum + (it.layer.kind === 'drainage' ? it.placed : 0), 0),
    standingWater: layers.reduce((sum, it) => sum + it.water, 0),
    waterToMixIn: soils.reduce((sum, it) => sum + (it.need?.waterToMixIn ?? 0), 0),
    moisture,
    moistureOf,
    lists,
    scape,
    living,
    loads,
    panes,
    preparations: keep('preparations', laid, (it) =>
      preparationsOf(it.design, it.ground.layers, it.catalogue),
    ),
    findings: judge(context, keep),
    cautions: keep('cautions', { ...standing, panes }, (it) => cautionsOf(it.design, it.catalogue, it)),
  };
}

/** The soil of every part of the floor that drains. */
function moistureIn({
  design,
  catalogue,
  ground: { parts },
}: {
  readonly design: Design;
  readonly catalogue: Catalogue;
  readonly ground: GroundResult;
}) {
  const { waterDepth } = design.ground;
  const moistures = parts.flatMap((part) => {
    const moisture = soilMoisture(part, waterDepth, catalogue);
    return moisture ? [{ part, moisture }] : [];
  });
  return {
    moistures,
    moisture: moistures.find(({ part }) => part.region === null)?.moisture,
    moistureOf: Object.fromEntries(
      moistures.flatMap(({ part, moisture }) => (part.region ? [[part.region.id, moisture]] : [])),
    ) as Readonly<Record<string, SoilMoisture>>,
  };
}

/** Highest water that stands against the walls, m: what is kept, and open water with a level of its own. */
function standsAgainst({ layers }: GroundResult, design: Design): number {
  const drains = layers.some((it) => it.layer.kind === 'drainage' || it.layer.kind === 'water');
  return layers.reduce(
    (most, { layer }) =>
      layer.kind === 'water' && layer.level !== null ? Math.max(most, layer.level) : most,
    drains ? design.ground.waterDepth : 0,
  );
}

/** Soil at the deepest place of any part, m: corner by corner, which a bilinear surface never exceeds. */
function deepestSoil({ parts }: GroundResult): number {
  return parts.reduce((deepest, part) => {
    const soils = part.stack.filter((it) => it.layer.kind === 'substrate');
    if (soils.length === 0) return deepest;
    const depth = CORNERS.map((corner) =>
      soils.reduce((sum, it) => sum + refield(it.thickness, it.field, part.field)[corner], 0),
    );
    return Math.max(deepest, ...depth);
  }, 0);
}

function cautionsOf(
  design: Design,
  catalogue: Catalogue,
  { standingMass, panes, scape }: { standingMass: number; panes: PaneCheck | undefined; scape: ScapeResult },
): readonly CautionStep[] {
  const rows = allLayers(design.ground)
    .flatMap(materialsIn)
    .map((id) => materialOf(catalogue, id));
  const { made, material } = design.enclosure;
  const steps: CautionStep[] = [];
  if (rows.some((row) => row.cautions.includes('dust'))) steps.push('mixing');
  if (rows.some((row) => row.cautions.includes('collecting'))) steps.push('collecting');
  if (design.ground.method !== 'none') steps.push('cutting');
  const { backgrounds, pieces } = design.scape;
  if (backgrounds.length > 0) steps.push('curing');
  if (scape.pieces.some((it) => it.mass > 3 && it.kind?.group === 'stone')) steps.push('stone');
  if (scape.pieces.some((it) => it.kind?.cable)) steps.push('electric');
  if (pieces.some((it) => it.pump !== null)) steps.push('pumps');
  if (made.bores.length > 0 || design.ground.outlet.kind === 'drain') steps.push('drilling');
  if (material === 'timber' && made.seal !== 'none') steps.push('sealing');
  if (design.ground.waterDepth > 0) steps.push('water');
  if (panes && panes.flooded >= 0.05) steps.push('panes');
  if (standingMass > 25) steps.push('lifting');
  return [...steps, 'hygiene', 'law'];
}
