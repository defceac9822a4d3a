import { materialOf, type Catalogue, bedOfMaterial } from '../catalogue';
import type {
  BarrierLayer,
  Corners,
  Design,
  Ground,
  Layer,
  Mix,
  Region,
  WaterLayer,
} from '../document/schema';
import { backsOf, type Back } from '../pieces/backs';
import { placePieces, type Placed } from '../pieces/place';
import { bodyIn, siteOf } from './bodies';
import { level } from './corners';
import {
  boundsOf,
  extremes,
  heightAt,
  momentsOf,
  rectOf,
  refield,
  volumeBelow,
  volumeUnder,
  type Area,
  type Rect,
} from './floor';
import { placeLayers, type PlacedLayer } from './placedLayers';
import { mixNeed, single, type MixNeed } from './mix';
import { legsUnder } from './panel';
import { SQUEEZE } from './water';
import { WATER_DENSITY } from '../physics/constants';

export interface LayerResult {
  readonly layer: Layer;
  /** The region it belongs to; null for the rest of the floor. */
  readonly region: string | null;
  /** What its corners are the corners of: the floor, or the rectangle around a region's outline. */
  readonly field: Rect;
  /** m² of floor it lies on. */
  readonly area: number;
  /** Thickness at the corners of the field, m. */
  readonly thickness: Corners;
  /** Underside and upper side above the floor, m. */
  readonly base: Corners;
  readonly top: Corners;
  /** m³ between underside and upper side. */
  readonly gross: number;
  /** m³ of that taken up by what is sunk in it: wood, stone, a tube, a basket. */
  readonly displaced: number;
  /** In the box, after settling, m³: gross less displaced. */
  readonly placed: number;
  /** Share of it that water can fill, for what drains. */
  readonly voids: number | undefined;
  /** Water standing in it, m³. */
  readonly water: number;
  /** kg, with nothing but its solids. */
  readonly dryMass: number;
  /** kg, moist as it will stand; the drainage layer with the water kept in it. */
  readonly wetMass: number;
  /** Share of it that goes in moistened, for soil; 1 for all else. */
  readonly moistShare: number;
  /** What it takes to fill it; undefined for what is cut or poured: barrier, panel, foam, water. */
  readonly need: MixNeed | undefined;
}

/** A part of the floor over which the same layers lie. Parts share the floor out without gap or overlap. */
export interface Part {
  /** null: the rest of the floor. */
  readonly region: Region | null;
  readonly outline: Area;
  /** m² */
  readonly area: number;
  /** From the floor up, those it shares with other parts included. */
  readonly stack: readonly LayerResult[];
  readonly field: Rect;
  /** Upper side of its topmost layer at the corners of its field, m above the floor. */
  readonly surface: Corners;
  /** Lowest and highest ground over it, m above the floor. */
  readonly low: number;
  readonly high: number;
  /** m³ from its ground to the lid. */
  readonly free: number;
}

/** All of the floor is open water: there is no land in it. */
export const allWater = ({ parts }: Pick<GroundResult, 'parts'>): boolean =>
  parts.length > 0 && parts.every(({ stack }) => stack.at(-1)?.layer.kind === 'water');

export interface GroundResult {
  /** Those of the rest of the floor first, then region by region; each from the floor up. */
  readonly layers: readonly LayerResult[];
  readonly parts: readonly Part[];
  /** Wood, stone and fittings where they stand. */
  readonly pieces: readonly Placed[];
  readonly backs: readonly Back[];
  /** m³ of every body within each layer, by the body's and the layer's id. */
  readonly within: ReadonlyMap<string, ReadonlyMap<string, number>>;
}

const mixOf = (layer: Exclude<Layer, BarrierLayer | WaterLayer>): Mix =>
  layer.kind === 'substrate' ? layer.mix : single(layer.material);

/**
 * Lays every layer on the ones below it and shares the floor out among the regions. Volumes are exact for any slopes
 * and outlines; where water meets a slope, within 1e-6 of the bed.
 */
