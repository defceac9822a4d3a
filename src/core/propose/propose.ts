import {
  heightNeed,
  neededRest,
  OVER_WATER,
  poolDepth,
  roomClimate,
  spaceNeed,
  type RoomClimate,
} from '../brief';
import {
  everydayMaterial,
  findAnimal,
  type Animal,
  type Catalogue,
  drainageMethodOf,
  usualBedDepth,
  type BedId,
} from '../catalogue';
import { level, sloped } from '../ground/corners';
import { usualPanel, usualWall } from '../enclosure/box';
import { BARRIER_THICKNESS } from '../ground/placedLayers';
import { mixOfRecipe } from '../edits/mixOfRecipe';
import {
  BARE_CLIMATE,
  BARE_LIVING,
  BARE_CARE,
  BARE_PLAN,
  DESIGN_VERSION,
  EMPTY_SCAPE,
  type Corners,
  type Design,
  type Enclosure,
  type Layer,
  type Region,
  type Room,
  type Method,
} from '../document/schema';
import { clamp } from '../physics/constants';

export interface Questionnaire {
  readonly id: string;
  readonly name: string;
  /** null: not known yet. */
  readonly animal: string | null;
  readonly count: number;
  /** Inside size, m; null: not known yet. */
  readonly size: { readonly width: number; readonly depth: number; readonly height: number } | null;
  readonly room: Room;
}

type World = Animal['ground']['value'];

const upTo = (value: number, step: number): number => Math.ceil(value / step - 1e-9) * step;
const toMillimetre = (value: number): number => Math.round(value * 1000) / 1000;

/**
 * With no animal chosen, a drained and planted box: a drained one can be kept dry,
 * an undrained one can never be kept wet.
 */
const UNDECIDED: World = 'wet';

/** A whole design from three answers, each of which may be “do not know yet”. */
export function proposeDesign(answers: Questionnaire, catalogue: Catalogue): Design {
  const animal = findAnimal(catalogue, answers.animal);
  const room = roomClimate(answers.room);
  const enclosure = proposeEnclosure(answers, animal, room);
  return {
    format: 'rincon-enclosure',
    version: DESIGN_VERSION,
    id: answers.id,
    name: answers.name,
    brief: {
      animal: animal?.id ?? null,
      count: answers.count,
      room: answers.room,
      stage: 'planned',
      since: null,
      note: '',
      place: { room: '', shelf: '' },
      putAway: false,
      described: true,
    },
    enclosure,
    ground: proposeGround({ animal, enclosure, room }, catalogue),
    scape: EMPTY_SCAPE,
    climate: BARE_CLIMATE,
    living: { ...BARE_LIVING, rest: neededRest(animal, BARE_CLIMATE.room.latitude, room.temperature) },
    plan: BARE_PLAN,
    care: BARE_CARE,
  };
}

/** The smallest box that suits, in steps a box is sold in. */
export function proposeSize(animal: Animal | undefined, count: number) {
  if (!animal) return { width: 0.6, depth: 0.45, height: 0.45 };
  const need = spaceNeed(animal, count);
  const depth = upTo(need.depth, 0.05);
  return {
    width: toMillimetre(upTo(Math.max(need.width, need.floor / depth), 0.05)),
    depth: toMillimetre(depth),
    height: toMillimetre(upTo(heightNeed(animal) + 0.02, 0.05)),
  };
}

/** Cover that holds moisture in a dry room and lets it go in a humid one (common practice). */
const COVER: Record<'moist' | 'damp' | 'dry', Record<RoomClimate['kind'], number>> = {
  moist: { dry: 0.85, middle: 0.7, humid: 0.3 },
  damp: { dry: 0.7, middle: 0.5, humid: 0.1 },
  dry: { dry: 0.5, middle: 0.3, humid: 0.1 },
};

const dampness = (world: World): 'moist' | 'damp' | 'dry' =>
  world === 'wet' || world === 'half-water' ? 'moist' : world;

