import type { Draft } from '../log';
import { assess, type Assessment } from '../assess';
import {
  findBackgroundKind,
  findCrew,
  findDeviceKind,
  findPlant,
  materialOf,
  type Catalogue,
} from '../catalogue';
import type { Corners, Design, Layer, Piece } from '../document/schema';
import { standingOf } from '../document/standing';
import { CORNERS } from '../ground/corners';
import { within } from '../ground/floor';
import type { LayerResult } from '../ground/layers';

/** What happens to a thing when a standing box is rebuilt: it is left, set aside and put back, done away with, or new. */
export const FATES = ['stays', 'back', 'out', 'new'] as const;
export type Fate = (typeof FATES)[number];
export type RebuildGroup = 'box' | 'background' | 'ground' | 'water' | 'piece' | 'device' | 'plant' | 'crew';

export interface RebuildRow {
  readonly id: string;
  readonly group: RebuildGroup;
  readonly name: string;
  readonly fate: Fate;
  /** m³ in the box, of what lies or stands in it in bulk; null of what is counted. */
  readonly volume: number | null;
}

export interface Rebuild {
  readonly rows: readonly RebuildRow[];
  /** Loose m³ of every material that is there already, left or put back: it need not be bought. */
  readonly there: ReadonlyMap<string, number>;
  /** Soil, bed or barrier comes out, so that all that stands on it must. */
  readonly dug: boolean;
  /** Stands in another box than before. */
  readonly moved: boolean;
  /** m³ of water to be taken out first. */
  readonly siphoned: number;
  /** Animals that wait elsewhere meanwhile. */
  readonly waits: number;
}

