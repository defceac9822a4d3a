import type { Recipe } from '@/core/catalogue';
import { practice } from './basis';

const parts = (written: Record<string, number>): Recipe['parts'] =>
  Object.entries(written).map(([material, count]) => ({ material, parts: count }));

/** Families of mixes in common use; parts by loose volume. */
export const recipes: Recipe[] = [
  {
    id: 'forest-five-coir',
    name: 'Forest mix, peat-free',
    family: 'wet',
    why: 'Open and springy for years of misting; coir in place of peat, since bogs do not grow back in our time.',
    parts: parts({
      'tree-fern-fibre': 2,
      'fine-orchid-bark': 2,
      charcoal: 1,
      'long-fibre-sphagnum': 1,
      coir: 1,
    }),
    packingLoss: practice(0.08),
    basis: 'practice',
  },
  {
    id: 'forest-five-peat',
    name: 'Forest mix with peat',
    family: 'wet',
    why: 'The older five-part mix: peat keeps it sour and holds water well.',
    parts: parts({
      'tree-fern-fibre': 2,
      'fine-orchid-bark': 2,
      charcoal: 1,
      'long-fibre-sphagnum': 1,
      peat: 1,
    }),
    packingLoss: practice(0.08),
    basis: 'practice',
  },
  {
    id: 'plain-base',
    name: 'Plain sandy base',
    family: 'middle',
    why: 'A cheap lower layer that roots go down into; the rich mix goes on top, where it is used.',
    parts: parts({ topsoil: 5, 'washed-sand': 3, charcoal: 2 }),
    packingLoss: practice(0.1),
    basis: 'practice',
  },
  {
    id: 'coir-bark-leaf',
    name: 'Woodland mix',
    family: 'middle',
    why: 'Light and diggable; damp below and drier above without turning to mud.',
    parts: parts({ coir: 3, 'fine-orchid-bark': 2, 'leaf-mould': 2, topsoil: 2, 'worm-castings': 0.5 }),
    packingLoss: practice(0.1),
    basis: 'practice',
  },
  {
    id: 'soil-sand-clay',
    name: 'Burrow mix',
    family: 'dry',
    why: 'Soil and sand with clay to bind it: a tunnel dug in it stands.',
    parts: parts({ topsoil: 63, 'washed-sand': 27, 'burrowing-clay': 10 }),
    packingLoss: practice(0.12),
    basis: 'practice',
  },
  {
    id: 'loose-sand-bark',
    name: 'Loose sand with bark',
    family: 'dry',
    why: 'For kinds that swim through sand rather than tunnel; bark fines keep it from packing.',
    parts: parts({ 'washed-sand': 7, 'bark-fines': 3 }),
    packingLoss: practice(0.15),
    basis: 'practice',
  },
];
