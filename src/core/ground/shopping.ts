import { materialOf, type AreaPack, type Catalogue, type Pack, type VolumePack } from '../catalogue';
import type { BarrierLayer, Design } from '../design/schema';
import { barrierSize, cutFromRoll, sheetsFor, type Cut } from './cut';
import type { LayerResult } from './layers';
import { choosePacks } from './packs';

export interface Purchase {
  readonly material: string;
  readonly name: string;
  /** Loose m³, for bagged goods; m of roll or a count of sheets for what is cut. */
  readonly need: { readonly unit: 'volume' | 'roll' | 'sheets'; readonly amount: number };
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
  readonly what: 'barrier' | 'panel';
  readonly width: number;
  readonly depth: number;
  /** How the barrier comes off its roll. */
  readonly roll: (Cut & { readonly rollWidth: number }) | undefined;
  /** Sheets a panel is cut from. */
  readonly sheets: number | undefined;
}

/** A panel goes in by hand: it is cut this much smaller than the floor, m (common practice). */
export const PANEL_PLAY = 0.004;

const isArea = (pack: Pack): pack is AreaPack => pack.form === 'roll' || pack.form === 'sheet';
export const isVolume = (pack: Pack): pack is VolumePack => !isArea(pack);

/** The roll for a barrier, with its cut: fewest joins, then price, then waste. */
export function bestRoll(layer: BarrierLayer, design: Design, catalogue: Catalogue) {
  const piece = barrierSize(layer, design.enclosure);
  const offers = materialOf(catalogue, layer.material)
    .packs.filter(isArea)
    .filter((pack) => pack.width > layer.overlap)
    .map((pack) => {
      const cut = cutFromRoll(piece, pack.width, layer.overlap);
      // A strip is never pieced together lengthwise: a roll shorter than one strip is no use.
      const stripsPerRoll = Math.floor(pack.length / cut.stripLength + 1e-9);
      const count = stripsPerRoll > 0 ? Math.ceil(cut.strips / stripsPerRoll) : Infinity;
      return { pack, cut, count, price: count * pack.price.value };
    })
    .filter((offer) => Number.isFinite(offer.count))
    .sort((a, b) => a.cut.strips - b.cut.strips || a.price - b.price || a.cut.waste - b.cut.waste);
  return { piece, offer: offers[0] };
}

export interface Lists {
  readonly buy: readonly Purchase[];
  readonly cut: readonly CutItem[];
  readonly price: number;
  readonly packCount: number;
}

/** What to buy and what to cut. The same material in several layers is bought once. */
export function listsOf(design: Design, layers: readonly LayerResult[], catalogue: Catalogue): Lists {
  const loose = new Map<string, { amount: number; layers: string[] }>();
  const bought: Purchase[] = [];
  const cut: CutItem[] = [];

  for (const { layer, need } of layers) {
    if (layer.kind === 'barrier') {
      const row = materialOf(catalogue, layer.material);
      const { piece, offer } = bestRoll(layer, design, catalogue);
      cut.push({
        layer: layer.id,
        name: row.name,
        what: 'barrier',
        ...piece,
        roll: offer && { ...offer.cut, rollWidth: offer.pack.width },
        sheets: undefined,
      });
      if (offer) {
        bought.push({
          material: row.id,
          name: row.name,
          need: { unit: 'roll', amount: offer.cut.rollLength },
          packs: [{ pack: offer.pack, count: offer.count }],
          leftOver: offer.count * offer.pack.length - offer.cut.rollLength,
          price: offer.price,
          layers: [layer.id],
        });
      }
    } else if (layer.kind === 'drainage' && need === undefined) {
      const row = materialOf(catalogue, layer.material);
      const piece = {
        width: design.enclosure.width - PANEL_PLAY,
        depth: design.enclosure.depth - PANEL_PLAY,
      };
      const sheets = row.packs.filter(isArea).map((pack) => {
        const count = sheetsFor(piece, pack);
        return { pack, count, price: count * pack.price.value };
      });
      const best = sheets.sort((a, b) => a.price - b.price)[0];
      cut.push({
        layer: layer.id,
        name: row.name,
        what: 'panel',
        ...piece,
        roll: undefined,
        sheets: best?.count,
      });
      if (best) {
        bought.push({
          material: row.id,
          name: row.name,
          need: { unit: 'sheets', amount: best.count },
          packs: [best],
          leftOver: 0,
          price: best.price,
          layers: [layer.id],
        });
      }
    } else {
      for (const part of need?.ingredients ?? []) {
        const sum = loose.get(part.material) ?? { amount: 0, layers: [] };
        loose.set(part.material, { amount: sum.amount + part.loose, layers: [...sum.layers, layer.id] });
      }
    }
  }

  for (const [id, { amount, layers: into }] of loose) {
    const row = materialOf(catalogue, id);
    const packs = row.packs.filter(isVolume);
    if (amount <= 0 || packs.length === 0) continue;
    const choice = choosePacks(amount, packs);
    bought.push({
      material: id,
      name: row.name,
      need: { unit: 'volume', amount },
      packs: choice.packs,
      leftOver: choice.leftOver,
      price: choice.price,
      layers: into,
    });
  }
  return {
    buy: bought,
    cut,
    price: bought.reduce((sum, row) => sum + row.price, 0),
    packCount: bought.reduce((sum, row) => sum + row.packs.reduce((n, it) => n + it.count, 0), 0),
  };
}
