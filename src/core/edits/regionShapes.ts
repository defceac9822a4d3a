import { everydayMaterial, findRecipe, materialsFor, type Catalogue } from '../catalogue';
import { add, level, lowest, map } from '../ground/corners';
import { boundsOf, rectOf, refield } from '../ground/floor';
import { mixOfRecipe } from './mixOfRecipe';
import type { Corners, Design, Layer, Point, Region } from '../document/schema';

/** Kinds of region that are commonly built; each is a start that can be changed in every way. */
export const REGION_KINDS = [
  'moist-end',
  'bark-bay',
  'den',
  'litter-pocket',
  'pool',
  'bowl',
  'land',
] as const;
export type RegionKind = (typeof REGION_KINDS)[number];

/** A rectangle of the floor by shares of its width and depth. */
const rectangle = (design: Design, left: number, right: number, front: number, back: number): Point[] => {
  const { width, depth } = design.enclosure;
  return [
    { x: left * width, y: front * depth },
    { x: right * width, y: front * depth },
    { x: right * width, y: back * depth },
    { x: left * width, y: back * depth },
  ].map(({ x, y }) => ({ x: toMillimetre(x, width), y: toMillimetre(y, depth) }));
};

/** To the millimetre, but never short of the wall: a gap of a hair is a part of the floor too. */
const toMillimetre = (metres: number, wall: number): number =>
  Math.abs(metres - wall) < 1e-9 ? wall : Math.round(metres * 1000) / 1000;

/** Soil of the rest of the floor as it lies under an outline, at the corners of the rectangle around it. */
function soilAround({ ground, enclosure }: Design, outline: readonly Point[]): Corners {
  const soils = ground.layers.filter((layer) => layer.kind === 'substrate');
  const depth = soils.reduce((sum, soil) => add(sum, soil.thickness), level(0));
  return soils.length === 0
    ? level(0.06)
    : refield(depth, rectOf(enclosure.width, enclosure.depth), boundsOf(outline));
}

/** A liner that holds the water over it, turned up at its edge by so much, m; none where the catalogue has no such cloth. */
export const linerOf = (catalogue: Catalogue, upturn: number): readonly Layer[] =>
  materialsFor(catalogue, 'barrier')
    .filter((it) => it.tight)
    .slice(0, 1)
    .map(({ id }) => ({
      kind: 'barrier',
      id: 'new',
      material: id,
      edge: 'upturned',
      upturn,
      overlap: 0.05,
      holes: [],
    }));

/** A rounded patch: twelve corners on an ellipse. */
const patch = (design: Design, x: number, y: number, across: number, deep: number): Point[] => {
  const { width, depth } = design.enclosure;
  return Array.from({ length: 12 }, (_, index) => {
    const turn = (index / 12) * 2 * Math.PI;
    return {
      x: Math.round((x + (across / 2) * Math.cos(turn)) * width * 1000) / 1000,
      y: Math.round((y + (deep / 2) * Math.sin(turn)) * depth * 1000) / 1000,
    };
  });
};

type Made = Omit<Region, 'id'>;

/** A region of a kind, sized for the box it goes into. Its layers are numbered by whoever puts it in. */
export function regionOf(kind: RegionKind, design: Design, catalogue: Catalogue): Made {
  const soil = (recipe: string, name: string, thickness: Corners): Layer => ({
    kind: 'substrate',
    id: 'new',
    name,
    mix: mixOfRecipe(findRecipe(catalogue, recipe)?.id ?? catalogue.recipes[0]?.id ?? recipe, catalogue),
    thickness,
  });
  /** As deep as the rest, more or less by so much; never less than a layer one can lay. */
  const besides = (outline: readonly Point[], by: number): Corners =>
    map(soilAround(design, outline), (depth) => Math.round(Math.max(0.02, depth + by) * 1000) / 1000);
  const plain = (role: 'moss' | 'litter' | 'thin', depth: number): Layer => ({
    kind: role,
    id: 'new',
    material: everydayMaterial(catalogue, role).id,
    thickness: level(depth),
  });
  switch (kind) {
    case 'moist-end': {
      const outline = rectangle(design, 0.68, 1, 0, 1);
      return {
        name: 'Moist end',
        outline,
        replaces: 'above-barrier',
        moistShare: 1,
        layers: [soil('forest-five-coir', 'Moss-rich mix', besides(outline, -0.005)), plain('moss', 0.02)],
      };
    }
    case 'bark-bay':
      return {
        name: 'Bark bay',
        outline: rectangle(design, 0, 0.3, 0.55, 1),
        replaces: 'all',
        moistShare: 0,
        layers: [soil('bark-bay', 'Dry bark', level(0.025))],
      };
    case 'den': {
      const outline = patch(design, 0.7, 0.7, 0.4, 0.45);
      // Heaped over what lies around it, as far as the box allows.
      const heap = Math.min(0.06, design.enclosure.height * 0.12);
      return {
        name: 'Den',
        outline,
        replaces: 'above-barrier',
        moistShare: 1,
        layers: [soil('coir-bark-leaf', 'Den fill', besides(outline, heap))],
      };
    }
    case 'litter-pocket':
      return {
        name: 'Litter pocket',
        outline: patch(design, 0.25, 0.75, 0.4, 0.4),
        replaces: 'topping',
        moistShare: null,
        layers: [plain('litter', 0.04)],
      };
    case 'pool':
      return {
        name: 'Pool',
        outline: patch(design, 0.7, 0.32, 0.44, 0.5),
        replaces: 'all',
        moistShare: null,
        layers: [{ kind: 'water', id: 'new', level: null }],
      };
    case 'bowl': {
      const outline = patch(design, 0.7, 0.3, 0.3, 0.36);
      // Let into the soil by its own depth: gravel, and a little more than a centimetre of water over it.
      const under = level(lowest(besides(outline, -0.035)));
      return {
        name: 'Pool in a bowl',
        outline,
        replaces: 'above-barrier',
        moistShare: null,
        layers: [
          soil('plain-base', 'Under the bowl', under),
          ...linerOf(catalogue, 0.035),
          plain('thin', 0.01),
          {
            kind: 'water',
            id: 'new',
            level: Math.round((bedUnder(design) + under.frontLeft + 0.023) * 1000) / 1000,
          },
        ],
      };
    }
    case 'land':
      return {
        name: 'Land',
        outline: rectangle(design, 0, 0.45, 0, 1),
        replaces: 'all',
        moistShare: null,
        layers: [
          {
            kind: 'drainage',
            id: 'new',
            material: everydayMaterial(catalogue, 'raised-panel').id,
            thickness: level(Math.max(0.05, design.ground.waterDepth + 0.02)),
          },
          {
            kind: 'barrier',
            id: 'new',
            material: everydayMaterial(catalogue, 'barrier').id,
            edge: 'upturned',
            upturn: 0.025,
            overlap: 0.05,
            holes: [],
          },
          soil('forest-five-coir', 'Forest mix, peat-free', level(0.06)),
          plain('moss', 0.015),
        ],
      };
  }
}

/** What lies under the soil of the rest of the floor, m, at its front left corner. */
const bedUnder = ({ ground }: Design): number =>
  ground.layers.reduce(
    (sum, layer) =>
      sum + (layer.kind === 'drainage' ? layer.thickness.frontLeft : layer.kind === 'barrier' ? 0.001 : 0),
    0,
  );
