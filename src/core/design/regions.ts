import { everydayMaterial, findRecipe, type Catalogue } from '../catalogue';
import { level } from '../ground/corners';
import { mixOfRecipe } from './mixOfRecipe';
import type { Design, Layer, Point, Region } from './schema';

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
  ].map(({ x, y }) => ({ x: Math.round(x * 1000) / 1000, y: Math.round(y * 1000) / 1000 }));
};

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
  const soil = (recipe: string, name: string, depth: number): Layer => ({
    kind: 'substrate',
    id: 'new',
    name,
    mix: mixOfRecipe(findRecipe(catalogue, recipe)?.id ?? catalogue.recipes[0]?.id ?? recipe, catalogue),
    thickness: level(depth),
  });
  const plain = (role: 'moss' | 'litter' | 'thin', depth: number): Layer => ({
    kind: role,
    id: 'new',
    material: everydayMaterial(catalogue, role).id,
    thickness: level(depth),
  });
  const room = design.enclosure.height;
  switch (kind) {
    case 'moist-end':
      return {
        name: 'Moist end',
        outline: rectangle(design, 0.68, 1, 0, 1),
        replaces: 'above-barrier',
        moistShare: 1,
        layers: [soil('forest-five-coir', 'Moss-rich mix', 0.05), plain('moss', 0.02)],
      };
    case 'bark-bay':
      return {
        name: 'Bark bay',
        outline: rectangle(design, 0, 0.3, 0.55, 1),
        replaces: 'all',
        moistShare: 0,
        layers: [soil('bark-bay', 'Dry bark', 0.025)],
      };
    case 'den':
      return {
        name: 'Den',
        outline: patch(design, 0.7, 0.7, 0.4, 0.45),
        replaces: 'above-barrier',
        moistShare: 1,
        layers: [soil('coir-bark-leaf', 'Den fill', Math.min(0.2, room * 0.3))],
      };
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
    case 'bowl':
      return {
        name: 'Pool in a bowl',
        outline: patch(design, 0.7, 0.3, 0.3, 0.36),
        replaces: 'above-barrier',
        moistShare: null,
        layers: [plain('thin', 0.01), { kind: 'water', id: 'new', level: bowlLevel(design) }],
      };
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
          soil('forest-five-coir', 'Forest mix, peat-free', 0.06),
          plain('moss', 0.015),
        ],
      };
  }
}

/** A shallow bowl let into the soil stands about a centimetre of water over its gravel; small frogs drown in more. */
function bowlLevel(design: Design): number {
  const bed = design.ground.layers.reduce(
    (sum, layer) =>
      sum + (layer.kind === 'drainage' ? layer.thickness.frontLeft : layer.kind === 'barrier' ? 0.001 : 0),
    0,
  );
  return Math.round((bed + 0.02) * 1000) / 1000;
}
