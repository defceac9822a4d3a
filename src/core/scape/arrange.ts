import { findBackgroundKind, findPieceKind, type Animal, type Catalogue } from '../catalogue';
import type { Background, Body, Design, Piece, Scape } from '../document/schema';
import { isGauze } from '../enclosure/shell';
import { siteAt } from '../ground/bodies';
import { mean } from '../ground/corners';
import { nearestLand } from './land';
import { coverShare } from './cover';
import { clashOf } from './overlap';
import { placePieces } from '../pieces/place';
import { block, clamp, hide, mm, put, span, type Plan } from './put';
import { downToFloor } from './showing';
import { feedsAnywhere, wantsOf } from './wants';

/**
 * A first layout for the animal's way of life, to be changed: a hide at each end and a moist one where it is wanted,
 * something to climb, bask and drink at, a place to feed, and probes. Common practice throughout.
 */
export function arrange(design: Design, animal: Animal | undefined, catalogue: Catalogue): Partial<Scape> {
  const { width, depth } = design.enclosure;
  const { warm } = design.scape;
  const empty: Design = { ...design, scape: { ...design.scape, pieces: [], backgrounds: [] } };
  const site = siteAt(empty);
  const corners = [0.05, 0.5, 0.95].flatMap((u) =>
    [0.05, 0.5, 0.95].map((v) => site.groundAt(u * width, v * depth)),
  );
  // A background that was chosen is kept: it is the slowest thing to make.
  const backgrounds =
    design.scape.backgrounds.length > 0 ? design.scape.backgrounds : backgroundsFor(empty, animal, catalogue);
  const plan: Plan = {
    design: { ...empty, scape: { ...empty.scape, backgrounds } },
    animal,
    wants: wantsOf(animal),
    catalogue,
    site,
    across: (share) => (warm === 'right' ? share : 1 - share) * width,
    ground: Math.max(...corners),
    topping: toppingOf(design),
  };
  const life = animal?.life.value ?? 'ground';
  if (life === 'half-water') halfWater(plan);
  else if (life === 'climbing') climber(plan);
  else if (life === 'burrowing') burrower(plan);
  else grounded(plan);
  drinking(plan);
  feeding(plan);
  measuring(plan);
  covering(plan);
  return { pieces: heavyOnFloor(plan), backgrounds };
}

/** What is too heavy to be dug under stands on the floor of the box, kg (common practice). */
const HEAVY = 2.8;

/** The pieces, those of weight down on the floor when the animal digs, and as tall over the ground as they were. */
function heavyOnFloor({ design, animal, catalogue, site }: Plan): Piece[] {
  if ((animal?.digs.value ?? 0) <= 0.05) return design.scape.pieces;
  return placePieces(design.scape.pieces, site).map((placed) => {
    const row = findPieceKind(catalogue, placed.piece.kind);
    const heavy = placed.solid.stuff * (row?.density.value ?? 0) > HEAVY;
    const moves = heavy && placed.on === 'ground' && row?.group !== 'water';
    return (moves ? downToFloor(placed, design, site) : null) ?? placed.piece;
  });
}

/** Depth of the moss and litter that will come around what is laid out, m. */
function toppingOf({ ground }: Design): number {
  const stacks = [ground.layers, ...ground.regions.map((region) => region.layers)];
  const deep = stacks.map((layers) =>
    layers.reduce(
      (sum, it) => (it.kind === 'moss' || it.kind === 'litter' ? sum + mean(it.thickness) : sum),
      0,
    ),
  );
  return Math.max(...deep);
}

/** Bark for climbers, foam for wet boxes; dry and screened boxes keep their walls. It begins above the barrier. */
function backgroundsFor(design: Design, animal: Animal | undefined, catalogue: Catalogue): Background[] {
  const { enclosure, ground } = design;
  if (isGauze(enclosure, 'back')) return [];
  const life = animal?.life.value ?? 'ground';
  const world = animal?.ground.value ?? 'wet';
  const id =
    life === 'climbing' ? 'cork-tile' : world === 'wet' || world === 'half-water' ? 'carved-foam' : undefined;
  const row = id === undefined ? undefined : findBackgroundKind(catalogue, id);
  if (!row) return [];
  const bed = [ground.layers, ...ground.regions.map((region) => region.layers)]
    .flat()
    .reduce((most, it) => (it.kind === 'drainage' ? Math.max(most, it.thickness.backLeft) : most), 0);
  const { low, high } = row.thickness.value;
  return [
    {
      id: 'background-1',
      wall: 'back',
      kind: row.id,
      bottom: mm(Math.min(enclosure.height * 0.5, bed > 0 ? bed + 0.02 : 0)),
      top: null,
      thickness: mm(clamp(enclosure.depth * 0.08, low, high)),
      gap: 0,
      clearance: row.liftsOut ? 0.002 : 0,
      finish: row.finishes[0] ?? 'bare',
      coats: 4,
      cutouts: [],
      finished: null,
    },
  ];
}

