import type { Assessment } from '../assess';
import {
  findDeviceKind,
  findMaterial,
  findPieceKind,
  findPlant,
  findSupply,
  type Catalogue,
  type DeviceKind,
  type Pack,
  type Plant,
} from '../catalogue';
import { mistingHose, nozzlesOf } from '../climate/misting';
import type { Design, Device } from '../document/schema';
import { jointLists, type SharedRoll } from '../ground/joint';
import { bagsOf, type Purchase, type Shelf } from '../ground/shopping';
import { culturesOf } from '../living/crew';
import { boughtFor, plantsToBuy, sownToBuy } from '../living/planted';
import { rebuildOf, type Rebuild } from '../plan/rebuild';
import { suppliesFor } from '../scape/needs';
import {
  CONTROL_PRICES,
  priceKey,
  SHOPS,
  shopOfControl,
  shopOfDevice,
  shopOfMaterial,
  shopOfPiece,
  wareKey,
  wareName,
  type Control,
  type Shop,
} from './wares';

export type Measure = Purchase['need']['unit'] | 'mass' | 'area' | 'count';

export interface BuyPack {
  readonly id: string;
  /** Of a ware with a pack in words, or of one sold singly. */
  readonly words: string;
  /** Of a material: how it is sold, for the reader's own units. */
  readonly pack: Pack | undefined;
  readonly count: number;
  readonly price: number;
}

/** One thing to buy, over all the builds it is for. Amounts in its measure: m³ loose, m, m², kg or a count. */
export interface BuyRow {
  readonly key: string;
  readonly shop: Shop;
  readonly name: string;
  readonly measure: Measure;
  readonly needed: number;
  /** Of that, in the box already: left, or set aside and put back. */
  readonly there: number;
  readonly fromShelf: number;
  readonly spare: number;
  /** Whole packs. */
  readonly packs: readonly BuyPack[];
  /** What they give together. */
  readonly bought: number;
  readonly leftOver: number;
  readonly price: number;
  /** Enclosures it is for. */
  readonly builds: readonly string[];
  /** What else is to be said of it, one line. */
  readonly note: string;
}

export interface Buying {
  readonly rows: readonly BuyRow[];
  readonly byShop: readonly {
    readonly shop: Shop;
    readonly rows: readonly BuyRow[];
    readonly price: number;
  }[];
  readonly price: number;
  /** Barriers of several builds, cut from one roll. */
  readonly rolls: readonly SharedRoll[];
}

export interface Build {
  readonly design: Design;
  readonly assessment: Assessment;
}

/** What one build still needs, once what it has already is taken off. */
interface Wanted {
  readonly build: Build;
  readonly rebuild: Rebuild | undefined;
  /** Is this thing to be had new? */
  readonly fresh: (group: string, id: string) => boolean;
}

const wantedOf = (build: Build, catalogue: Catalogue): Wanted => {
  const rebuild = rebuildOf(build.design, build.assessment, catalogue);
  const news = new Set(rebuild?.rows.flatMap((it) => (it.fate === 'new' ? [`${it.group} ${it.id}`] : [])));
  return { build, rebuild, fresh: (group, id) => !rebuild || news.has(`${group} ${id}`) };
};

/**
 * What to buy for one build or several: needed, less what is there, less what is on the shelf, and a share of what is
 * measured out to spare; in whole packs. What is cut or counted has no spare: the cut says itself what is left over.
 * @param spare share of what is still needed of loose goods and supplies
 * @param prices the builder's own, by `priceKey`, of what the catalogue holds no row of
 */
export function buyingOf(
  builds: readonly Build[],
  catalogue: Catalogue,
  shelf: Shelf = {},
  spare = 0,
  prices: Readonly<Record<string, number>> = {},
): Buying {
  const wanted = builds.map((it) => wantedOf(it, catalogue));
  const left = new Map(Object.entries(shelf));
  const take = (key: string, amount: number): number => {
    const there = Math.max(0, Math.min(left.get(key) ?? 0, amount));
    left.set(key, (left.get(key) ?? 0) - there);
    return there;
  };
  const cut = cutGoods(wanted, catalogue, take);
  const rows = [
    ...cut.rows,
    ...looseGoods(wanted, catalogue, take, spare),
    ...supplies(wanted, catalogue, take, spare),
    ...counted(wanted, catalogue, take, prices),
  ];
  const byShop = SHOPS.flatMap((shop) => {
    const own = rows.filter((it) => it.shop === shop);
    return own.length > 0 ? [{ shop, rows: own, price: sum(own.map((it) => it.price)) }] : [];
  });
  return { rows, byShop, price: sum(rows.map((it) => it.price)), rolls: cut.rolls };
}