function proposeEnclosure(answers: Questionnaire, animal: Animal | undefined, room: RoomClimate): Enclosure {
  const size = answers.size ?? proposeSize(animal, answers.count);
  const world = animal?.ground.value ?? UNDECIDED;
  // Mesh moves air where the room already brings the moisture; it needs a tray for its ground.
  const airy = animal?.life.value === 'climbing' && animal.kind === 'lizard' && room.kind === 'humid';
  const longest = Math.max(size.width, size.depth, size.height);
  const material = airy ? 'mesh' : longest > 1.2 ? 'pvc' : 'glass';
  const wet = dampness(world) === 'moist';
  const sill = Math.max(
    clamp(size.height * (world === 'half-water' ? 0.3 : 0.25), 0.08, 0.2),
    world === 'half-water' ? poolDepth(animal) + 0.05 : 0,
  );
  return {
    build: 'box',
    ...size,
    stands: 'upright',
    material,
    wallThickness: usualWall(material, longest),
    screened: [],
    // Boxes of foamed PVC open by panes of glass (common practice).
    panels:
      material === 'pvc'
        ? [{ wall: 'front', ...usualPanel({ ...size, front: 'doors' }, 'front', 'glass') }]
        : [],
    top: 'mesh',
    topCover: airy ? 0 : COVER[dampness(world)][room.kind],
    front: 'doors',
    watertightHeight: toMillimetre(wet || material === 'glass' ? sill : 0.05),
    emptyMass: null,
    standRating: null,
    made: {
      doors: 'sliding',
      ventLow: wet ? 0.02 : 0.03,
      ventHigh: 0,
      bores: [],
      board: 'birch-plywood',
      seal: wet ? 'epoxy' : 'varnish',
    },
  };
}

/** Depth of water kept under the soil, m: enough to feed evaporation, never touching the barrier (practice). */
const WATER: Record<RoomClimate['kind'], number> = { dry: 0.015, middle: 0.012, humid: 0.01 };
/** A dry room takes moisture out faster: a little more soil holds a little more. */
const EXTRA_SOIL: Record<RoomClimate['kind'], number> = { dry: 0.01, middle: 0, humid: 0 };

interface Setting {
  readonly animal: Animal | undefined;
  readonly enclosure: Enclosure;
  readonly room: RoomClimate;
}

/** The ground for an animal in a box in a room: method, water and layers from the floor up. */
export function proposeGround({ animal, enclosure, room }: Setting, catalogue: Catalogue): Design['ground'] {
  const world = animal?.ground.value ?? UNDECIDED;
  const wet = dampness(world) === 'moist';
  // Land on a panel, at the back, in open water; anything else drains through all of its floor.
  const flooded = world === 'half-water';
  const method = flooded ? 'full-water' : wet ? 'bead-bed' : 'none';
  const budget = enclosure.height - (animal?.space.value.freeHeight ?? enclosure.height * 0.55);

  const topping = (wet ? 0.015 : 0) + (world === 'dry' ? 0 : 0.012);
  const least = Math.max(0.03, animal?.digs.value ?? 0.04);
  const { bed: under } = drainageMethodOf(method);
  const swims = flooded ? poolDepth(animal) + OVER_WATER : 0;
  let bed = Math.max(usualBed(method, enclosure.height, room.kind), swims);
  const spare = budget - topping - least - (wet ? BARRIER_THICKNESS : 0);
  bed = Math.min(bed, Math.max(0.03, spare));
  if (under === null) bed = 0;
  // Dry loose ground slumps to a gentle slope; moist ground stands steeper.
  const steepest = world === 'dry' ? 0.03 : Math.min(0.06, 0.04 + enclosure.depth * 0.03);
  const rise = clamp(spare - bed, 0, steepest + EXTRA_SOIL[room.kind]);
  const front = least + Math.min(EXTRA_SOIL[room.kind], rise);
  const back = least + rise;

  const waterDepth =
    world === 'half-water'
      ? Math.max(0.01, bed - 0.02)
      : method === 'none'
        ? 0
        : Math.min(WATER[room.kind], bed - 0.012);

  const stack = number([
    ...(under === null ? [] : drained(under, bed, catalogue)),
    ...soils(animal, sloped(toMillimetre(front), toMillimetre(Math.max(front, back))), catalogue),
    ...(wet
      ? [
          {
            kind: 'moss' as const,
            material: everydayMaterial(catalogue, 'moss').id,
            thickness: level(0.015),
          },
        ]
      : []),
    ...(world === 'dry'
      ? []
      : [
          {
            kind: 'litter' as const,
            material: everydayMaterial(catalogue, 'litter').id,
            thickness: level(0.012),
          },
        ]),
  ]);
  return {
    method,
    waterDepth: toMillimetre(waterDepth),
    outlet: { kind: 'none' },
    panel: { spacing: 0.15, leg: 0.032, rating: null },
    // Standing wet, or damp below and drier above (common practice for dry forest and dry ground).
    squeeze: wet ? 'generous' : 'strict',
    moistShare: wet ? 1 : world === 'damp' ? 0.5 : 0.3,
    layers: flooded ? [{ kind: 'water', id: `layer-${stack.length + 1}`, level: null }] : stack,
    regions: flooded ? [landAtTheBack(enclosure, stack)] : [],
    sunk: [],
    schools: { peat: 'keep', renewal: 'top-up', collected: 'bake', microbes: 'arrive' },
  };
}

