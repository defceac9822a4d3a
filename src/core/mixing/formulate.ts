import { materialOf, type Catalogue, type Material } from '../catalogue';
import { offered } from '../ground/packs';
import { normalise } from '../ground/parts';
import { isVolume } from '../ground/shopping';
import { Builder } from './program';
import { BOUNDED, type Bounded, type Build, type MixProblem } from './problem';
import { capacityOf, phOf, propertiesOf, type State } from './properties';

/** How far a band may be missed. */
export interface BandSlack {
  readonly column: number;
  readonly build: string;
  readonly property: Bounded;
  /** Misses, in what a hand would feel, for one unit of the column. */
  readonly weight: number;
  /** What a hand would feel, in the unit of the property. */
  readonly scale: number;
}

/**
 * The program of a mixing problem. Everything in litres, so that coefficients stay near one. With p the packing loss and
 * s the settling, Σ x(1 − s)(1 − p) = wanted: since the wanted volume is fixed, the placed litres before packing
 * Y = wanted / (1 − p) are too, and every property is a linear function of the litres.
 */
export interface Formulation {
  readonly builder: Builder;
  /** Litres of a material in a build. */
  readonly x: ReadonlyMap<string, number>;
  readonly packs: readonly {
    readonly column: number;
    readonly material: string;
    readonly pack: string;
    readonly litres: number;
    readonly price: number;
  }[];
  /** Litres taken off the shelf. */
  readonly fromShelf: ReadonlyMap<string, number>;
  /** Litres that are on it. */
  readonly there: ReadonlyMap<string, number>;
  /** Litres over or under the recipe, for every ingredient of every build. */
  readonly departures: readonly number[];
  /** Misses of a stretch, each with its scale. */
  readonly misses: readonly (readonly [column: number, weight: number])[];
  /** Slack that lets an impossible problem be looked into; empty unless asked for. */
  readonly slack: {
    readonly material: ReadonlyMap<string, number>;
    readonly money: number | undefined;
    readonly bands: readonly BandSlack[];
    readonly volume: ReadonlyMap<string, number>;
  };
  readonly builds: readonly {
    readonly build: Build;
    readonly materials: readonly Material[];
    readonly target: ReadonlyMap<string, number>;
  }[];
}

export interface Loosened {
  /** Let missing material and money be borrowed, and bands be missed. */
  readonly supply: boolean;
  readonly bands: boolean;
  /** Let shares be anything. */
  readonly shares: boolean;
  /** Let a build be filled less. */
  readonly volume: boolean;
}

export const FIRM: Loosened = { supply: false, bands: false, shares: false, volume: false };

const LITRES = 1000;

/** What one litre of a material, before packing, adds to a property's sum; and how a bound on the mix reads there. */
function linear(property: Bounded, gap: number, state: State) {
  const plain = (of: (row: Material) => number | undefined) => ({ of, bound: (value: number) => value });
  switch (property) {
    case 'capacity':
      return { of: (row: Material) => capacityOf(row, state), bound: (value: number) => value * gap };
    case 'porosity':
      return {
        of: (row: Material) => row.retention && 1 - row.retention.value.saturated,
        bound: (value: number) => (1 - value) * gap,
      };
    case 'air':
      return {
        of: (row: Material) => {
          const water = capacityOf(row, state);
          return row.retention && water !== undefined ? 1 - row.retention.value.saturated + water : undefined;
        },
        bound: (value: number) => (1 - value) * gap,
      };
    case 'density':
      return {
        of: (row: Material) => row.density.value / (1 - row.settling.value) / LITRES,
        bound: (value: number) => (value * gap) / LITRES,
      };
    case 'ph':
      return plain(phOf);
    case 'hold':
      return {
        of: (row: Material) => row.mixing && row.mixing.hold.value ** 2,
        bound: (value: number) => value ** 2,
      };
    case 'salts':
    case 'decay':
      return plain((row) => row.mixing?.[property].value);
  }
}

/** How far off a practised hand would feel it, property by property (from memory); of a density, its fifth. */
const FELT: Readonly<Record<Exclude<Bounded, 'density'>, number>> = {
  air: 0.1,
  capacity: 0.1,
  porosity: 0.1,
  ph: 0.5,
  salts: 0.5,
  hold: 0.15,
  decay: 0.1,
};
const feltOf = (property: Bounded, near: number): number =>
  property === 'density' ? Math.max(10, near * 0.2) : FELT[property];

/** Less than this much of an added ingredient is not worth opening a bag for, as a share of the mix. */
const LEAST_SHARE = 0.03;
/** What a stretched bag is matched by. */
const MATCHED: readonly Bounded[] = ['air', 'capacity', 'density', 'ph', 'hold'];