const sum = (values: readonly number[]): number => values.reduce((all, it) => all + it, 0);
type Take = (key: string, amount: number) => number;

const packsOf = (packs: Purchase['packs']): BuyPack[] =>
  packs.map(({ pack, count }) => ({ id: pack.id, words: pack.form, pack, count, price: pack.price.value }));

/** How much of its measure one pack of cut goods is. */
const lengthOf = (pack: Pack): number => (pack.form === 'sheet' || !('length' in pack) ? 1 : pack.length);

function looseGoods(wanted: readonly Wanted[], catalogue: Catalogue, take: Take, spare: number): BuyRow[] {
  const needs = new Map<string, { needed: number; there: number; builds: string[] }>();
  for (const { build, rebuild } of wanted)
    for (const row of build.assessment.lists.buy) {
      if (row.need.unit !== 'volume') continue;
      const need = needs.get(row.material) ?? { needed: 0, there: 0, builds: [] };
      need.needed += row.need.amount;
      need.there += Math.min(row.need.amount, rebuild?.there.get(row.material) ?? 0);
      need.builds.push(build.design.name);
      needs.set(row.material, need);
    }
  return [...needs].flatMap(([id, { needed, there, builds }]): BuyRow[] => {
    const material = findMaterial(catalogue, id);
    if (!material) return [];
    const open = Math.max(0, needed - there);
    const extra = open * spare;
    const fromShelf = take(id, open + extra);
    const bags = bagsOf(material, open + extra, fromShelf);
    if (!bags) return [];
    return [
      {
        key: id,
        shop: shopOfMaterial(material),
        name: material.name,
        measure: 'volume',
        needed,
        there,
        fromShelf,
        spare: extra,
        packs: packsOf(bags.packs),
        bought: sum(bags.packs.map(({ pack, count }) => count * ('volume' in pack ? pack.volume : 0))),
        leftOver: bags.leftOver,
        price: bags.price,
        builds,
        note: '',
      },
    ];
  });
}

/** Rolls, sheets and pipe: of one build by its own cut, of several nested on one roll. */
function cutGoods(
  wanted: readonly Wanted[],
  catalogue: Catalogue,
  take: Take,
): { readonly rows: readonly BuyRow[]; readonly rolls: readonly SharedRoll[] } {
  const isNew = ({ fresh }: Wanted, layers: readonly string[]): boolean =>
    layers.length === 0 || layers.some((id) => fresh('ground', id));
  const trimmed = wanted.map((it) => {
    const { design, assessment } = it.build;
    const buy = assessment.lists.buy.filter((row) => row.need.unit !== 'volume' && isNew(it, row.layers));
    return {
      design,
      lists: { ...assessment.lists, buy, price: sum(buy.map((row) => row.price)) },
      ground: {
        ...assessment.ground,
        layers: assessment.ground.layers.filter(
          ({ layer }) => layer.kind !== 'barrier' || it.fresh('ground', layer.id),
        ),
      },
    };
  });
  const joint = trimmed.length > 1 ? jointLists(trimmed, catalogue) : undefined;
  const buy = joint ? joint.buy : (trimmed[0]?.lists.buy ?? []);
  const builds = (material: string): string[] =>
    trimmed.flatMap(({ design, lists }) =>
      lists.buy.some((row) => row.material === material) ? [design.name] : [],
    );
  const rows = buy.flatMap((row): BuyRow[] => {
    const material = findMaterial(catalogue, row.material);
    if (!material) return [];
    const { amount, unit } = row.need;
    const there = take(row.material, amount);
    // Part of a roll or a pipe is no use for a whole piece.
    const whole = there >= amount - 1e-9;
    if (!whole && there > 0) take(row.material, -there);
    return [
      {
        key: row.material,
        shop: shopOfMaterial(material),
        name: row.name,
        measure: unit,
        needed: amount,
        there: 0,
        fromShelf: whole ? amount : 0,
        spare: 0,
        packs: whole ? [] : packsOf(row.packs),
        bought: whole ? 0 : sum(row.packs.map(({ pack, count }) => count * lengthOf(pack))),
        leftOver: whole ? 0 : row.leftOver,
        price: whole ? 0 : row.price,
        builds: builds(row.material),
        note: '',
      },
    ];
  });
  return { rows, rolls: joint?.rolls ?? [] };
}