export function layGround(design: Design, catalogue: Catalogue): GroundResult {
  const { width, depth, height } = design.enclosure;
  const { ground } = design;
  const floor = rectOf(width, depth);
  const { layers: lyings, stacks, areas, seen, stackAt } = placeLayers(design);
  const pieces = placePieces(design.scape.pieces, siteOf(design, stackAt));
  const backs = backsOf(design.scape.backgrounds, design.enclosure);
  const bodies = new Map<string, ReadonlyMap<string, number>>();
  for (const { piece, solid } of pieces) bodies.set(piece.id, bodyIn(solid, design, stackAt));
  for (const { background, solid } of backs) bodies.set(background.id, bodyIn(solid, design, stackAt));
  const sunk = displacedBy(design, stacks, stackAt, bodies);
  const damp = dampShares(ground, stacks, areas);
  const results = new Map<PlacedLayer, LayerResult>();
  for (const placed of lyings) {
    results.set(placed, resultOf(placed, design, catalogue, sunk.get(placed) ?? 0, damp.get(placed) ?? 1));
  }

  const parts = stacks.flatMap((stack, index): Part[] => {
    const region = index === 0 ? null : (ground.regions[index - 1] ?? null);
    const outline = areas[index] ?? [];
    const moments = index === 0 ? momentsOf(outline) : (seen[index - 1] ?? momentsOf(outline));
    // A region that is covered, or a rest that nothing is left of, is no part of the floor.
    if (moments.area < 1e-9) return [];
    const field = region ? boundsOf(region.outline) : floor;
    const topmost = stack.at(-1);
    const surface = topmost ? refield(topmost.top, topmost.field, field) : level(0);
    const { low, high } = topmost ? extremes(topmost.top, topmost.field, outline) : { low: 0, high: 0 };
    const filled =
      topmost?.layer.kind === 'water'
        ? stack.slice(0, -1).reduce((sum, it) => sum + volumeUnder(it.thickness, it.field, moments), 0) +
          waterOver(topmost, ground, [outline])
        : topmost
          ? volumeUnder(topmost.top, topmost.field, moments)
          : 0;
    return [
      {
        region,
        outline,
        area: moments.area,
        stack: stack.flatMap((it) => results.get(it) ?? []),
        field,
        surface,
        low,
        high,
        free: height * moments.area - filled,
      },
    ];
  });
  return { layers: [...results.values()], parts, pieces, backs, within: bodies };
}

/** m³ of open water over a surface: where the ground rises out of it there is none. */
function waterOver(placed: PlacedLayer, ground: Ground, over: readonly Area[]): number {
  if (placed.layer.kind !== 'water') return 0;
  const surface = placed.layer.level ?? ground.waterDepth;
  return over.reduce(
    (sum, area) =>
      sum + momentsOf(area).area * surface - volumeBelow(placed.base, placed.field, area, surface),
    0,
  );
}

/** Water in a layer that lies between two surfaces, up to a level, m³ of layer. */
export const filledTo = (
  it: Pick<PlacedLayer, 'base' | 'top' | 'field' | 'over'>,
  waterLevel: number,
): number =>
  it.over.reduce(
    (sum, area) =>
      sum +
      volumeBelow(it.top, it.field, area, waterLevel) -
      volumeBelow(it.base, it.field, area, waterLevel),
    0,
  );

function resultOf(
  at: PlacedLayer,
  design: Design,
  catalogue: Catalogue,
  sunk: number,
  damp: number,
): LayerResult {
  const { layer, field, thickness, base, top, moments, region } = at;
  const { ground } = design;
  const gross =
    layer.kind === 'water' ? waterOver(at, ground, at.over) : volumeUnder(thickness, field, moments);
  const displaced = Math.min(sunk, gross);
  const placed = gross - displaced;
  const standing = {
    layer,
    region,
    field,
    area: moments.area,
    thickness,
    base,
    top,
    gross,
    displaced,
    placed,
    moistShare: damp,
  };

  if (layer.kind === 'water') {
    const kg = placed * WATER_DENSITY;
    return { ...standing, voids: 1, water: placed, dryMass: 0, wetMass: kg, need: undefined };
  }
  if (layer.kind === 'barrier') {
    const kg = moments.area * materialOf(catalogue, layer.material).density.value;
    return { ...standing, voids: undefined, water: 0, dryMass: kg, wetMass: kg, need: undefined };
  }
  const moisture = { suction: SQUEEZE[ground.squeeze], share: damp };
  const need = mixNeed(mixOf(layer), placed, catalogue, moisture);
  if (layer.kind === 'drainage') {
    const row = materialOf(catalogue, layer.material);
    const bed = bedOfMaterial(row);
    const legs = bed?.legs ? legsUnder(field, ground.panel).area / (moments.area || 1) : 0;
    const voids = Math.max(0, (row.voids?.value ?? 0) - legs);
    const share = gross > 0 ? placed / gross : 1;
    const water = voids * share * filledTo(at, ground.waterDepth);
    return {
      ...standing,
      voids,
      water,
      dryMass: need.dryMass,
      wetMass: need.dryMass + water * WATER_DENSITY,
      need: bed?.poured === false ? undefined : need,
    };
  }
  const wetMass = need.dryMass + need.water * placed * WATER_DENSITY;
  return { ...standing, voids: undefined, water: 0, dryMass: need.dryMass, wetMass, need };
}

