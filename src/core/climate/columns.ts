import { materialOf, type Catalogue, drainageMethodOf, bedOf } from '../catalogue';
import type { Design } from '../document/schema';
import { WATER_DENSITY, VAPOUR_DIFFUSION } from '../physics/constants';
import { hydraulicsOf } from '../ground/hydraulics';
import { heightAt } from '../ground/floor';
import type { PlacedLayer } from '../ground/placedLayers';
import { normalise } from '../ground/parts';
import { blendOf, SQUEEZE, type Blend } from '../ground/water';
import type { Placed } from '../pieces/place';
import { NO_AREA, type Column, type ColumnModel, type FootModel, type SoilNode } from './box';
import { floorOf, sideOf } from '../enclosure/shell';
import { letsThrough, WALL_STUFF } from './walls';

/** What lies at a place of the floor, m. */
export interface Sample {
  readonly x: number;
  readonly y: number;
  readonly column: Column;
  readonly soil: number;
  readonly top: number;
  readonly foot: number;
  readonly bed: number;
  readonly water: number;
  readonly litter: number;
  readonly placed: readonly PlacedLayer[];
}

const GRID = [12, 8] as const;

export function samplesOf(
  design: Design,
  stackAt: (x: number, y: number) => readonly PlacedLayer[],
  columnAt: (x: number) => Column,
): readonly Sample[] {
  const { width, depth } = design.enclosure;
  const samples: Sample[] = [];
  for (let i = 0; i < GRID[0]; i += 1) {
    for (let j = 0; j < GRID[1]; j += 1) {
      const x = (width * (i + 0.5)) / GRID[0];
      const y = (depth * (j + 0.5)) / GRID[1];
      const placed = stackAt(x, y);
      let [soil, bed, water, litter, top, foot] = [0, 0, 0, 0, 0, 0];
      for (const it of placed) {
        const low = heightAt(it.base, it.field, x, y);
        const high = heightAt(it.top, it.field, x, y);
        const thick = Math.max(0, high - low);
        if (it.layer.kind === 'substrate') {
          if (soil === 0) foot = low;
          soil += thick;
        } else if (it.layer.kind === 'drainage') bed += thick;
        else if (it.layer.kind === 'water') {
          water += thick;
          if (thick > 0) foot = low;
        } else if (it.layer.kind === 'litter' || it.layer.kind === 'moss') litter += thick;
        top = Math.max(top, high);
      }
      samples.push({ x, y, column: columnAt(x), soil, top, foot, bed, water, litter, placed });
    }
  }
  return samples;
}

/** m²/s through leaf litter: porosity 0.9, tortuosity 0.64 (from memory): about 2100 s/m for 3 cm. */
const LITTER_DIFFUSION = VAPOUR_DIFFUSION * 0.9 * 0.64;

const DEFAULT_BLEND: Blend = { porosity: 0.6, held: (suction) => 0.05 + 0.45 / (1 + (suction / 12) ** 0.9) };

interface ColumnInput {
  readonly design: Design;
  readonly column: Column;
  readonly samples: readonly Sample[];
  readonly pieces: readonly Placed[];
  readonly catalogue: Catalogue;
  readonly half: number;
  readonly columnAt: (x: number) => Column;
  /** Half in which the basking place lies. */
  readonly basks: Column | null;
  /** Water of the whole bed, kg, when it stands at the barrier. */
  readonly bedFull: number;
  /** Share of what its ground sees overhead that is open to the room. */
  readonly sky: number;
}

