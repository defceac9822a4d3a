import { materialOf, type AreaPack, type Catalogue } from '../catalogue';
import type { BarrierLayer, Design } from '../document/schema';
import type { GroundResult } from './layers';
import { barrierSize, cutFromRoll } from './cut';
import { nestOnRoll, type Nesting, type Piece } from './nest';
import { offered } from './packs';
import { bagsOf, isArea, type Lists, type Purchase, type Shelf } from './shopping';

/** Barriers of one material, from all the enclosures, on one roll. */
export interface SharedRoll {
  readonly material: string;
  readonly name: string;
  readonly roll: AreaPack;
  readonly count: number;
  readonly nesting: Nesting;
  readonly price: number;
}

export interface JointLists {
  readonly buy: readonly Purchase[];
  readonly rolls: readonly SharedRoll[];
  readonly price: number;
  /** What the enclosures would cost, each bought for by itself. */
  readonly apart: number;
}

/** One purchase for several enclosures: loose goods are added up before they are packed, barriers share a roll. */
export function jointLists(
  builds: readonly { readonly design: Design; readonly ground: GroundResult; readonly lists: Lists }[],
  catalogue: Catalogue,
  shelf: Shelf = {},
): JointLists {
  const loose = new Map<string, number>();
  const panels = new Map<string, Purchase>();
  for (const { lists } of builds) {
    for (const row of lists.buy) {
      if (row.need.unit === 'volume')
        loose.set(row.material, (loose.get(row.material) ?? 0) + row.need.amount);
      if (row.need.unit === 'sheets' || row.need.unit === 'pipe') {
        const pack = row.packs[0]?.pack;
        const key = `${row.material} ${pack?.id ?? ''}`;
        const sum = panels.get(key);
        const count = (row.packs[0]?.count ?? 0) + (sum?.packs[0]?.count ?? 0);
        panels.set(key, {
          ...row,
          need: { unit: row.need.unit, amount: row.need.amount + (sum?.need.amount ?? 0) },
          packs: pack ? [{ pack, count }] : [],
          leftOver: row.leftOver + (sum?.leftOver ?? 0),
          price: row.price + (sum?.price ?? 0),
        });
      }
    }
  }

  const rolls = sharedRolls(builds, catalogue);
  const buy: Purchase[] = [
    ...panels.values(),
    ...rolls.map((it): Purchase => ({
      material: it.material,
      name: it.name,
      need: { unit: 'roll', amount: it.nesting.rollLength },
      fromShelf: 0,
      packs: [{ pack: it.roll, count: it.count }],
      leftOver: it.count * it.roll.length - it.nesting.rollLength,
      price: it.price,
      layers: [],
    })),
  ];
  for (const [material, amount] of loose) {
    const row = bagsOf(materialOf(catalogue, material), amount, Math.min(amount, shelf[material] ?? 0));
    if (row) buy.push(row);
  }
  return {
    buy,
    rolls,
    price: buy.reduce((sum, row) => sum + row.price, 0),
    apart: builds.reduce((sum, { lists }) => sum + lists.price, 0),
  };
}

function sharedRolls(builds: Parameters<typeof jointLists>[0], catalogue: Catalogue): SharedRoll[] {
  const byMaterial = new Map<string, { name: string; layer: BarrierLayer; width: number; depth: number }[]>();
  for (const { design, ground } of builds) {
    const barriers = ground.layers.flatMap(({ layer, field }) =>
      layer.kind === 'barrier' ? [{ layer, width: field.x1 - field.x0, depth: field.y1 - field.y0 }] : [],
    );
    barriers.forEach((barrier, index) => {
      const name = barriers.length === 1 ? design.name : `${design.name}, ${index + 1}`;
      const { material } = barrier.layer;
      byMaterial.set(material, [...(byMaterial.get(material) ?? []), { name, ...barrier }]);
    });
  }
  return [...byMaterial].flatMap(([material, barriers]) => {
    const row = materialOf(catalogue, material);
    const offers = row.packs.flatMap((roll): (SharedRoll & { strips: number })[] => {
      if (!isArea(roll) || barriers.some(({ layer }) => layer.overlap >= roll.width)) return [];
      const strips = barriers.flatMap(({ name, layer, width, depth }): Piece[] => {
        const cut = cutFromRoll(barrierSize(layer, { width, depth }), roll.width, layer.overlap);
        return Array.from({ length: cut.strips }, (_, index) => ({
          id: cut.strips === 1 ? name : `${name} ${index + 1}`,
          width: cut.stripLength,
          depth: cut.stripBreadth,
        }));
      });
      const nesting = nestOnRoll(strips, roll.width);
      if (!nesting || nesting.placed.some((piece) => piece.length > roll.length + 1e-9)) return [];
      const count = rollsNeeded(nesting, roll.length);
      return [
        {
          material,
          name: row.name,
          roll,
          count,
          nesting,
          price: count * roll.price.value,
          strips: strips.length,
        },
      ];
    });
    const best = offered(offers, (it) => it.roll).toSorted(
      (a, b) => a.strips - b.strips || a.price - b.price || a.nesting.waste - b.nesting.waste,
    )[0];
    return best ? [best] : [];
  });
}

/** Rolls of a fixed length that the rows fill, each row whole on one roll, in order. */
function rollsNeeded(nesting: Nesting, length: number): number {
  const rows = new Map<number, number>();
  for (const piece of nesting.placed)
    rows.set(piece.along, Math.max(rows.get(piece.along) ?? 0, piece.length));
  let count = 1;
  let used = 0;
  for (const [, row] of [...rows].sort((a, b) => a[0] - b[0])) {
    if (used + row > length + 1e-9) {
      count += 1;
      used = 0;
    }
    used += row;
  }
  return count;
}
