import {
  everydayMaterial,
  materialOf,
  type AreaPack,
  type Catalogue,
  type Material,
  type Pack,
  type PipePack,
  type VolumePack,
  bedOfMaterial,
} from '../catalogue';
import type { BarrierLayer, Design, Hole, Layer } from '../document/schema';
import { barrierSize, cutFromRoll, sheetsFor, type Cut } from './cut';
import { within, type Rect } from './floor';
import { fillOf, soilIn } from './filled';
import type { GroundResult, LayerResult } from './layers';
import { mixNeed } from './mix';
import { choosePacks, offered } from './packs';
import { legsUnder } from './panel';

export interface Purchase {
  readonly material: string;
  readonly name: string;
  /** Loose m³, for bagged goods; m of roll or pipe, or a count of sheets, for what is cut. */
  readonly need: { readonly unit: 'volume' | 'roll' | 'sheets' | 'pipe'; readonly amount: number };
  /** Of that, already on the shelf. */
  readonly fromShelf: number;
  readonly packs: readonly { readonly pack: Pack; readonly count: number }[];
  /** In the unit of the need. */
  readonly leftOver: number;
  readonly price: number;
  /** Layers it goes into. */
  readonly layers: readonly string[];
}

export interface CutItem {
  readonly layer: string;
  readonly name: string;
  readonly what: 'barrier' | 'panel' | 'foam' | 'legs';
  /** Of one piece, m; a leg has its length as width and its diameter as depth. */
  readonly width: number;
  readonly depth: number;
  readonly count: number;
  /** Holes to be cut, from the left and front edge of the floor it covers. */
  readonly holes: readonly Hole[];
  /** Set where it follows the outline of a region rather than a rectangle. */
  readonly outlined: boolean;
  /** How the barrier comes off its roll. */
  readonly roll: (Cut & { readonly rollWidth: number }) | undefined;
  /** Sheets a panel is cut from. */
  readonly sheets: number | undefined;
}

/** Litres on the shelf by material: m³ of loose goods, m of roll and pipe, count of sheets. */
export type Shelf = Readonly<Record<string, number>>;

/** A panel goes in by hand: it is cut this much smaller than the floor, m (common practice). */
export const PANEL_PLAY = 0.004;
/** The sheet of a panel itself, m (common practice for light-grid sheets). */
export const PANEL_SHEET = 0.013;

export const isArea = (pack: Pack): pack is AreaPack => pack.form === 'roll' || pack.form === 'sheet';
export const isVolume = (pack: Pack): pack is VolumePack => pack.form === 'bag' || pack.form === 'brick';
const isPipe = (pack: Pack): pack is PipePack => pack.form === 'pipe';

const sizeOf = ({ x0, x1, y0, y1 }: Rect) => ({ width: x1 - x0, depth: y1 - y0 });

/** The roll for a barrier over a field of the floor, with its cut: fewest joins, then price, then waste. */
export function bestRoll(layer: BarrierLayer, field: Rect, catalogue: Catalogue) {
  const piece = barrierSize(layer, sizeOf(field));
  const choices = materialOf(catalogue, layer.material)
    .packs.filter(isArea)
    .filter((pack) => pack.width > layer.overlap)
    .map((pack) => {
      const cut = cutFromRoll(piece, pack.width, layer.overlap);
      // A strip is never pieced together lengthwise: a roll shorter than one strip is no use.
      const stripsPerRoll = Math.floor(pack.length / cut.stripLength + 1e-9);
      const count = stripsPerRoll > 0 ? Math.ceil(cut.strips / stripsPerRoll) : Infinity;
      return { pack, cut, count, price: count * pack.price.value };
    })
    .filter((offer) => Number.isFinite(offer.count));
  const offers = [...offered(choices, (it) => it.pack)].sort(
    (a, b) => a.cut.strips - b.cut.strips || a.price - b.price || a.cut.waste - b.cut.waste,
  );
  return { piece, offer: offers[0] };
}

/** What passes through a barrier: its own holes, and the siphon tube where it stands in this part of the floor. */
export function holesIn(
  layer: BarrierLayer,
  region: string | null,
  { ground }: Design,
  laid: GroundResult,
): Hole[] {
  const { outlet } = ground;
  if (outlet.kind !== 'siphon') return layer.holes;
  const part = laid.parts.find(({ outline }) => within(outline, outlet.at.x, outlet.at.y));
  const through = part?.stack.some((it) => it.layer.id === layer.id && it.region === region) === true;
  return through ? [...layer.holes, { ...outlet.at, diameter: outlet.diameter }] : layer.holes;
}

