import type { Design } from '@/core/document';
import type { RegionKind } from '@/core/edits';
import type { LayerResult, Part } from '@/core/ground';
import type { Assessment } from '@/core/assess';

/** What each kind of region is called, and why someone builds it. */
export const REGION_WORD: Record<RegionKind, { readonly name: string; readonly why: string }> = {
  'moist-end': { name: 'Moist end', why: 'A moss-rich side that stays wet for shedding and laying.' },
  'bark-bay': {
    name: 'Bark bay',
    why: 'Shallow dry bark over a mat: deep moist soil would keep its heat in.',
  },
  den: { name: 'Filled den', why: 'Soil heaped high where the animal digs in.' },
  'litter-pocket': { name: 'Litter pocket', why: 'Deep leaves to hide and hunt in.' },
  pool: { name: 'Pool', why: 'Open water, one with the water in the bed.' },
  bowl: { name: 'Pool in a bowl', why: 'A shallow pool with a level of its own.' },
  land: { name: 'Land', why: 'Soil on a panel, where the rest is water.' },
};

/** The part of the floor a region takes up; null asks for the rest. */
export const partOf = ({ ground }: Assessment, region: string | null): Part | undefined =>
  ground.parts.find((part) => (part.region?.id ?? null) === region);

/** The layers one works on in a place: its own first, from the top down, then those it shares with the rest. */
export function stackIn(assessment: Assessment, design: Design, region: string | null) {
  const part = partOf(assessment, region);
  const own = (it: LayerResult): boolean => it.region === region;
  const all = part?.stack ?? assessment.layers.filter(own);
  const known = region === null || design.ground.regions.some((it) => it.id === region);
  return known ? [...all].reverse().map((result) => ({ result, shared: !own(result) })) : [];
}
