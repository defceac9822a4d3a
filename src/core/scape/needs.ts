import {
  findBackgroundKind,
  findSupply,
  type BackgroundKind,
  type Catalogue,
  type Range,
  type Supply,
} from '../catalogue';
import type { Background, Cutout } from '../document/scapeSchema';
import { choosePacks, offered } from '../ground/packs';
import type { Back } from '../pieces/backs';

export interface SupplyNeed {
  readonly supply: Supply;
  /** In its measure: m³, kg, m² or pieces. */
  readonly amount: number;
  readonly packs: readonly { readonly id: string; readonly words: string; readonly count: number }[];
  readonly leftOver: number;
  readonly price: number;
}

export interface Cure {
  readonly step: string;
  /** Days, one after the other for each coat. */
  readonly days: Range;
  readonly fumes: boolean;
  /** Only waited for, until nothing smells. */
  readonly airs: boolean;
}

/** What one background comes to. */
export interface BackResult {
  readonly back: Back;
  readonly kind: BackgroundKind | undefined;
  /** m², with and without its openings. */
  readonly gross: number;
  readonly net: number;
  /** kg */
  readonly mass: number;
  /** Amounts by supply, in their measures. */
  readonly takes: ReadonlyMap<string, number>;
  readonly cures: readonly Cure[];
  /** Days till all of it has hardened, and for which it then commonly smells. */
  readonly curing: Range;
  readonly airing: Range;
  /** Where sheets meet, m from its left end and from its foot. */
  readonly joins: { readonly across: readonly number[]; readonly up: readonly number[] };
  readonly sheets: number;
}

const holeArea = ({ shape, width, height }: Cutout): number =>
  (shape === 'round' ? Math.PI / 4 : 1) * width * height;

/** Where whole sheets meet along a length. */
function joinsAlong(length: number, sheet: number): number[] {
  const count = Math.ceil(length / sheet - 1e-9);
  return Array.from({ length: Math.max(0, count - 1) }, (_, index) => (index + 1) * sheet);
}

/** Joins of a panel made of sheets, laid whichever way takes fewer; none where the kind is not sold in sheets. */
export function joinsOf(
  { width, height }: { readonly width: number; readonly height: number },
  sheet: BackgroundKind['sheet'],
): Pick<BackResult, 'joins' | 'sheets'> {
  if (!sheet) return { joins: { across: [], up: [] }, sheets: 0 };
  const laid = (w: number, h: number) => {
    const joins = { across: joinsAlong(width, w), up: joinsAlong(height, h) };
    return { joins, sheets: (joins.across.length + 1) * (joins.up.length + 1) };
  };
  const [a, b] = [laid(sheet.width, sheet.height), laid(sheet.height, sheet.width)];
  return a.sheets <= b.sheets ? a : b;
}

function needsOf(back: Back, kind: BackgroundKind): Map<string, number> {
  const { background, width, height } = back;
  const net = width * height - background.cutouts.reduce((sum, it) => sum + holeArea(it), 0);
  const edge = 2 * (width + height);
  const sheets = joinsOf(back, kind.sheet);
  const takes = new Map<string, number>();
  for (const { supply, per, rate, finish } of kind.takes) {
    if (finish !== undefined && finish !== background.finish) continue;
    const by = {
      area: net,
      volume: net * background.thickness,
      coat: net * background.coats,
      edge: edge + sheets.joins.across.length * height + sheets.joins.up.length * width,
    }[per];
    takes.set(supply, (takes.get(supply) ?? 0) + by * rate.value);
  }
  return takes;
}

/** What a background takes, weighs and waits for. Areas less openings; yields are common practice. */
export function backResult(back: Back, catalogue: Catalogue): BackResult {
  const { background, width, height } = back;
  const kind = findBackgroundKind(catalogue, background.kind);
  const gross = width * height;
  const net = Math.max(0, gross - background.cutouts.reduce((sum, it) => sum + holeArea(it), 0));
  const cures = kind ? curesOf(background, kind) : [];
  return {
    back,
    kind,
    gross,
    net,
    mass: net * background.thickness * (kind?.density.value ?? 0),
    takes: kind ? needsOf(back, kind) : new Map(),
    cures,
    curing: inAll(cures.filter((it) => !it.airs)),
    airing: inAll(cures.filter((it) => it.airs)),
    ...joinsOf(back, kind?.sheet),
  };
}

/** Days of several, one after the other. */
const inAll = (cures: readonly Cure[]): Range =>
  cures.reduce((sum, { days }) => ({ low: sum.low + days.low, high: sum.high + days.high }), {
    low: 0,
    high: 0,
  });

function curesOf(background: Background, kind: BackgroundKind): Cure[] {
  return kind.cures
    .filter((it) => it.finish === undefined || it.finish === background.finish)
    .map(({ step, days, fumes, each, airs }): Cure => {
      const times = each ? background.coats : 1;
      return {
        step: times > 1 ? `${step}, ${times} times` : step,
        days: { low: days.value.low * times, high: days.value.high * times },
        fumes,
        airs: airs ?? false,
      };
    });
}

/** Whole packs of everything some backgrounds take, each supply once. */
export function suppliesFor(
  results: readonly Pick<BackResult, 'takes'>[],
  catalogue: Catalogue,
): SupplyNeed[] {
  const amounts = new Map<string, number>();
  for (const { takes } of results)
    for (const [id, amount] of takes) amounts.set(id, (amounts.get(id) ?? 0) + amount);
  return [...amounts].flatMap(([id, amount]) => {
    const supply = findSupply(catalogue, id);
    if (!supply || amount <= 1e-9) return [];
    const choice = choosePacks(
      amount,
      offered(supply.packs, (it) => it).map((pack) => ({
        ...pack,
        form: 'bag' as const,
        volume: pack.amount.value,
      })),
    );
    return [
      {
        supply,
        amount,
        packs: choice.packs.map(({ pack, count }) => ({
          id: pack.id,
          words: supply.packs.find((it) => it.id === pack.id)?.words ?? pack.id,
          count,
        })),
        leftOver: choice.leftOver,
        price: choice.price,
      },
    ];
  });
}
