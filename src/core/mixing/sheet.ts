import {
  INGREDIENT_SORTS,
  materialOf,
  type Catalogue,
  type Material,
  type MaterialCaution,
  type Pack,
} from '../catalogue';
import type { Mix } from '../document/schema';
import { normalise } from '../ground/parts';
import { blendOf } from '../ground/water';
import { brickWater } from '../ground/prepare';
import { placedShares } from './properties';

/** One soil to be mixed. */
export interface SoilToMix {
  readonly id: string;
  readonly name: string;
  readonly mix: Mix;
  /** m³ in the box after settling. */
  readonly placed: number;
  /** m², and m of mean depth, where it lies. */
  readonly area: number;
  /** Share of it that is moistened; the rest goes in as bought. */
  readonly moistShare: number;
  /** Suction of the squeeze test, cm of water. */
  readonly suction: number;
  /** Spread out and turned until it is drier, for boxes that stand dry. */
  readonly temper: boolean;
}

export interface Measure {
  readonly material: string;
  readonly name: string;
  /** m³, loose. */
  readonly loose: number;
  readonly sort: (typeof INGREDIENT_SORTS)[number];
  readonly cautions: readonly MaterialCaution[];
}

export interface TubLot {
  readonly batches: number;
  /** For one batch, in the order it goes into the tub. */
  readonly measures: readonly Measure[];
  /** Water for one batch, m³: first so much, then the rest in as many lots as there are squeezes. */
  readonly water: number;
  readonly firstPour: number;
  readonly squeezes: number;
  /** kg a loose litre of it weighs when it is right, shaken level. */
  readonly litre: number;
}

export interface Soak {
  readonly material: string;
  readonly name: string;
  readonly pack: Extract<Pack, { form: 'brick' }>;
  readonly count: number;
  /** m³ for all of them. */
  readonly water: number;
  /** m³ they give, loose. */
  readonly gives: number;
}

export interface SoilSheet {
  readonly soil: SoilToMix;
  /** All of it, loose, m³. */
  readonly loose: number;
  /** How high it stands when it is poured in, over its depth once settled. */
  readonly poured: number;
  /** Moistened; undefined where all of it goes in as bought. */
  readonly damp: TubLot | undefined;
  /** As bought, over the damp. */
  readonly dry: TubLot | undefined;
  readonly soaks: readonly Soak[];
  /** Days spread out and turned before life goes in; undefined where it goes in as mixed. */
  readonly temper:
    { readonly days: number; readonly lose: number; readonly from: number; readonly to: number } | undefined;
  /** After one year and more: what has rotted away. */
  readonly years: readonly YearOn[];
}

export interface YearOn {
  readonly years: number;
  /** m³ placed, and m of depth, that are gone. */
  readonly lost: number;
  readonly sunk: number;
  /** To fill it up again, loose m³ by material: what rotted is what is put back. */
  readonly topUp: readonly { readonly material: string; readonly name: string; readonly loose: number }[];
}

/** A tub is filled two thirds, or it cannot be turned (common practice). */
export const TUB_SHARE = 2 / 3;
/** The first pour; the rest goes in as the squeezes ask for it (common practice). */
const FIRST_POUR = 2 / 3;
/** One squeeze for every so much water still to come, m³ (common practice). */
const PER_SQUEEZE = 0.00025;
/** Suction at which dry ground binds and no longer feels wet, cm of water (from memory). */
const TEMPERED = 330;
/** Water a spread bed gives off, m a day for each kPa the air could still take up (from memory). */
const DRYING = 0.0017;

/**
 * Saturation vapour pressure, kPa, at a temperature in °C: 0.6108·exp(17.27 T / (T + 237.3)), FAO Irrigation and Drainage
 * Paper 56 (Allen et al. 1998), eq. 11.
 */
export const saturationPressure = (celsius: number): number =>
  0.6108 * Math.exp((17.27 * celsius) / (celsius + 237.3));