/** Ground, bed and water of one half of the box. */
export function columnModel({
  design,
  column,
  samples,
  pieces,
  catalogue,
  half,
  columnAt,
  basks,
  bedFull,
  sky,
}: ColumnInput): ColumnModel {
  const per = half / Math.max(1, samples.length);
  const wet = samples.filter((it) => it.water > 0.003);
  const land = samples.filter((it) => it.water <= 0.003 && it.soil > 0.005);
  const mean = (of: (it: Sample) => number, over: readonly Sample[]): number =>
    over.length === 0 ? 0 : over.reduce((sum, it) => sum + of(it), 0) / over.length;
  const area = land.length * per;
  const soilDepth = Math.max(
    0.025,
    mean((it) => it.soil, land),
  );
  const bed = mean((it) => it.bed, samples);
  // The layers of a place in the middle stand for the column.
  const typical = land[Math.floor(land.length / 2)];
  const drained = design.ground.method !== 'none';
  const foot = mean((it) => it.foot, land);
  const datum = Math.max(0, drained ? design.ground.waterDepth - foot : 0);
  const deep = (soilDepth - 0.01) / 3;
  const thicknesses = [0.01, deep, deep, deep] as const;
  let from = soilDepth;
  const soil: SoilNode[] = [];
  const start: number[] = [];
  const moistShare = design.ground.moistShare;
  for (const thickness of thicknesses) {
    const level = from - thickness / 2;
    const layer = typical ? layerAtLevel(typical, level / soilDepth) : undefined;
    const mix = layer?.layer.kind === 'substrate' ? layer.layer.mix : undefined;
    const blend = (mix && blendOf(mix, catalogue)) ?? DEFAULT_BLEND;
    const dry = mix
      ? normalise(mix).reduce(
          (sum, part) => sum + part.share * materialOf(catalogue, part.material).density.value,
          0,
        )
      : 600;
    const rest = blend.held(Math.max(0, level - datum) * 100);
    // What no root takes out, at 15 bar.
    const residual = Math.min(rest * 0.8, blend.held(15_000));
    const moist =
      drained || level / soilDepth <= moistShare
        ? Math.min(blend.held(SQUEEZE[design.ground.squeeze]), blend.porosity)
        : residual + 0.02;
    const begins = drained ? rest : moist;
    soil.push({
      thickness,
      soil: hydraulicsOf(blend),
      residual,
      heat: Math.max(1e-4, area) * thickness * (dry * 1100 + begins * 4.18e6),
      conducts: [0.05 + (0.2 * dry) / 1500, 0.45 + (1.3 * dry) / 1500],
    });
    start.push(begins);
    from -= thickness;
  }
  const { enclosure } = design;
  const dishes = pieces.filter(
    ({ piece, solid }) => columnAt(solid.foot.x) === column && dishOf(piece.kind, catalogue),
  );
  const dishArea = dishes.reduce((sum, { solid }) => sum + solid.shades * 0.8, 0);
  // A bare floor is a shallow pool that holds what falls on it.
  const bare = land.length === 0 && wet.length === 0;
  const poolArea = bare ? half : wet.length * per + dishArea;
  const poolWater = bare
    ? 0
    : (wet.reduce((sum, it) => sum + it.water, 0) * per + dishArea * 0.02) * WATER_DENSITY;
  const falls = pieces.reduce(
    (sum, { piece, solid }) =>
      piece.pump && columnAt(solid.foot.x) === column ? sum + Math.min(0.3, solid.surface * 0.4) : sum,
    0,
  );
  const floorArea = half;
  const tray = floorOf(enclosure);
  const t = enclosure.wallThickness;
  const stuff = tray && WALL_STUFF[tray.material];
  const floorSheets = [
    ...(stuff ? [{ thickness: t, conducts: stuff.conducts }] : []),
    { thickness: 0.018, conducts: 0.13 },
  ];
  // Round the soil: its own end, and half of back and front; what opens or is gauze stands on a sill like the floor.
  const end = (column === 0) === (design.scape.warm === 'right') ? 'right' : 'left';
  const around = [
    { run: enclosure.depth, made: enclosure.screened.includes(end) ? tray : sideOf(enclosure, end) },
    {
      run: enclosure.width / 2,
      made: enclosure.screened.includes('back') ? tray : sideOf(enclosure, 'back'),
    },
    {
      run: enclosure.width / 2,
      made:
        enclosure.front === 'doors' || enclosure.screened.includes('front')
          ? tray
          : sideOf(enclosure, 'front'),
    },
  ];
  const litter = Math.min(
    0.05,
    mean((it) => it.litter, land),
  );
  return {
    area,
    soil: soil as [SoilNode, SoilNode, SoilNode, SoilNode],
    start: start as [number, number, number, number],
    litter: litter / LITTER_DIFFUSION,
    sides: stuff
      ? around.reduce(
          (sum, { run, made }) =>
            sum +
            (made
              ? letsThrough([{ thickness: made.thickness, conducts: WALL_STUFF[made.material].conducts }])
              : 0) *
              run *
              deep *
              0.5,
          0,
        )
      : 0.5,
    bed: {
      heat: floorArea * (Math.max(0.005, bed) * 1.4e6 + (stuff ? t * stuff.density * stuff.heat : 5000)),
      toSoil: area / (bed > 0 ? bed / 0.35 + 0.01 : 0.02),
      down: floorArea * letsThrough(floorSheets, 'down'),
    },
    pool: { area: poolArea, full: poolWater, toBed: poolArea * 30 },
    falls,
    foot: footOf({ design, land, foot, bedFull, poolArea }),
    sky,
    spot: basks === column ? { area: 0.02, heat: 0.02 * 0.012 * 1.6e6 } : { area: 0, heat: 0 },
  };
}

/** How the soil of a half meets the water under it, or beside it. */
function footOf({
  design,
  land,
  foot,
  bedFull,
  poolArea,
}: {
  readonly design: Design;
  readonly land: readonly Sample[];
  readonly foot: number;
  readonly bedFull: number;
  readonly poolArea: number;
}): FootModel | null {
  if (land.length === 0) return null;
  const { ground } = design;
  const method = drainageMethodOf(ground.method);
  if (method.bed === null) return null;
  const bed = bedOf(method.bed);
  if (method.openWater)
    // Land in open water stands in it: it drinks from the level of the pool.
    return { height: foot, touches: 1, pores: 1, perMetre: WATER_DENSITY * Math.max(NO_AREA, poolArea) };
  const deep = Math.max(...land.map((it) => it.bed), 0);
  if (deep <= 0 || bedFull <= 0) return null;
  // What is filled down to the floor stands in the water beside the bed, as a wick does.
  const touching = land.filter((it) => it.foot < deep - 0.005);
  return {
    height: deep,
    touches: touching.length / land.length,
    pores: bed.pores,
    perMetre: bedFull / deep,
  };
}
const dishOf = (kind: string, catalogue: Catalogue): boolean =>
  catalogue.scape.pieces.some(
    (it) =>
      it.id === kind && it.uses.some((use) => use === 'drink' || use === 'soak') && it.group !== 'stone',
  );

function layerAtLevel(sample: Sample, part: number): PlacedLayer | undefined {
  const soils = sample.placed.filter((it) => it.layer.kind === 'substrate');
  let left = part * sample.soil;
  for (const it of soils) {
    const thick =
      heightAt(it.top, it.field, sample.x, sample.y) - heightAt(it.base, it.field, sample.x, sample.y);
    if (left <= thick) return it;
    left -= thick;
  }
  return soils.at(-1);
}