/** The recipe's shares; without peat its coir stands in for it. */
function sharesOf(build: Build, peatFree: boolean, catalogue: Catalogue): Map<string, number> {
  const shares = new Map<string, number>();
  for (const { material, share } of normalise(build.mix)) {
    const id = peatFree && !materialOf(catalogue, material).peatFree ? 'coir' : material;
    shares.set(id, (shares.get(id) ?? 0) + share);
  }
  return shares;
}

export function formulate(problem: MixProblem, catalogue: Catalogue, loosened: Loosened = FIRM): Formulation {
  const builder = new Builder();
  const x = new Map<string, number>();
  const supply = new Map<string, number[]>();
  const departures: number[] = [];
  const misses: [number, number][] = [];
  const bands: BandSlack[] = [];
  const volume = new Map<string, number>();

  const builds = problem.builds.map((build) => {
    const target = sharesOf(build, problem.peatFree, catalogue);
    const ids = new Set([...target.keys(), ...build.besides]);
    const materials = [...ids]
      .map((id) => materialOf(catalogue, id))
      .filter((row) => row.peatFree || !problem.peatFree);
    return { build, materials, target };
  });

  for (const { build, materials, target } of builds) {
    const gap = 1 - build.mix.packingLoss;
    const before = (build.placed * LITRES) / gap;
    const stretched = problem.stretch?.build === build.id ? problem.stretch : undefined;
    const all: { row: Material; column: number }[] = materials.map((row) => {
      const column = builder.column(`x ${build.id} ${row.id}`, before / (1 - row.settling.value));
      x.set(key(build.id, row.id), column);
      supply.set(row.id, [...(supply.get(row.id) ?? []), column]);
      return { row, column };
    });
    const placedTerms = all.map(({ row, column }) => [column, 1 - row.settling.value] as const);
    if (loosened.volume) {
      const less = builder.column(`less ${build.id}`, before);
      volume.set(build.id, less);
      builder.row(`volume ${build.id}`, before, before, [...placedTerms, [less, 1]]);
    } else {
      builder.row(`volume ${build.id}`, before, before, placedTerms);
    }

    if (stretched) stretch(stretched, build, all, before);
    else {
      for (const { row, column } of all) {
        const share = target.get(row.id) ?? 0;
        const whole = all.map((it) => [it.column, share] as const);
        const off = builder.column(`off ${build.id} ${row.id}`);
        departures.push(off);
        // |x − f·Σx| ≤ off, and off within the tolerance.
        builder.row(`over ${build.id} ${row.id}`, -Infinity, 0, [[column, 1], ...minus(whole), [off, -1]]);
        builder.row(`under ${build.id} ${row.id}`, -Infinity, 0, [[column, -1], ...whole, [off, -1]]);
        if (!loosened.shares && build.tolerance < 1) {
          builder.row(`near ${build.id} ${row.id}`, -Infinity, 0, [
            [off, 1],
            ...all.map((it) => [it.column, -build.tolerance] as const),
          ]);
        }
      }
    }

    for (const property of BOUNDED) {
      const range = build.bands[property];
      if (!range) continue;
      const { of, bound } = linear(property, gap, build.state);
      const terms = all.flatMap(({ row, column }): [number, number][] => {
        const value = of(row);
        return value === undefined ? [] : [[column, value * (1 - row.settling.value)]];
      });
      if (terms.length < all.length) continue;
      const ends = [bound(range.low), bound(range.high)].sort((a, b) => a - b);
      const [low = 0, high = 0] = ends;
      // A bound on a mean: Σ y·a within [low, high]·Σ y, so that it also holds for a box filled less high.
      const over = placedTerms.map(([column, by]) => [column, -high * by] as const);
      const under = placedTerms.map(([column, by]) => [column, -low * by] as const);
      const slack: [number, number][] = [];
      if (loosened.bands) {
        const column = builder.column(`miss ${build.id} ${property}`);
        const scale = feltOf(property, range.low);
        const unit = Math.abs(bound(range.low + scale) - bound(range.low)) || 1;
        bands.push({ column, build: build.id, property, scale, weight: 1 / (unit * before) });
        slack.push([column, -1]);
      }
      builder.row(`most ${build.id} ${property}`, -Infinity, 0, [...terms, ...over, ...slack]);
      builder.row(`least ${build.id} ${property}`, -Infinity, 0, [
        ...minus(terms),
        ...minus(under),
        ...slack,
      ]);
    }
  }

  /** All of the bag goes in; what makes it up should leave its behaviour as it was. */
  function stretch(
    { material, have, most }: NonNullable<MixProblem['stretch']>,
    build: Build,
    all: readonly { row: Material; column: number }[],
    before: number,
  ): void {
    const bag = all.find((it) => it.row.id === material);
    if (!bag) return;
    const alone = before / (1 - bag.row.settling.value);
    const used = Math.min(have * LITRES, alone);
    builder.row(`bag ${build.id}`, used, used, [[bag.column, 1]]);
    const uses = all
      .filter((it) => it !== bag)
      .map(({ row, column }) => {
        const use = builder.column(`use ${build.id} ${row.id}`, 1, true);
        const fills = before / (1 - row.settling.value);
        builder.row(`if ${build.id} ${row.id}`, -Infinity, 0, [
          [column, 1],
          [use, -fills],
        ]);
        builder.row(`worth ${build.id} ${row.id}`, 0, Infinity, [
          [column, 1],
          [use, -LEAST_SHARE * fills],
        ]);
        return use;
      });
    builder.row(
      `few ${build.id}`,
      -Infinity,
      most,
      uses.map((use) => [use, 1] as const),
    );
    const wantedOf = propertiesOf(
      { recipe: null, parts: [{ material, parts: 1 }], packingLoss: 0 },
      catalogue,
      build.state,
    );
    for (const property of MATCHED) {
      const wanted = wantedOf[property];
      const gap = 1 - build.mix.packingLoss;
      const { of, bound } = linear(property, gap, build.state);
      if (wanted === undefined || all.some(({ row }) => of(row) === undefined)) continue;
      const miss = builder.column(`miss ${build.id} ${property}`);
      const scale = feltOf(property, wanted);
      const unit = Math.abs(bound(wanted + scale) - bound(wanted)) || 1;
      misses.push([miss, 1 / (unit * before)]);
      const terms = all.map(
        ({ row, column }) => [column, ((of(row) ?? 0) - bound(wanted)) * (1 - row.settling.value)] as const,
      );
      builder.row(`above ${build.id} ${property}`, -Infinity, 0, [...terms, [miss, -1]]);
      builder.row(`below ${build.id} ${property}`, -Infinity, 0, [...minus(terms), [miss, -1]]);
    }
  }

  const packs: Formulation['packs'][number][] = [];
  const fromShelf = new Map<string, number>();
  const there = new Map<string, number>();
  const lacking = new Map<string, number>();
  for (const [id, columns] of supply) {
    const row = materialOf(catalogue, id);
    const inStretch = problem.stretch?.material === id ? problem.stretch.have * LITRES : 0;
    const here = Math.max((problem.shelf[id] ?? 0) * LITRES, inStretch);
    const shelf = builder.column(`shelf ${id}`, here);
    there.set(id, here);
    fromShelf.set(id, shelf);
    const use = columns.map((column) => [column, 1] as const);
    // Only what goes in counts as taken.
    builder.row(`taken ${id}`, 0, Infinity, [...use, [shelf, -1]]);
    const sold = problem.buyable === null || problem.buyable.includes(id);
    const most = problem.builds.reduce((sum, it) => sum + it.placed, 0) * LITRES;
    const offers = sold && inStretch === 0 ? offered(row.packs.filter(isVolume), (it) => it) : [];
    const supplied = offers.map((pack) => {
      const litres = pack.volume * LITRES;
      // As many as would fill every build with it, and one over.
      const count = builder.column(`n ${id} ${pack.id}`, Math.ceil((most / litres) * 2) + 1, true);
      packs.push({ column: count, material: id, pack: pack.id, litres, price: pack.price.value });
      return [count, -litres] as const;
    });
    const lack: [number, number][] = [];
    if (loosened.supply) {
      const column = builder.column(`lack ${id}`);
      lacking.set(id, column);
      lack.push([column, -1]);
    }
    builder.row(`supply ${id}`, -Infinity, 0, [...use, [shelf, -1], ...supplied, ...lack]);
  }
  let money: number | undefined;
  if (problem.budget !== null) {
    const spent = packs.map((it) => [it.column, it.price] as const);
    if (loosened.supply) money = builder.column('lack money');
    builder.row('budget', -Infinity, problem.budget, money === undefined ? spent : [...spent, [money, -1]]);
  }
  return {
    builder,
    x,
    packs,
    fromShelf,
    there,
    departures,
    misses,
    slack: { material: lacking, money, bands, volume },
    builds,
  };
}

export const key = (build: string, material: string): string => `${build}\u0000${material}`;

const minus = (terms: readonly (readonly [number, number])[]): [number, number][] =>
  terms.map(([column, by]) => [column, -by]);
