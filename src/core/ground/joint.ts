import { materialOf, type AreaPack, type Catalogue } from '../catalogue';
import type { BarrierLayer, Design } from '../design/schema';
import { barrierSize, cutFromRoll } from './cut';
import { nestOnRoll, type Nesting, type Piece } from './nest';
import { choosePacks } from './packs';
import { isVolume, type Lists, type Purchase } from './shopping';

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
  builds: readonly { readonly design: Design; readonly lists: Lists }[],
  catalogue: Catalogue,
): JointLists {
  const loose = new Map<string, number>();
  const panels = new Map<string, Purchase>();
  for (const { lists } of builds) {
    for (const row of lists.buy) {
      if (row.need.unit === 'volume')
        loose.set(row.material, (loose.get(row.material) ?? 0) + row.need.amount);
      if (row.need.unit === 'sheets') {
        const pack = row.packs[0]?.pack;
        const key = `${row.material} ${pack?.id ?? ''}`;
        const sum = panels.get(key);
        const count = row.need.amount + (sum?.need.amount ?? 0);
        panels.set(key, {
          ...row,
          need: { unit: 'sheets', amount: count },
          packs: pack ? [{ pack, count }] : [],
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
      packs: [{ pack: it.roll, count: it.count }],
      leftOver: it.count * it.roll.length - it.nesting.rollLength,
      price: it.price,
      layers: [],
    })),
  ];
  for (const [material, amount] of loose) {
    const row = materialOf(catalogue, material);
    const choice = choosePacks(amount, row.packs.filter(isVolume));
    buy.push({
      material,
      name: row.name,
      need: { unit: 'volume', amount },
      packs: choice.packs,
      leftOver: choice.leftOver,
      price: choice.price,
      layers: [],
    });
  }
  return {
    buy,
    rolls,
    price: buy.reduce((sum, row) => sum + row.price, 0),
    apart: builds.reduce((sum, { lists }) => sum + lists.price, 0),
  };
}

function sharedRolls(builds: Parameters<typeof jointLists>[0], catalogue: Catalogue): SharedRoll[] {
  const byMaterial = new Map<string, { design: Design; layer: BarrierLayer }[]>();
  for (const { design } of builds) {
    for (const layer of design.ground.layers) {
      if (layer.kind !== 'barrier') continue;
      byMaterial.set(layer.material, [...(byMaterial.get(layer.material) ?? []), { design, layer }]);
    }
  }
  return [...byMaterial].flatMap(([material, barriers]) => {
    const row = materialOf(catalogue, material);
    const offers = row.packs.flatMap((roll): (SharedRoll & { strips: number })[] => {
      if (isVolume(roll) || barriers.some(({ layer }) => layer.overlap >= roll.width)) return [];
      const strips = barriers.flatMap(({ design, layer }): Piece[] => {
        const cut = cutFromRoll(barrierSize(layer, design.enclosure), roll.width, layer.overlap);
        return Array.from({ length: cut.strips }, (_, index) => ({
          id: cut.strips === 1 ? design.name : `${design.name} ${index + 1}`,
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
    offers.sort((a, b) => a.strips - b.strips || a.price - b.price || a.nesting.waste - b.nesting.waste);
    const best = offers[0];
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