/** What backgrounds are made with; one that is finished needs nothing more. */
function supplies(wanted: readonly Wanted[], catalogue: Catalogue, take: Take, spare: number): BuyRow[] {
  const backs = wanted.map(({ build, fresh }) => ({
    name: build.design.name,
    made: build.assessment.scape.backs.filter(
      ({ back: { background } }) => background.finished === null && fresh('background', background.id),
    ),
  }));
  const all = suppliesFor(
    backs.flatMap((it) => it.made),
    catalogue,
  );
  return all.flatMap(({ supply, amount }): BuyRow[] => {
    const key = wareKey('supply', supply.id);
    const extra = supply.measure === 'count' ? 0 : amount * spare;
    const fromShelf = take(key, amount + extra);
    const open = amount + extra - fromShelf;
    const [packed] = open > 1e-9 ? suppliesFor([{ takes: new Map([[supply.id, open]]) }], catalogue) : [];
    const row = findSupply(catalogue, supply.id);
    const packs = (packed?.packs ?? []).map((it): BuyPack => {
      const own = row?.packs.find((pack) => pack.id === it.id);
      return { id: it.id, words: it.words, pack: undefined, count: it.count, price: own?.price.value ?? 0 };
    });
    const bought = sum(
      packs.map((it) => it.count * (row?.packs.find((pack) => pack.id === it.id)?.amount.value ?? 0)),
    );
    return [
      {
        key,
        shop: 'building',
        name: supply.name,
        measure: supply.measure,
        needed: amount,
        there: 0,
        fromShelf,
        spare: extra,
        packs,
        bought,
        leftOver: packed?.leftOver ?? 0,
        price: packed?.price ?? 0,
        builds: backs.flatMap((it) => (it.made.some((own) => own.takes.has(supply.id)) ? [it.name] : [])),
        note: '',
      },
    ];
  });
}

/** What holds a device, or dims a lamp where no thermostat does. */
const controlsOf = ({ thermostat, humidistat, dim }: Device, { form }: DeviceKind): readonly Control[] => [
  ...(thermostat ? [thermostat.kind] : []),
  ...(humidistat ? (['humidistat'] as const) : []),
  ...(dim < 1 && !thermostat && (form === 'tube' || form === 'bulb' || form === 'panel')
    ? (['dimmer'] as const)
    : []),
];

interface Count {
  readonly shop: Shop;
  readonly price: number;
  count: number;
  readonly builds: Set<string>;
  note: string;
}