export interface Lists {
  readonly buy: readonly Purchase[];
  readonly cut: readonly CutItem[];
  readonly price: number;
}

/** What to buy and what to cut. The same material in several layers is bought once, less what is on the shelf. */
export function listsOf(design: Design, laid: GroundResult, catalogue: Catalogue, shelf: Shelf = {}): Lists {
  const loose = new Map<string, { amount: number; layers: string[] }>();
  const bought: Purchase[] = [];
  const cut: CutItem[] = [];
  const left = new Map(Object.entries(shelf));
  /** Takes from the shelf what is there. */
  const take = (material: string, amount: number): number => {
    const there = Math.min(left.get(material) ?? 0, amount);
    left.set(material, (left.get(material) ?? 0) - there);
    return there;
  };

  for (const it of laid.layers) {
    const { layer, need } = it;
    if (it.area < 1e-9) continue;
    if (layer.kind === 'barrier') {
      const made = barrierOf(it, layer, design, laid, catalogue);
      cut.push(made.cut);
      if (made.buy) bought.push(withShelf(made.buy, take));
    } else if (layer.kind === 'drainage' && need === undefined) {
      const made = panelOf(it, layer, design, catalogue);
      cut.push(...made.cut);
      bought.push(...made.buy.map((row) => withShelf(row, take)));
    } else {
      for (const part of need?.ingredients ?? []) {
        const sum = loose.get(part.material) ?? { amount: 0, layers: [] };
        loose.set(part.material, { amount: sum.amount + part.loose, layers: [...sum.layers, layer.id] });
      }
    }
  }

  // What planters and dens take of the soil beside them.
  const fill = laid.pieces.reduce((sum, it) => sum + soilIn(it, catalogue), 0);
  const mix = fillOf(design);
  if (mix && fill > 1e-6)
    for (const part of mixNeed(mix, fill, catalogue).ingredients) {
      const sum = loose.get(part.material) ?? { amount: 0, layers: [] };
      loose.set(part.material, { ...sum, amount: sum.amount + part.loose });
    }

  for (const [id, { amount, layers }] of loose) {
    const row = materialOf(catalogue, id);
    if (amount <= 1e-9) continue;
    const bagged = bagsOf(row, amount, take(id, amount));
    if (bagged) bought.push({ ...bagged, layers });
  }
  const buy = merged(bought);
  return {
    buy,
    cut,
    price: buy.reduce((sum, row) => sum + row.price, 0),
  };
}

/** Whole packs of loose goods for what the shelf does not hold; undefined when nobody sells it. */
export function bagsOf(row: Material, amount: number, fromShelf: number): Purchase | undefined {
  const packs = offered(row.packs.filter(isVolume), (it) => it);
  if (packs.length === 0) return undefined;
  const choice = choosePacks(amount - fromShelf, packs);
  return {
    material: row.id,
    name: row.name,
    need: { unit: 'volume', amount },
    fromShelf,
    packs: choice.packs,
    leftOver: choice.leftOver,
    price: choice.price,
    layers: [],
  };
}

/** A roll, sheet or pipe that lies on the shelf in full is not bought; part of one is no use for a whole piece. */
function withShelf(row: Purchase, take: (material: string, amount: number) => number): Purchase {
  const there = take(row.material, row.need.amount);
  return there >= row.need.amount - 1e-9
    ? { ...row, fromShelf: row.need.amount, packs: [], leftOver: 0, price: 0 }
    : row;
}

/** Cut goods of one material and pack in several places are one row. */
function merged(rows: readonly Purchase[]): Purchase[] {
  const all = new Map<string, Purchase>();
  for (const row of rows) {
    const key = `${row.material} ${row.packs[0]?.pack.id ?? ''} ${row.fromShelf > 0 ? 'shelf' : ''}`;
    const sum = all.get(key);
    all.set(
      key,
      sum
        ? {
            ...row,
            need: { unit: row.need.unit, amount: sum.need.amount + row.need.amount },
            fromShelf: sum.fromShelf + row.fromShelf,
            packs: row.packs.map((it, index) => ({
              ...it,
              count: it.count + (sum.packs[index]?.count ?? 0),
            })),
            leftOver: sum.leftOver + row.leftOver,
            price: sum.price + row.price,
            layers: [...sum.layers, ...row.layers],
          }
        : row,
    );
  }
  return [...all.values()];
}