/** Land over the back of a flooded floor, its shore bowed towards the front on one side. */
function landAtTheBack({ width, depth }: Enclosure, layers: Layer[]): Region {
  const at = (x: number, y: number) => ({ x: toMillimetre(x * width), y: toMillimetre(y * depth) });
  return {
    id: 'region-1',
    name: 'Land',
    outline: [at(0, 0.3), at(0.3, 0.34), at(0.55, 0.5), at(1, 0.56), at(1, 1), at(0, 1)],
    replaces: 'all',
    moistShare: null,
    layers,
  };
}

/** Beads stand a little deeper in a dry room: their water is what its air is damped from. */
function usualBed(method: Method, height: number, room: RoomClimate['kind']): number {
  return toMillimetre(usualBedDepth(method, height) + (room === 'dry' && method === 'bead-bed' ? 0.005 : 0));
}

type Unnumbered = Layer extends infer L ? (L extends Layer ? Omit<L, 'id'> : never) : never;

function drained(under: BedId, bed: number, catalogue: Catalogue): Unnumbered[] {
  return [
    {
      kind: 'drainage',
      material: everydayMaterial(catalogue, under).id,
      thickness: level(toMillimetre(bed)),
    },
    {
      kind: 'barrier',
      material: everydayMaterial(catalogue, 'barrier').id,
      edge: 'upturned',
      upturn: 0.025,
      overlap: 0.05,
      holes: [],
    },
  ];
}

/** One recipe, or a plain lower and a rich upper one; the lower takes two fifths. */
function soils(animal: Animal | undefined, depth: Corners, catalogue: Catalogue): Unnumbered[] {
  const name = (recipe: string): string => catalogue.recipes.find((row) => row.id === recipe)?.name ?? 'Soil';
  const layer = (recipe: string, share: number): Unnumbered => ({
    kind: 'substrate',
    name: name(recipe),
    mix: mixOfRecipe(recipe, catalogue),
    thickness: sloped(toMillimetre(depth.frontLeft * share), toMillimetre(depth.backLeft * share)),
  });
  const main = animal?.recipe ?? catalogue.recipes[0]?.id;
  if (main === undefined) throw new Error('the catalogue has no recipe');
  if (!animal?.upperRecipe) return [layer(main, 1)];
  return [layer(main, 0.4), layer(animal.upperRecipe, 0.6)];
}

const number = (layers: Unnumbered[]): Layer[] =>
  layers.map((layer, index): Layer => ({ ...layer, id: `layer-${index + 1}` }));
