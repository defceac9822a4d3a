import type { Corners, Design, Ground, Layer, Region } from '../document/schema';
import { add, level, map } from './corners';
import {
  areaOfRect,
  boundsOf,
  floorplan,
  minus,
  momentsOf,
  rectOf,
  refield,
  within,
  type Area,
  type Moments,
  type Rect,
} from './floor';

/** A barrier is a cloth; its millimetre still lifts what lies on it. */
export const BARRIER_THICKNESS = 0.001;

/** How many of the base layers run on under a region. */
export function keptUnder(region: Region, layers: readonly Layer[]): number {
  if (region.replaces === 'all') return 0;
  const last = (kinds: readonly Layer['kind'][]): number =>
    layers.reduce((at, layer, index) => (kinds.includes(layer.kind) ? index + 1 : at), 0);
  return region.replaces === 'above-barrier'
    ? last(['drainage', 'barrier'])
    : last(['drainage', 'barrier', 'substrate']);
}

let lastFloor: { readonly width: number; readonly depth: number; readonly area: Area } | undefined;

/** The floor as an area, the same object while the box keeps its size. */
function wholeFloor(width: number, depth: number): Area {
  if (lastFloor?.width !== width || lastFloor.depth !== depth) {
    lastFloor = { width, depth, area: areaOfRect(rectOf(width, depth)) };
  }
  return lastFloor.area;
}

/** Where a layer lies, before anything is asked about what it is made of. */
export interface PlacedLayer {
  readonly layer: Layer;
  readonly region: string | null;
  readonly field: Rect;
  readonly thickness: Corners;
  readonly base: Corners;
  readonly top: Corners;
  /** The parts of the floor it covers, and their moments together. */
  readonly over: readonly Area[];
  readonly moments: Moments;
}

const sumOf = (all: readonly Moments[]): Moments =>
  all.reduce((a, b) => ({ area: a.area + b.area, x: a.x + b.x, y: a.y + b.y, xy: a.xy + b.xy }), {
    area: 0,
    x: 0,
    y: 0,
    xy: 0,
  });

/** Lays one layer on a surface. Open water levels out: it fills what lies lower than itself. */
function lay(layer: Layer, base: Corners, ground: Ground): Pick<PlacedLayer, 'thickness' | 'base' | 'top'> {
  if (layer.kind === 'water') {
    const surface = layer.level ?? ground.waterDepth;
    const thickness = map(base, (height) => Math.max(0, surface - height));
    return { thickness, base, top: add(base, thickness) };
  }
  const thickness = layer.kind === 'barrier' ? level(BARRIER_THICKNESS) : layer.thickness;
  return { thickness, base, top: add(base, thickness) };
}

/** Every layer where it lies, before anything is asked about what it is made of. */
interface PlacedLayers {
  /** Those of the rest of the floor, then region by region; each from the floor up. */
  readonly layers: readonly PlacedLayer[];
  /** What lies over each part of the floor: the rest, then each region. */
  readonly stacks: readonly (readonly PlacedLayer[])[];
  readonly areas: readonly Area[];
  /** Moments of what is seen of each region. */
  readonly seen: readonly Moments[];
  readonly stackAt: (x: number, y: number) => readonly PlacedLayer[];
}

export function placeLayers({ enclosure, ground }: Design): PlacedLayers {
  const { width, depth } = enclosure;
  const floor = rectOf(width, depth);
  const plan = floorplan(
    width,
    depth,
    ground.regions.map((region) => region.outline),
  );
  const seen = plan.regions.map(momentsOf);
  const whole = momentsOf(wholeFloor(width, depth));
  const kept = ground.regions.map((region) => keptUnder(region, ground.layers));

  let under = level(0);
  const base = ground.layers.map((layer, index): PlacedLayer => {
    const placed = lay(layer, under, ground);
    under = placed.top;
    const without = seen.filter((_, region) => (kept[region] ?? 0) <= index);
    const regions = plan.regions.filter((_, region) => (kept[region] ?? 0) > index);
    return {
      layer,
      region: null,
      field: floor,
      ...placed,
      over: [plan.rest, ...regions],
      moments: without.length === 0 ? whole : minus(whole, sumOf(without)),
    };
  });
  const inRegions = ground.regions.map((region, index) => {
    const field = boundsOf(region.outline);
    const on = base[(kept[index] ?? 0) - 1];
    let surface = on ? refield(on.top, floor, field) : level(0);
    return region.layers.map((layer): PlacedLayer => {
      const placed = lay(layer, surface, ground);
      surface = placed.top;
      const area = plan.regions[index] ?? [];
      return {
        layer,
        region: region.id,
        field,
        ...placed,
        over: [area],
        moments: seen[index] ?? momentsOf(area),
      };
    });
  });
  const stacks = [base, ...inRegions.map((own, index) => [...base.slice(0, kept[index] ?? 0), ...own])];
  const areas = [plan.rest, ...plan.regions];
  return {
    layers: [base, ...inRegions].flat(),
    stacks,
    areas,
    seen,
    stackAt: (x, y) =>
      stacks.length === 1
        ? base
        : (stacks[
            Math.max(
              0,
              areas.findIndex((area) => within(area, x, y)),
            )
          ] ?? []),
  };
}