/** m³ taken up in each layer by what stands in it, is sunk in it, a siphon tube, or a basket that lifts out. */
function displacedBy(
  { ground, enclosure }: Design,
  stacks: readonly (readonly PlacedLayer[])[],
  stackAt: (x: number, y: number) => readonly PlacedLayer[],
  bodies: ReadonlyMap<string, ReadonlyMap<string, number>>,
): ReadonlyMap<PlacedLayer, number> {
  const displaced = new Map<PlacedLayer, number>();
  const take = (placed: PlacedLayer, volume: number): void => {
    if (volume > 0) displaced.set(placed, (displaced.get(placed) ?? 0) + volume);
  };
  const everywhere = new Map(stacks.flat().map((it) => [it.layer.id, it]));
  for (const piece of ground.sunk) {
    const into = everywhere.get(piece.layer);
    if (into) take(into, piece.volume);
  }
  for (const volumes of bodies.values()) {
    for (const [layer, volume] of volumes) {
      const into = everywhere.get(layer);
      if (into) take(into, volume);
    }
  }
  const { outlet } = ground;
  if (outlet.kind === 'siphon') {
    const { x, y } = outlet.at;
    const area = (Math.PI * outlet.diameter ** 2) / 4;
    for (const it of stackAt(x, y)) take(it, area * heightAt(it.thickness, it.field, x, y));
  }
  if (outlet.kind === 'lift-out') {
    const { x, y } = liftOutMiddle(outlet, enclosure);
    const stack = stackAt(x, y);
    const above = stack.reduce(
      (at, it, index) => (it.layer.kind === 'drainage' || it.layer.kind === 'barrier' ? index + 1 : at),
      0,
    );
    // Over a rectangle a bilinear surface has its middle's height as its mean.
    for (const it of stack.slice(above)) {
      take(it, outlet.width * outlet.depth * heightAt(it.thickness, it.field, x, y));
    }
  }
  return displaced;
}

/** Middle of the corner that lifts out, m from the left and the front. */
export function liftOutMiddle(
  outlet: Extract<Ground['outlet'], { kind: 'lift-out' }>,
  box: { readonly width: number; readonly depth: number },
) {
  return {
    x: outlet.corner.endsWith('Left') ? outlet.width / 2 : box.width - outlet.width / 2,
    y: outlet.corner.startsWith('front') ? outlet.depth / 2 : box.depth - outlet.depth / 2,
  };
}

/**
 * Share of each soil layer that is moistened, when the lowest `moistShare` of the soil of its part is: by mean depths,
 * exact where the layers slope alike. A layer that several parts share goes by the rest of the floor.
 */
function dampShares(
  ground: Ground,
  stacks: readonly (readonly PlacedLayer[])[],
  areas: readonly Area[],
): ReadonlyMap<PlacedLayer, number> {
  const shares = new Map<PlacedLayer, number>();
  stacks.forEach((stack, index) => {
    const region = index === 0 ? undefined : ground.regions[index - 1];
    const over = index === 0 ? undefined : momentsOf(areas[index] ?? []);
    const depthOf = (it: PlacedLayer): number => {
      const moments = over ?? it.moments;
      return moments.area > 0 ? volumeUnder(it.thickness, it.field, moments) / moments.area : 0;
    };
    const soils = stack
      .filter((it) => it.layer.kind === 'substrate')
      .map((it) => ({ it, depth: depthOf(it) }));
    const boundary =
      (region?.moistShare ?? ground.moistShare) * soils.reduce((sum, soil) => sum + soil.depth, 0);
    let base = 0;
    for (const { it, depth } of soils) {
      if (!shares.has(it)) {
        shares.set(it, depth > 0 ? Math.min(1, Math.max(0, (boundary - base) / depth)) : 1);
      }
      base += depth;
    }
  });
  return shares;
}