/** Whether a place is under open water. */
const wet = (plan: Plan, x: number, y: number): boolean => plan.site.waterAt(x, y) !== undefined;

function climber(plan: Plan): void {
  const { width, depth, height } = plan.design.enclosure;
  const { across, ground, wants } = plan;
  const room = height - ground;
  const low = (share: number): number => ground + room * share;
  // The main branch, from the ground at the cool side up to the warm one.
  const foot = { x: across(0.14), y: depth * 0.35 };
  const thick = mm(wants.perch ? clamp(wants.perch.high * 1.3, 0.02, 0.08) : 0.04);
  put(plan, {
    kind: 'root-wood',
    body: {
      shape: 'rod',
      run: { x: mm((across(0.86) - foot.x) * 0.98), y: mm(depth * 0.22) },
      rise: mm(room * 0.52),
      diameter: thick,
      wall: null,
    },
    at: foot,
    support: { on: 'ground', sunk: 0.02 },
  });
  span(plan, 'branch', depth * 0.3, low(0.34), low(0.4));
  span(plan, 'branch', depth * 0.55, low(0.72), low(0.66), {
    basking: plan.animal?.climate.basking !== undefined,
    name: 'Branch under the lamp',
  });
  if (room > 0.5) span(plan, 'vine', depth * 0.45, low(0.5), low(0.58));
  hide(plan, 'cork-half', { x: across(0.2), y: depth * 0.62 });
  // Up where it is warm, a tube that stands in the crook of the branches.
  const long = clamp(wants.length * 1.1, 0.1, room * 0.35);
  const diameter = mm(Math.max(0.035, wants.girth * 2.2 + 0.02));
  put(plan, {
    kind: 'cork-tube',
    body: { shape: 'rod', run: { x: 0, y: 0 }, rise: mm(long), diameter, wall: mm(diameter * 0.12) },
    at: { x: warmWall(plan, diameter / 2), y: depth * 0.5 },
    support: {
      on: 'wall',
      wall: plan.design.scape.warm,
      height: mm(clamp(low(0.5), ground, height - long - 0.02)),
    },
    entrance: mm(wants.girth * 2),
  });
  if (wants.moistHide) moistHide(plan, { x: across(0.6), y: depth * 0.2 });
  put(plan, {
    kind: 'ledge',
    body: {
      shape: 'plank',
      run: { x: mm(width * 0.24), y: 0 },
      rise: 0,
      breadth: mm(clamp(depth * 0.2, 0.05, 0.12)),
      thickness: 0.025,
    },
    at: { x: width * 0.36, y: depth * 0.84 },
    support: { on: 'wall', wall: 'back', height: mm(low(0.45)) },
  });
}

const warmWall = ({ design }: Plan, half: number): number =>
  design.scape.warm === 'right' ? design.enclosure.width - half : half;

/** m of body for which a tube of cork is still found: bark of larger stems is sold as half rounds (common practice). */
const WIDEST_TUBE = 0.09;

function grounded(plan: Plan): void {
  const { depth } = plan.design.enclosure;
  const { across, animal } = plan;
  const dry = animal?.ground.value === 'dry';
  hide(plan, dry ? 'slate-roof' : 'cork-half', { x: across(0.8), y: depth * 0.64 });
  hide(plan, plan.wants.girth > WIDEST_TUBE ? 'cork-half' : 'cork-tube', { x: across(0.2), y: depth * 0.64 });
  if (plan.wants.moistHide) moistHide(plan, { x: across(0.47), y: depth * 0.68 });
  baskingPlace(plan);
  log(plan, 0.5, 0.42);
  limb(plan);
}

/** For kinds of the ground that climb a little: one limb that rises towards the lamp. */
function limb(plan: Plan): void {
  const { depth, height, width } = plan.design.enclosure;
  const { perch } = plan.wants;
  if (!perch) return;
  const foot = { x: plan.across(0.4), y: depth * 0.5 };
  put(plan, {
    kind: 'root-wood',
    body: {
      shape: 'rod',
      run: { x: mm((plan.across(0.72) - foot.x) * 1), y: mm(depth * 0.16) },
      rise: mm(Math.min(width * 0.25, (height - plan.ground) * 0.5)),
      diameter: mm((perch.low + perch.high) / 2),
      wall: null,
    },
    at: foot,
    support: { on: 'ground', sunk: 0.02 },
    basking: plan.animal?.climate.basking !== undefined,
  });
}