function barrierOf(
  it: LayerResult,
  layer: BarrierLayer,
  design: Design,
  laid: GroundResult,
  catalogue: Catalogue,
): { cut: CutItem; buy: Purchase | undefined } {
  const row = materialOf(catalogue, layer.material);
  const { piece, offer } = bestRoll(layer, it.field, catalogue);
  return {
    cut: {
      layer: layer.id,
      name: row.name,
      what: 'barrier',
      ...piece,
      count: 1,
      holes: holesIn(layer, it.region, design, laid),
      outlined: isOutlined(it),
      roll: offer && { ...offer.cut, rollWidth: offer.pack.width },
      sheets: undefined,
    },
    buy: offer && {
      material: row.id,
      name: row.name,
      need: { unit: 'roll', amount: offer.cut.rollLength },
      fromShelf: 0,
      packs: [{ pack: offer.pack, count: offer.count }],
      leftOver: offer.count * offer.pack.length - offer.cut.rollLength,
      price: offer.price,
      layers: [layer.id],
    },
  };
}

/** Covers less floor than the rectangle around it. */
const isOutlined = ({ field, area }: LayerResult): boolean => {
  const { width, depth } = sizeOf(field);
  return area < width * depth * 0.999;
};

/** A panel with its legs, or plies of foam with the grid that lies on them. */
function panelOf(
  it: LayerResult,
  layer: Extract<Layer, { kind: 'drainage' }>,
  design: Design,
  catalogue: Catalogue,
): { cut: CutItem[]; buy: Purchase[] } {
  const row = materialOf(catalogue, layer.material);
  const floor = sizeOf(it.field);
  const piece = { width: floor.width - PANEL_PLAY, depth: floor.depth - PANEL_PLAY };
  const shared = { layer: layer.id, holes: [], outlined: isOutlined(it), roll: undefined };
  const height = layer.thickness.frontLeft;
  const sheetsOf = (
    material: Material,
    plies: (pack: AreaPack) => number,
  ): { buy: Purchase[]; sheets: number } => {
    const offers = material.packs.filter(isArea).map((pack) => {
      const count = sheetsFor(piece, pack) * plies(pack);
      return { pack, count, price: count * pack.price.value };
    });
    const best = [...offered(offers, (it) => it.pack)].sort((a, b) => a.price - b.price)[0];
    return {
      sheets: best?.count ?? 0,
      buy: best
        ? [
            {
              material: material.id,
              name: material.name,
              need: { unit: 'sheets', amount: best.count },
              fromShelf: 0,
              packs: [best],
              leftOver: 0,
              price: best.price,
              layers: [layer.id],
            },
          ]
        : [],
    };
  };
  const under = bedOfMaterial(row)?.under;
  const grid = under ? everydayMaterial(catalogue, under) : row;
  const top = sheetsOf(grid, () => 1);
  const panel: CutItem = {
    ...shared,
    name: grid.name,
    what: 'panel',
    ...piece,
    count: 1,
    sheets: top.sheets,
  };

  if (grid !== row) {
    const plies = (pack: AreaPack): number =>
      Math.max(
        1,
        Math.round((height - PANEL_SHEET) / ('thickness' in pack && pack.thickness ? pack.thickness : 0.05)),
      );
    const foam = sheetsOf(row, plies);
    const pack = foam.buy[0]?.packs[0]?.pack;
    const count = pack && isArea(pack) ? plies(pack) : 1;
    return {
      cut: [{ ...shared, name: row.name, what: 'foam', ...piece, count, sheets: foam.sheets }, panel],
      buy: [...foam.buy, ...top.buy],
    };
  }
  const legs = legsUnder(it.field, design.ground.panel);
  const long = Math.max(0.005, height - PANEL_SHEET);
  const pipe = everydayMaterial(catalogue, 'support');
  const offers = pipe.packs.filter(isPipe).flatMap((pack) => {
    const each = Math.floor(pack.length / long + 1e-9);
    if (each === 0) return [];
    const count = Math.ceil(legs.count / each);
    return [{ pack, count, price: count * pack.price.value }];
  });
  const best = [...offered(offers, (it) => it.pack)].sort((a, b) => a.price - b.price)[0];
  return {
    cut: [
      panel,
      {
        ...shared,
        name: pipe.name,
        what: 'legs',
        width: long,
        depth: design.ground.panel.leg,
        count: legs.count,
        sheets: undefined,
      },
    ],
    buy: [
      ...top.buy,
      ...(best
        ? [
            {
              material: pipe.id,
              name: pipe.name,
              need: { unit: 'pipe' as const, amount: legs.count * long },
              fromShelf: 0,
              packs: [{ pack: best.pack, count: best.count }],
              leftOver: best.count * best.pack.length - legs.count * long,
              price: best.price,
              layers: [layer.id],
            },
          ]
        : []),
    ],
  };
}
