import { materialOf, BASES, type Basis, type Catalogue, type Material } from '../catalogue';
import type { Mix } from '../document/schema';
import { inPorometer, POROMETER } from '../ground/mediumRanges';
import { normalise } from '../ground/parts';
import { blendOf, drainedMeans, heldAt, SQUEEZE } from '../ground/water';

/** What one looks at in a mix, in the order it is read. */
export const PROPERTIES = [
  'air',
  'capacity',
  'available',
  'porosity',
  'density',
  'ph',
  'salts',
  'hold',
  'decay',
] as const;
export type Property = (typeof PROPERTIES)[number];

/**
 * In what state air and water are looked at: watered through and drained, in a vessel of the porometer's height so that
 * mixes can be compared; or moistened by hand to the squeeze test, which is all that dry ground ever gets.
 */
export type State = 'drained' | 'moistened';

/**
 * A mix as it lies in the box: air, capacity (the water it keeps in that state), available (given up between 10 and 50 cm of suction) and porosity in m³/m³; density dry, kg/m³;
 * pH and salts (dS/m) as means by volume, advisory only; hold from 0 to 1; decay as share of volume a year.
 * A property is left out when a part says nothing of it.
 */
export type MixProperties = Readonly<Partial<Record<Property, number>>>;

/** Shares of the volume as placed: what settles much counts for less of the bed than of the tub. */
export function placedShares(mix: Mix, catalogue: Catalogue) {
  const parts = normalise(mix).map((part) => {
    const row = materialOf(catalogue, part.material);
    return { row, volume: part.share * (1 - row.settling.value) };
  });
  const total = parts.reduce((sum, part) => sum + part.volume, 0);
  return parts.map(({ row, volume }) => ({ row, share: volume / total }));
}

/** Mean of a value over the parts; undefined when one lacks it. */
function meanOf(
  parts: readonly { readonly row: Material; readonly share: number }[],
  of: (row: Material) => number | undefined,
): number | undefined {
  let sum = 0;
  for (const { row, share } of parts) {
    const value = of(row);
    if (value === undefined) return undefined;
    sum += value * share;
  }
  return sum;
}

/** Mean pH of an ingredient's range. */
export const phOf = (row: Material): number | undefined =>
  row.mixing && (row.mixing.ph.value.low + row.mixing.ph.value.high) / 2;

/** Water one ingredient keeps in that state, m³/m³. */
export const capacityOf = (row: Material, state: State): number | undefined => {
  const curve = row.retention?.value;
  if (!curve) return undefined;
  if (state === 'moistened') return heldAt(curve, SQUEEZE.strict);
  const blend = { porosity: curve.saturated, held: (suction: number) => heldAt(curve, suction) };
  return drainedMeans([{ blend, thickness: POROMETER }]).capacity;
};

/**
 * What a mix comes to. Means by placed volume, but for hold: a little clay binds much sand, so holds are averaged by
 * their squares (common practice says a tenth of clay lets a tunnel stand; a plain mean would not).
 */
export function propertiesOf(mix: Mix, catalogue: Catalogue, state: State = 'drained'): MixProperties {
  const parts = placedShares(mix, catalogue);
  const gap = 1 - mix.packingLoss;
  const blend = blendOf(mix, catalogue);
  const capacity = blend && (state === 'drained' ? inPorometer(blend).capacity : blend.held(SQUEEZE.strict));
  const mixing = (key: 'salts' | 'decay') => meanOf(parts, (row) => row.mixing?.[key].value);
  const hold = meanOf(parts, (row) => row.mixing && row.mixing.hold.value ** 2);
  const density = parts.reduce(
    (sum, { row, share }) => sum + (share * row.density.value) / (1 - row.settling.value),
    0,
  );
  return dropUndefined({
    air: blend && capacity !== undefined ? blend.porosity - capacity : undefined,
    capacity,
    available: blend && blend.held(10) - blend.held(50),
    porosity: blend?.porosity,
    density: density / gap,
    ph: meanOf(parts, phOf),
    salts: mixing('salts'),
    hold: hold === undefined ? undefined : Math.sqrt(hold),
    decay: mixing('decay'),
  });
}

const dropUndefined = (all: Record<Property, number | undefined>): MixProperties =>
  Object.fromEntries(Object.entries(all).filter(([, value]) => value !== undefined));

/** The surest first. */
const RANK: readonly Basis[] = BASES;

/** A mix is known no better than the worst known of its parts. */
export function basisOf(mix: Mix, catalogue: Catalogue, property: Property): Basis {
  const bases = mix.parts
    .filter((part) => part.parts > 0)
    .map((part): Basis => {
      const row = materialOf(catalogue, part.material);
      if (property === 'density') return row.density.basis;
      if (property === 'ph' || property === 'salts' || property === 'hold' || property === 'decay')
        return row.mixing?.[property].basis ?? 'estimated';
      return row.retention?.basis ?? 'estimated';
    });
  return bases.reduce((worst, it) => (RANK.indexOf(it) > RANK.indexOf(worst) ? it : worst), 'measured');
}