function burrower(plan: Plan): void {
  const { depth } = plan.design.enclosure;
  const { across, wants, animal } = plan;
  const dry = animal?.ground.value === 'dry';
  hide(plan, dry ? 'slate-roof' : 'clay-cave', { x: across(0.8), y: depth * 0.66 });
  hide(plan, 'cork-half', { x: across(0.2), y: depth * 0.66 });
  if (wants.moistHide) moistHide(plan, { x: across(0.46), y: depth * 0.7 });
  baskingPlace(plan);
  log(plan, 0.48, 0.4);
}

function halfWater(plan: Plan): void {
  const { depth } = plan.design.enclosure;
  const { across, ground, wants, site } = plan;
  for (const at of [
    { x: across(0.78), y: depth * 0.72 },
    { x: across(0.22), y: depth * 0.72 },
  ])
    // Cork floats: under water a slate lies on stones.
    hide(plan, wet(plan, at.x, at.y) ? 'slate-roof' : 'cork-half', at);
  if (wants.moistHide) moistHide(plan, { x: across(0.5), y: depth * 0.74 });
  // A root stands in the water and leads out of it.
  const front = { x: across(0.3), y: depth * 0.14 };
  const level = site.waterAt(front.x, front.y);
  if (level === undefined) {
    log(plan, 0.5, 0.3);
    return;
  }
  put(plan, {
    kind: 'bog-root',
    body: {
      shape: 'rod',
      run: { x: mm((across(0.52) - front.x) * 0.9), y: mm(depth * 0.5) },
      rise: mm(clamp(ground + 0.03, level + 0.02, plan.design.enclosure.height * 0.5)),
      diameter: 0.04,
      wall: null,
    },
    at: front,
    support: { on: 'floor' },
  });
  put(plan, { kind: 'cork-raft', at: { x: across(0.72), y: depth * 0.12 } });
  const filter = findPieceKind(plan.catalogue, 'sponge-filter');
  if (filter) {
    const tall = clamp(level * 0.8, 0.03, 0.09);
    put(plan, {
      kind: filter.id,
      body: {
        shape: 'block',
        form: 'round',
        width: 0.05,
        depth: 0.05,
        height: mm(tall),
        turn: 0,
        wall: null,
      },
      at: { x: across(0.93), y: depth * 0.1 },
    });
  }
  if (wants.perch)
    span(
      plan,
      'branch',
      depth * 0.7,
      ground + (plan.design.enclosure.height - ground) * 0.5,
      ground + (plan.design.enclosure.height - ground) * 0.55,
    );
}

function moistHide(plan: Plan, at: { x: number; y: number }): void {
  hide(plan, plan.animal?.ground.value === 'wet' ? 'cave-reservoir' : 'moss-box', at, { moist: true });
}

/** Only for kinds that bask: flat stones under the lamp, as broad as the animal is long. */
function baskingPlace(plan: Plan): void {
  const { depth } = plan.design.enclosure;
  const { animal, wants, across, catalogue } = plan;
  if (!animal?.climate.basking) return;
  const dug = animal.digs.value >= 0.05;
  const row = findPieceKind(catalogue, dug ? 'basking-stack' : 'flat-stone');
  if (row?.body.shape !== 'block') return;
  const at = { x: across(0.8), y: depth * 0.24 };
  const wide = clamp(wants.length * 0.6, 0.1, 0.3);
  put(plan, {
    kind: row.id,
    body: block(row, wide, wide * 0.8, dug ? 0.04 : 0.025, plan),
    at,
    basking: true,
    ...(dug ? { shows: 0.04 } : {}),
  });
}

function log(plan: Plan, share: number, deep: number): void {
  const { width, depth } = plan.design.enclosure;
  const thick = mm(clamp(plan.wants.girth * 1.6, 0.03, 0.1));
  const long = mm(clamp(width * 0.26, 0.12, 0.5));
  put(plan, {
    kind: 'log',
    body: { shape: 'rod', run: { x: long, y: mm(depth * 0.06) }, rise: 0, diameter: thick, wall: null },
    at: { x: plan.across(share) - long / 2, y: depth * deep },
    support: { on: 'ground', sunk: mm(thick * 0.2) },
  });
}

/** Breadth up to which a dish is of stoneware, m: larger ones are too heavy to stand on soil that is dug. */
const LARGEST_DISH = 0.32;