/** What stood does not change while it is rebuilt: it is calculated once. */
const calculated = new WeakMap<object, { readonly catalogue: Catalogue; readonly before: Assessment }>();
function asItStood(was: Design, standing: Design['plan']['standing'], catalogue: Catalogue): Assessment {
  const known = standing && calculated.get(standing);
  if (known?.catalogue === catalogue) return known.before;
  const before = assess(was, catalogue);
  if (standing) calculated.set(standing, { catalogue, before });
  return before;
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** What a layer is made of, apart from how thick it lies. */
const stuff = (layer: Layer): unknown => {
  if (layer.kind === 'substrate')
    return [layer.kind, layer.mix.parts.map((it) => [it.material, it.parts]), layer.mix.packingLoss];
  if (layer.kind === 'water') return [layer.kind, layer.level];
  if (layer.kind === 'barrier')
    return [layer.kind, layer.material, layer.edge, layer.upturn, layer.overlap, layer.holes];
  return [layer.kind, layer.material];
};
const thicknessOf = (layer: Layer): Corners | null => ('thickness' in layer ? layer.thickness : null);

const never = (a: Corners | null, b: Corners | null): boolean =>
  a === null || b === null || CORNERS.every((it) => a[it] <= b[it] + 1e-9);

/** Strewn on top: taking it off is not digging. */
const topping = ({ layer }: LayerResult): boolean => layer.kind === 'litter' || layer.kind === 'moss';

/** What is sieved, poured or strewn lies as a heap; what is cut lies as a piece. */
const bulk = (it: LayerResult): boolean => it.need !== undefined;

interface Lain {
  readonly rows: readonly RebuildRow[];
  readonly there: ReadonlyMap<string, number>;
  /** Stacks, by region, from which something is taken out that others lie on. */
  readonly dug: ReadonlySet<string | null>;
}

/** Layers: each stack from below, until one differs; what lies over that comes out. */
function groundRows(
  before: Assessment,
  after: Assessment,
  was: Design,
  wanted: Design,
  moved: boolean,
  catalogue: Catalogue,
): Lain {
  const rows: RebuildRow[] = [];
  const there = new Map<string, number>();
  const dug = new Set<string | null>();
  const named = ({ layer }: LayerResult): string =>
    layer.kind === 'substrate'
      ? layer.name
      : layer.kind === 'water'
        ? 'Open water'
        : materialOf(catalogue, layer.material).name;
  const row = (it: LayerResult, fate: Fate, volume: number): void => {
    if (bulk(it) && volume <= 1e-9) return;
    rows.push({
      id: it.layer.id,
      group: 'ground',
      name: named(it),
      fate,
      volume: bulk(it) ? volume : null,
    });
  };
  /** Of a layer as it is wanted, this much is there already. */
  const keep = (it: LayerResult, placed: number): void => {
    for (const part of it.need?.ingredients ?? [])
      there.set(
        part.material,
        (there.get(part.material) ?? 0) + (it.placed > 0 ? (part.loose * placed) / it.placed : 0),
      );
  };
  const renew = wanted.ground.schools.renewal === 'replace';
  // A floor panel or a bed of another method is another ground altogether.
  const other = moved || was.ground.method !== wanted.ground.method;
  const outlines = (design: Design): ReadonlyMap<string, unknown> =>
    new Map(design.ground.regions.map((it) => [it.id, [it.outline, it.replaces]]));
  const [drawn, drawnAnew] = [outlines(was), outlines(wanted)];
  const stacks = new Set<string | null>([
    ...before.layers.map((it) => it.region),
    ...after.layers.map((it) => it.region),
  ]);
  for (const region of stacks) {
    const old = before.layers.filter((it) => it.region === region);
    const next = after.layers.filter((it) => it.region === region);
    let open = other || (region !== null && !same(drawn.get(region), drawnAnew.get(region)));
    const left = [...old];
    for (const it of next) {
      const at = left.findIndex(
        (own) => own.layer.id === it.layer.id && same(stuff(own.layer), stuff(it.layer)),
      );
      const own = left[at];
      const below = left[0];
      // Something that lay under it is not wanted any more.
      if (!open && own !== below) open = true;
      if (!own) {
        if (left.length > 0) open = true;
        row(it, 'new', it.placed);
        continue;
      }
      left.splice(at, 1);
      const [thin, thick] = [thicknessOf(own.layer), thicknessOf(it.layer)];
      if (!bulk(it)) {
        const whole = same(own.layer, it.layer) && same(own.field, it.field);
        if (open) dug.add(region);
        row(it, !open && whole ? 'stays' : whole && it.layer.kind !== 'water' ? 'back' : 'new', 0);
        if (!whole) {
          row(own, 'out', 0);
          dug.add(region);
          open = true;
        }
        continue;
      }
      const renewed = open && renew && it.layer.kind === 'substrate';
      const kept = renewed ? 0 : Math.min(own.placed, it.placed);
      const grows = never(thin, thick);
      const shrinks = never(thick, thin);
      // What only grows or shrinks at its upper side is not lifted for it.
      row(it, open || !(grows || shrinks) ? 'back' : 'stays', kept);
      keep(it, kept);
      row(it, 'new', it.placed - kept);
      row(own, 'out', own.placed - kept);
      if (open && !topping(it)) dug.add(region);
      // More or less of it: what lies on it comes out first.
      if (!same(thin, thick)) open = true;
    }
    for (const it of left) row(it, 'out', it.placed);
    if (left.some((it) => !topping(it))) dug.add(region);
  }
  return { rows, there, dug };
}

/** What cannot be changed while it stands. */
const shellOf = ({ width, depth, height, material, panels }: Design['enclosure']): readonly unknown[] => [
  width,
  depth,
  height,
  material,
  panels,
];

/** Same thing in the same place: nothing of it is changed but what does not show. */
const unmoved = (a: Piece, b: Piece): boolean =>
  same([a.kind, a.at, a.body, a.support], [b.kind, b.at, b.body, b.support]);

/**
 * From what stands to what is wanted: what stays, what is set aside and put back, what goes, what is new. Every layer,
 * piece, plant and device of both is accounted for. Undefined when no rebuild is going on.
 * @param assessment of the design as it is wanted
 */
export function rebuildOf(design: Design, assessment: Assessment, catalogue: Catalogue): Rebuild | undefined {
  const was = standingOf(design);
  if (!was) return undefined;
  const before = asItStood(was, design.plan.standing, catalogue);
  const moved =
    !same(shellOf(was.enclosure), shellOf(design.enclosure)) ||
    was.enclosure.build !== design.enclosure.build;
  const { rows: lain, there, dug } = groundRows(before, assessment, was, design, moved, catalogue);
  const rows: RebuildRow[] = [...lain];
  const put = (group: RebuildGroup, id: string, name: string, fate: Fate): void => {
    rows.push({ id, group, name, fate, volume: null });
  };
  if (moved) {
    put('box', 'box', 'The enclosure as it stood', 'out');
    put('box', 'box', 'The enclosure as it is wanted', 'new');
  } else put('box', 'box', 'The enclosure', 'stays');

  /** Is the ground dug here? */
  const dugAt = (x: number, y: number): boolean => {
    if (dug.size === 0) return false;
    const part = before.ground.parts.find(({ outline }) => within(outline, x, y));
    return dug.has(part?.region?.id ?? null) || dug.has(null);
  };

  // Backgrounds are bonded to their wall: what is changed is made anew.
  for (const own of was.scape.backgrounds) {
    const next = design.scape.backgrounds.find((it) => it.id === own.id);
    const name = `${findBackgroundKind(catalogue, own.kind)?.name ?? own.kind}, ${own.wall} wall`;
    if (next && !moved && same({ ...own, finished: null }, { ...next, finished: null }))
      put('background', own.id, name, 'stays');
    else if (
      next &&
      findBackgroundKind(catalogue, own.kind)?.liftsOut &&
      same({ ...own, finished: null }, { ...next, finished: null })
    )
      put('background', own.id, name, 'back');
    else put('background', own.id, name, 'out');
  }
  const backs = new Map(
    rows.flatMap((it) => (it.group === 'background' && it.fate !== 'out' ? [[it.id, it.fate] as const] : [])),
  );
  for (const next of design.scape.backgrounds)
    if (!backs.has(next.id))
      put(
        'background',
        next.id,
        `${findBackgroundKind(catalogue, next.kind)?.name ?? next.kind}, ${next.wall} wall`,
        'new',
      );

  // Pieces: one that stands on what is lifted is lifted too.
  const pieceFate = new Map<string, Fate>();
  const fateOfPiece = (own: Piece, seen: readonly string[] = []): Fate => {
    const known = pieceFate.get(own.id);
    if (known) return known;
    const next = design.scape.pieces.find(
      (it) => it.id === own.id && it.kind === own.kind && same(it.body, own.body),
    );
    if (!next) return 'out';
    if (moved || !unmoved(own, next)) return 'back';
    const { support } = own;
    if ('piece' in support && !seen.includes(own.id)) {
      const under = was.scape.pieces.find((it) => it.id === support.piece);
      if (under && fateOfPiece(under, [...seen, own.id]) !== 'stays') return 'back';
    }
    const placed = before.scape.pieces.find((it) => it.placed.piece.id === own.id)?.placed;
    if (placed?.on === 'ground' && dugAt(own.at.x, own.at.y)) return 'back';
    // On more soil it stands higher.
    const anew = assessment.scape.pieces.find((it) => it.placed.piece.id === own.id)?.placed;
    if (placed && anew && Math.abs(placed.base - anew.base) > 0.005) return 'back';
    return 'stays';
  };
  for (const own of was.scape.pieces) {
    const fate = fateOfPiece(own);
    pieceFate.set(own.id, fate);
    put('piece', own.id, own.name, fate);
  }
  for (const next of design.scape.pieces)
    if ((pieceFate.get(next.id) ?? 'out') === 'out') put('piece', next.id, next.name, 'new');

  // Lamps, heaters, misters.
  const devices = new Set<string>();
  for (const own of was.climate.devices) {
    const next = design.climate.devices.find(
      (it) => it.id === own.id && it.kind === own.kind && it.power === own.power && it.length === own.length,
    );
    if (next) devices.add(own.id);
    put('device', own.id, own.name, !next ? 'out' : moved || !same(own.at, next.at) ? 'back' : 'stays');
  }
  for (const next of design.climate.devices)
    if (!devices.has(next.id))
      put('device', next.id, findDeviceKind(catalogue, next.kind)?.name ?? next.name, 'new');

  // Plants go with what they grow in or on.
  const plants = new Set<string>();
  const drained = before.standingWater > 0.0005 && (dug.size > 0 || moved);
  for (const own of was.living.plants) {
    const next = design.living.plants.find((it) => it.id === own.id && it.kind === own.kind);
    const { spot } = own;
    const lifts =
      moved ||
      (next && !same(spot, next.spot)) ||
      (spot.on === 'ground' && dugAt(spot.at.x, spot.at.y)) ||
      (spot.on === 'water' && drained) ||
      (spot.on === 'piece' && pieceFate.get(spot.piece) !== 'stays') ||
      (spot.on === 'wall' &&
        was.scape.backgrounds.some((it) => it.wall === spot.wall && backs.get(it.id) !== 'stays'));
    if (next) plants.add(own.id);
    const name = findPlant(catalogue, own.kind)?.english ?? own.name;
    put('plant', own.id, name, !next ? 'out' : lifts ? 'back' : 'stays');
  }
  for (const next of design.living.plants)
    if (!plants.has(next.id))
      put('plant', next.id, findPlant(catalogue, next.kind)?.english ?? next.name, 'new');

  // The crew lives in the soil: some of it is saved in a tub.
  const stirred = rows.some(
    (it) => it.group === 'ground' && it.fate !== 'new' && it.fate !== 'stays' && it.volume !== null,
  );
  const crewName = (id: string): string => findCrew(catalogue, id)?.english ?? id;
  for (const own of was.living.crew)
    put(
      'crew',
      own.kind,
      crewName(own.kind),
      !design.living.crew.some((it) => it.kind === own.kind) ? 'out' : stirred || moved ? 'back' : 'stays',
    );
  for (const next of design.living.crew)
    if (!was.living.crew.some((it) => it.kind === next.kind))
      put('crew', next.kind, crewName(next.kind), 'new');

  const siphoned =
    drained || assessment.standingWater < before.standingWater - 1e-6 ? before.standingWater : 0;
  if (before.standingWater > 1e-6 || assessment.standingWater > 1e-6) {
    const volume = siphoned > 0 ? siphoned : before.standingWater;
    if (volume > 1e-6)
      rows.push({ id: 'water', group: 'water', name: 'Water', fate: siphoned > 0 ? 'out' : 'stays', volume });
    const fresh = assessment.standingWater - (siphoned > 0 ? 0 : before.standingWater);
    if (fresh > 1e-6) rows.push({ id: 'water', group: 'water', name: 'Water', fate: 'new', volume: fresh });
  }
  const lived = was.brief.animal !== null && design.brief.stage === 'inhabited';
  return { rows, there, dug: dug.size > 0, moved, siphoned, waits: lived ? was.brief.count : 0 };
}

/**
 * The lines a rebuild leaves in the log: what went and what came, and where soil was laid anew, that it was judged: its age
 * begins again.
 */
export function rebuiltLines({ rows }: Rebuild, { ground }: Design): readonly Draft[] {
  const soils = new Set(
    [...ground.layers, ...ground.regions.flatMap((it) => it.layers)]
      .filter((it) => it.kind === 'substrate')
      .map((it) => it.id),
  );
  const named = (fate: Fate): string =>
    [
      ...new Set(rows.filter((it) => it.fate === fate && (it.volume ?? 1) > TRIFLE).map((it) => it.name)),
    ].join(', ');
  const [came, went] = [named('new'), named('out')];
  const text = ['Rebuilt.', ...(came ? [`New: ${came}.`] : []), ...(went ? [`Gone: ${went}.`] : [])].join(
    ' ',
  );
  const isSoilNew = rows.some((it) => soils.has(it.id) && it.fate === 'new' && (it.volume ?? 0) > TRIFLE);
  return [
    { kind: 'repair', values: {}, text: text.slice(0, 4000) },
    ...(isSoilNew ? [{ kind: 'care', values: {}, text: 'Laid anew.', rule: 'soil' } as const] : []),
  ];
}

/** m³ of which nobody speaks. */
const TRIFLE = 5e-5;