/** Everything that stands on the sheet of one soil. */
export function soilSheet(
  soil: SoilToMix,
  tub: number,
  room: { readonly temperature: number; readonly humidity: number },
  catalogue: Catalogue,
): SoilSheet {
  const { mix, placed, suction } = soil;
  const shares = normalise(mix)
    .filter((part) => part.share > 0)
    .map((part) => ({ share: part.share, row: materialOf(catalogue, part.material) }));
  const gap = 1 - mix.packingLoss;
  const loose = placed / (gap * shares.reduce((sum, it) => sum + it.share * (1 - it.row.settling.value), 0));
  const moist =
    blendOf(mix, catalogue)?.held(suction) ??
    shares.reduce((sum, it) => sum + it.share * it.row.waterMoist.value, 0);
  const received = (share: number): number =>
    loose * share * shares.reduce((sum, it) => sum + it.share * it.row.waterReceived.value, 0);
  const dryMass = shares.reduce((sum, it) => sum + it.share * it.row.density.value, 0);
  const soaks = soaksOf(shares, loose, suction, catalogue);
  // Coir comes out of its bath as moist as it should be: that water is not poured again.
  const inCoir = shares.reduce((sum, it) => {
    const soak = soaks.find((other) => other.material === it.row.id);
    return soak ? sum + (soak.water / soak.gives) * loose * it.share : sum;
  }, 0);

  const lotOf = (share: number, wet: boolean): TubLot | undefined => {
    if (share < 1e-6) return undefined;
    const volume = loose * share;
    const batches = Math.max(1, Math.ceil(volume / (tub * TUB_SHARE) - 1e-9));
    const measures = shares
      .map(({ row, share: part }): Measure => ({
        material: row.id,
        name: row.name,
        loose: (volume * part) / batches,
        sort: row.mixing?.sort ?? 'soil',
        cautions: row.cautions,
      }))
      .sort((a, b) => INGREDIENT_SORTS.indexOf(a.sort) - INGREDIENT_SORTS.indexOf(b.sort));
    const added = wet ? Math.max(0, moist * placed * share - received(share) - inCoir * share) : 0;
    const water = added / batches;
    const firstPour = water * FIRST_POUR;
    const holds = received(share) + (wet ? inCoir * share : 0) + added;
    return {
      batches,
      measures,
      water,
      firstPour,
      squeezes: water < 1e-6 ? 1 : Math.min(4, Math.max(1, Math.ceil((water - firstPour) / PER_SQUEEZE))),
      litre: (dryMass * volume + holds * 1000) / (volume * gap) / 1000,
    };
  };

  return {
    soil,
    loose,
    poured: loose * gap > 0 ? (loose * gap) / placed : 1,
    damp: lotOf(soil.moistShare, true),
    dry: lotOf(1 - soil.moistShare, false),
    soaks: soil.moistShare > 0 ? soaks : [],
    temper: soil.temper && soil.moistShare > 0 ? temperOf(soil, moist, room, catalogue) : undefined,
    years: [1, 2, 3].map((years) => yearOn(soil, years, catalogue)),
  };
}

function soaksOf(
  shares: readonly { readonly share: number; readonly row: Material }[],
  loose: number,
  suction: number,
  catalogue: Catalogue,
): Soak[] {
  return shares.flatMap(({ share, row }) => {
    const need = loose * share;
    const bricks = row.packs.filter((pack) => pack.form === 'brick');
    // The size that leaves least over; of equals the larger, which is less work.
    const best = bricks
      .map((pack) => ({ pack, count: Math.ceil(need / pack.volume - 1e-9) }))
      .sort((a, b) => a.count * a.pack.volume - b.count * b.pack.volume || a.count - b.count)[0];
    if (!best || best.count === 0) return [];
    return [
      {
        material: row.id,
        name: row.name,
        pack: best.pack,
        count: best.count,
        water: best.count * brickWater(best.pack, row.id, suction, catalogue),
        gives: best.count * best.pack.volume,
      },
    ];
  });
}

/**
 * Soil for a dry box is mixed damp so that it binds, then spread and turned daily until it no longer feels wet: so long
 * takes the air of the room to carry that water off.
 */
function temperOf(
  { mix, placed, area, moistShare }: SoilToMix,
  moist: number,
  room: { readonly temperature: number; readonly humidity: number },
  catalogue: Catalogue,
): SoilSheet['temper'] {
  const dry = blendOf(mix, catalogue)?.held(TEMPERED);
  if (dry === undefined || area <= 0) return undefined;
  const lose = Math.max(0, moist - dry) * placed * moistShare;
  const thirst = saturationPressure(room.temperature) * (1 - room.humidity);
  const days = thirst > 0.01 ? Math.ceil(lose / area / (DRYING * thirst)) : 60;
  return { days: Math.min(60, Math.max(1, days)), lose, from: moist, to: dry };
}

/** What has rotted away after so many years, each part at its own rate, and what brings it back. */
export function yearOn(
  soil: Pick<SoilToMix, 'mix' | 'placed' | 'area'>,
  years: number,
  catalogue: Catalogue,
): YearOn {
  const gap = 1 - soil.mix.packingLoss;
  const gone = placedShares(soil.mix, catalogue).map(({ row, share }) => {
    const placed = soil.placed * share * (1 - (1 - (row.mixing?.decay.value ?? 0)) ** years);
    return { row, placed, loose: placed / gap / (1 - row.settling.value) };
  });
  const lost = gone.reduce((sum, it) => sum + it.placed, 0);
  return {
    years,
    lost,
    sunk: soil.area > 0 ? lost / soil.area : 0,
    topUp: gone
      .filter((it) => it.loose > 1e-6)
      .map((it) => ({ material: it.row.id, name: it.row.name, loose: it.loose }))
      .sort((a, b) => b.loose - a.loose),
  };
}

/** All the loose goods of some soils, m³ by material: what the shelf is charged with once they are mixed. */
export function looseNeeds(
  soils: readonly Pick<SoilToMix, 'mix' | 'placed'>[],
  catalogue: Catalogue,
): Readonly<Record<string, number>> {
  const needs: Record<string, number> = {};
  for (const { mix, placed } of soils) {
    const parts = normalise(mix);
    const yields =
      (1 - mix.packingLoss) *
      parts.reduce(
        (sum, part) => sum + part.share * (1 - materialOf(catalogue, part.material).settling.value),
        0,
      );
    for (const part of parts) {
      if (part.share > 0) {
        needs[part.material] = (needs[part.material] ?? 0) + (placed / yields) * part.share;
      }
    }
  }
  return needs;
}