/** Pieces, lamps and what holds them, plants and crew: bought one by one. */
function counted(
  wanted: readonly Wanted[],
  catalogue: Catalogue,
  take: Take,
  prices: Readonly<Record<string, number>>,
): BuyRow[] {
  const controlPrice = (it: Control): number =>
    prices[priceKey(wareKey('control', it), 'each')] ?? CONTROL_PRICES[it];
  const counts = new Map<string, Count>();
  const add = (key: string, shop: Shop, price: number, build: string, count = 1, note = ''): void => {
    const own = counts.get(key) ?? { shop, price, count: 0, builds: new Set<string>(), note };
    own.count += count;
    own.builds.add(build);
    counts.set(key, own);
  };
  const plants: { id: string; stand: number; small: number; build: string }[] = [];
  const sown: { plant: Plant; area: number; build: string }[] = [];
  for (const { build, fresh } of wanted) {
    const { design, assessment } = build;
    for (const piece of design.scape.pieces) {
      const kind = findPieceKind(catalogue, piece.kind);
      if (kind && kind.price.value > 0 && fresh('piece', piece.id))
        add(
          wareKey('piece', kind.id),
          shopOfPiece(kind),
          kind.price.value,
          design.name,
          1,
          'sizes in Hardscape',
        );
    }
    const control = (it: Control, count = 1, note = ''): void => {
      if (count > 0)
        add(wareKey('control', it), shopOfControl(it), controlPrice(it), design.name, count, note);
    };
    // What goes on and off together hangs on one timer.
    const timers = new Set<string>();
    for (const device of design.climate.devices) {
      const kind = findDeviceKind(catalogue, device.kind);
      if (!kind || !fresh('device', device.id)) continue;
      const id = device.power > 0 ? `${kind.id}@${device.power}` : kind.id;
      add(wareKey('device', id), shopOfDevice(kind), kind.price.value, design.name);
      for (const it of controlsOf(device, kind)) control(it);
      if (device.tank !== null && kind.tank && device.tank > kind.tank.value)
        control('fogger-canister', 1, 'size in Climate');
      if (device.guarded) control('lamp-guard');
      if (device.timer.by !== 'always' && !device.thermostat && !device.humidistat && kind.form !== 'nozzle')
        timers.add(JSON.stringify(device.timer));
    }
    control('timer', timers.size);
    if (
      design.climate.mist.by === 'nozzles' &&
      nozzlesOf(design, catalogue).some((it) => fresh('device', it.id))
    ) {
      for (const it of ['misting-timer', 'misting-pump', 'misting-filter'] as const) control(it);
      if (design.climate.mist.bottle !== null) control('misting-bottle', 1, 'size in Climate');
      control('misting-hose', mistingHose(design, catalogue), 'metres');
    }
    for (const need of plantsToBuy(assessment.living.plants, (id) => fresh('plant', id)))
      plants.push({ ...need, build: design.name });
    for (const it of sownToBuy(assessment.living.plants, (id) => fresh('plant', id)))
      sown.push({ ...it, build: design.name });
    for (const { kind, count, on } of design.living.crew) {
      const row = catalogue.living.crew.find((it) => it.id === kind);
      if (!row || on !== null || !fresh('crew', kind)) continue;
      add(wareKey('crew', kind), 'breeder', row.price.value, design.name, culturesOf(row, count), 'cultures');
    }
  }
  // Small plants are parted from bought ones, over all builds together.
  for (const id of new Set(plants.map((it) => it.id))) {
    const plant = findPlant(catalogue, id);
    if (!plant) continue;
    const own = plants.filter((it) => it.id === id);
    const [stand, small] = [sum(own.map((it) => it.stand)), sum(own.map((it) => it.small))];
    const buy = boughtFor({ plant, stand, small });
    counts.set(wareKey('plant', id), {
      shop: 'nursery',
      price: plant.price.value,
      count: buy,
      builds: new Set(own.map((it) => it.build)),
      note: stand > buy ? `${stand} places: divide` : '',
    });
  }
  // A packet sows all builds together.
  for (const plant of new Set(sown.map((it) => it.plant))) {
    const own = sown.filter((it) => it.plant === plant);
    const { covers, price } = plant.sows?.value ?? { covers: 1, price: 0 };
    counts.set(wareKey('sowing', plant.id), {
      shop: 'nursery',
      price,
      count: Math.ceil(sum(own.map((it) => it.area)) / covers - 1e-9),
      builds: new Set(own.map((it) => it.build)),
      note: 'portions',
    });
  }
  return [...counts].map(([key, { shop, price, count, builds, note }]): BuyRow => {
    const fromShelf = take(key, count);
    const buy = Math.ceil(count - fromShelf - 1e-9);
    return {
      key,
      shop,
      name: wareName(catalogue, key),
      measure: 'count',
      needed: count,
      there: 0,
      fromShelf,
      spare: 0,
      packs: buy > 0 ? [{ id: 'each', words: '', pack: undefined, count: buy, price }] : [],
      bought: buy,
      leftOver: buy - (count - fromShelf),
      price: buy * price,
      builds: [...builds],
      note,
    };
  });
}