/** What it drinks from, as large as it needs it. */
function drinking(plan: Plan): void {
  const { depth, width } = plan.design.enclosure;
  const { animal, wants, across, catalogue } = plan;
  const water = animal?.water.value ?? 'dish';
  const at = { x: across(0.3), y: depth * 0.2 };
  const hasWater = plan.design.ground.method === 'full-water' || wet(plan, at.x, at.y);
  if (water === 'drops' || (water === 'pool' && hasWater)) return;
  const soaks = water === 'soaking dish' || water === 'pool';
  const long = soaks
    ? wants.length * (animal?.kind === 'snake' ? 0.28 : 0.7)
    : clamp(wants.length * 0.5, 0.06, 0.14);
  const broad = mm(clamp(long, soaks ? 0.12 : 0.06, width * (soaks ? 0.44 : 0.3)));
  const kind = !soaks ? 'water-dish' : broad > LARGEST_DISH ? 'soaking-tub' : 'soaking-dish';
  const row = findPieceKind(catalogue, kind);
  if (row?.body.shape !== 'block') return;
  const deep =
    animal?.kind === 'frog' && wants.length <= 0.045 ? 0.015 : clamp(wants.girth * 1.1, 0.015, 0.08);
  const shape: Body = {
    ...row.body,
    width: broad,
    depth: mm(clamp(broad * 0.75, 0.05, depth * 0.4)),
    height: mm(deep + 0.008 + plan.topping),
  };
  put(plan, {
    kind: row.id,
    body: shape,
    at,
    support: { on: 'ground', sunk: mm(Math.min(deep * 0.7, 0.05)) },
  });
}

/** Flies from a cup, prepared diet from a ledge, prey from a dish; snakes are fed on bare ground. */
function feeding(plan: Plan): void {
  const { depth, height } = plan.design.enclosure;
  const { animal, across, wants } = plan;
  const at = { x: across(0.55), y: depth * 0.16 };
  if (feedsAnywhere(animal)) return;
  if (animal?.kind === 'frog' && wants.length <= 0.065 && !wet(plan, at.x, at.y))
    put(plan, { kind: 'fly-cup', at });
  else if (animal?.life.value === 'climbing' && animal.kind === 'gecko')
    put(plan, {
      kind: 'magnet-ledge',
      at: { x: across(0.5), y: depth },
      support: { on: 'wall', wall: 'back', height: mm(plan.ground + (height - plan.ground) * 0.3) },
    });
  else if (animal?.kind === 'snake' || animal?.kind === 'newt' || animal?.life.value === 'climbing')
    put(plan, { kind: 'feeding-place', at: wet(plan, at.x, at.y) ? { x: at.x, y: depth * 0.6 } : at });
  else put(plan, { kind: 'food-dish', at: wet(plan, at.x, at.y) ? { x: at.x, y: depth * 0.6 } : at });
}

/** One probe at each end, a hand over the ground. */
function measuring(plan: Plan): void {
  const { width, depth, height } = plan.design.enclosure;
  const { warm } = plan.design.scape;
  for (const side of [warm, warm === 'right' ? 'left' : 'right'] as const) {
    put(plan, {
      kind: 'probe',
      name: side === warm ? 'Probe, warm side' : 'Probe, cool side',
      at: { x: side === 'right' ? width - 0.008 : 0.008, y: depth * 0.4 },
      support: { on: 'wall', wall: side, height: mm(Math.min(height - 0.06, plan.ground + 0.05)) },
    });
  }
}

const MOST_MORE = 6;

/** For kinds that keep under cover: flats of cork until enough of the floor lies under something. */
function covering(plan: Plan): void {
  const { enclosure } = plan.design;
  const { wants, catalogue } = plan;
  const row = findPieceKind(catalogue, 'cork-half');
  const covers = (kind: string): boolean => {
    const it = findPieceKind(catalogue, kind);
    return it?.look !== 'open' && it?.group !== 'water';
  };
  // Where all is water there is nothing to lay it on.
  const land = nearestLand(plan.design, plan.site, { x: plan.across(0.5), y: enclosure.depth * 0.55 });
  for (let more = 0; row && land && more < MOST_MORE; more += 1) {
    const placed = placePieces(plan.design.scape.pieces, plan.site);
    if (coverShare(placed, enclosure, ({ piece }) => covers(piece.kind)) >= wants.cover) return;
    const wide = clamp(Math.max(wants.girth * 4, enclosure.width * 0.22), 0.06, 0.35);
    const share = [0.5, 0.35, 0.65, 0.2, 0.8, 0.5][more] ?? 0.5;
    const before = plan.design;
    put(plan, {
      kind: row.id,
      name: `Cork to creep under${more > 0 ? ` ${more + 1}` : ''}`,
      body: block(row, wide, enclosure.depth * 0.3, Math.max(0.035, wants.girth * 1.8) + plan.topping, plan),
      at: { x: plan.across(share), y: enclosure.depth * 0.55 },
      entrance: mm(wants.girth * 2),
    });
    // The floor is full: more would only stand in the way.
    if (clashes(plan)) {
      plan.design = before;
      return;
    }
  }
}

/** Whether the last piece runs through another. */
function clashes({ design, site }: Plan): boolean {
  const placed = placePieces(design.scape.pieces, site);
  const last = placed.at(-1);
  return last !== undefined && placed.some((it) => it !== last && clashOf(it.solid, last.solid) > 0.05);
}
