import type { Material, Pack, RetentionCurve, Role } from '@/core/catalogue';
import { memory, practice, published, range } from './basis';
import { FITTED } from './retention';

/**
 * Densities are dry and loose. Densities, water contents and prices are from memory, to be confirmed by weighing;
 * settling follows common practice. Packs are common sizes of the trade. Prices are plain numbers in the reader's
 * own currency and are meant to be replaced by what the shop asks.
 */
interface Row {
  id: string;
  name: string;
  roles: Role[];
  density: number;
  settling: number;
  received: number;
  moist: number;
  packs: Pack[];
  voids?: Material['voids'];
  grain?: readonly [number, number];
  peat?: boolean;
  cautions?: Material['cautions'];
}

const LITRE = 0.001;
const DRY_QUART = 0.001101220942715;
const CUBIC_FOOT = 0.028316846592;

const bag = (litres: number, price: number): Pack => ({
  id: `bag-${litres}l`,
  form: 'bag',
  volume: litres * LITRE,
  price: memory(price),
});
const quarts = (count: number, price: number): Pack => ({
  id: `bag-${count}qt`,
  form: 'bag',
  volume: count * DRY_QUART,
  price: memory(price),
});
const cubicFeet = (count: number, price: number): Pack => ({
  id: `bag-${count}cuft`,
  form: 'bag',
  volume: count * CUBIC_FOOT,
  price: memory(price),
});
/** Stated by what the brick really gives once it has taken up its water. */
const brick = (litres: number, price: number): Pack => ({
  id: `brick-${litres}l`,
  form: 'brick',
  volume: litres * LITRE,
  price: memory(price),
});
const roll = (width: number, length: number, price: number): Pack => ({
  id: `roll-${width}x${length}`,
  form: 'roll',
  width,
  length,
  price: memory(price),
});
const sheet = (width: number, length: number, price: number): Pack => ({
  id: `sheet-${width}x${length}`,
  form: 'sheet',
  width,
  length,
  price: memory(price),
});

/**
 * Mineral soils as published: Carsel & Parrish 1988, Water Resour. Res. 24: 755, table of means (θr, θs, α 1/cm, n).
 * Topsoil is taken as a sandy loam, burrowing clay as a clay.
 */
const CARSEL_PARRISH: Record<string, RetentionCurve> = {
  'washed-sand': { residual: 0.045, saturated: 0.43, alpha: 0.145, n: 2.68 },
  topsoil: { residual: 0.065, saturated: 0.41, alpha: 0.075, n: 1.89 },
  loam: { residual: 0.078, saturated: 0.43, alpha: 0.036, n: 1.56 },
  'burrowing-clay': { residual: 0.068, saturated: 0.38, alpha: 0.008, n: 1.09 },
};

/** The published curve where there is one, otherwise the fitted one. */
function retentionOf(id: string): Material['retention'] {
  const known = CARSEL_PARRISH[id];
  if (known) return published(known, 'carsel-parrish-1988');
  const fitted = FITTED[id];
  return fitted && memory(fitted);
}

const rows: Row[] = [
  // What drains. As poured, near-spherical beads leave about two fifths open (practice; 0.36 once shaken down).
  {
    id: 'clay-pebbles-8-16',
    name: 'Clay pebbles 8–16 mm',
    roles: ['bead-bed'],
    density: 340,
    settling: 0.02,
    received: 0.01,
    moist: 0.08,
    voids: practice(0.4),
    grain: [0.008, 0.016],
    cautions: ['dust'],
    packs: [bag(5, 5.5), bag(10, 8.9), bag(25, 17.5), bag(50, 29)],
  },
  {
    id: 'clay-pebbles-4-8',
    name: 'Clay pebbles 4–8 mm',
    roles: ['bead-bed'],
    density: 380,
    settling: 0.02,
    received: 0.01,
    moist: 0.09,
    voids: practice(0.4),
    grain: [0.004, 0.008],
    cautions: ['dust'],
    packs: [bag(5, 5.9), bag(10, 9.8), bag(50, 32)],
  },
  {
    id: 'lava-8-16',
    name: 'Lava rock 8–16 mm',
    roles: ['bead-bed'],
    density: 780,
    settling: 0.03,
    received: 0.04,
    moist: 0.12,
    voids: memory(0.48),
    grain: [0.008, 0.016],
    cautions: ['dust'],
    packs: [bag(5, 7), bag(20, 18)],
  },
  {
    id: 'pumice-5-12',
    name: 'Pumice 5–12 mm',
    roles: ['bead-bed', 'mix'],
    density: 520,
    settling: 0.03,
    received: 0.08,
    moist: 0.18,
    voids: memory(0.46),
    grain: [0.005, 0.012],
    cautions: ['dust'],
    packs: [bag(5, 7.5), bag(20, 19)],
  },
  {
    id: 'river-gravel-8-16',
    name: 'River gravel 8–16 mm',
    roles: ['bead-bed'],
    density: 1550,
    settling: 0.02,
    received: 0.02,
    moist: 0.04,
    voids: memory(0.38),
    grain: [0.008, 0.016],
    packs: [bag(5, 5), bag(15, 9.5)],
  },
  {
    id: 'raised-panel',
    name: 'Raised panel',
    roles: ['raised-panel'],
    density: 45,
    settling: 0,
    received: 0,
    moist: 0,
    voids: practice(0.95),
    packs: [sheet(0.6, 0.6, 14), sheet(1.2, 0.6, 24)],
  },

  // Barriers; density is kg per m² of cloth.
  {
    id: 'insect-mesh',
    name: 'Fibreglass insect mesh',
    roles: ['barrier'],
    density: 0.12,
    settling: 0,
    received: 0,
    moist: 0,
    packs: [roll(0.6, 2, 6), roll(0.9, 2, 8), roll(1.2, 2.5, 11.5)],
  },
  {
    id: 'weed-cloth',
    name: 'Woven weed cloth',
    roles: ['barrier'],
    density: 0.1,
    settling: 0,
    received: 0,
    moist: 0,
    packs: [roll(1, 5, 7.5), roll(2, 5, 12)],
  },

  {
    id: 'polyester-fleece',
    name: 'Polyester fleece',
    roles: ['barrier'],
    density: 0.2,
    settling: 0,
    received: 0,
    moist: 0,
    packs: [roll(1, 2, 5.5), roll(2, 3, 13)],
  },
  {
    id: 'steel-gauze',
    name: 'Stainless gauze',
    roles: ['barrier'],
    density: 0.9,
    settling: 0,
    received: 0,
    moist: 0,
    packs: [roll(0.5, 1, 14), roll(1, 1, 26)],
  },
  {
    id: 'sheet-moss',
    name: 'Sheet moss, live',
    roles: ['moss'],
    density: 55,
    settling: 0.05,
    received: 0.3,
    moist: 0.35,
    cautions: ['collecting'],
    packs: [bag(2, 7.5), bag(5, 15)],
  },

  // What soil is mixed from.
  {
    id: 'coir',
    name: 'Coconut coir',
    roles: ['mix'],
    density: 80,
    settling: 0.15,
    received: 0.12,
    moist: 0.42,
    cautions: ['dust'],
    packs: [brick(8, 3.2), bag(20, 9.5), brick(65, 15)],
  },
  {
    id: 'peat',
    name: 'Sphagnum peat',
    roles: ['mix'],
    density: 110,
    settling: 0.2,
    received: 0.3,
    moist: 0.48,
    peat: true,
    cautions: ['dust'],
    packs: [bag(10, 4.9), bag(40, 11), cubicFeet(1, 10)],
  },
  {
    id: 'tree-fern-fibre',
    name: 'Tree-fern fibre',
    roles: ['mix'],
    density: 140,
    settling: 0.1,
    received: 0.15,
    moist: 0.24,
    packs: [bag(4, 9.5), bag(10, 19)],
  },
  {
    id: 'fine-orchid-bark',
    name: 'Orchid bark, fine',
    roles: ['mix'],
    density: 220,
    settling: 0.08,
    received: 0.12,
    moist: 0.22,
    grain: [0.003, 0.008],
    packs: [quarts(4, 7), bag(10, 11.5), bag(25, 22)],
  },
  {
    id: 'bark-fines',
    name: 'Bark fines',
    roles: ['mix'],
    density: 260,
    settling: 0.12,
    received: 0.2,
    moist: 0.32,
    grain: [0, 0.004],
    packs: [bag(20, 8), bag(50, 15)],
  },
  {
    id: 'charcoal',
    name: 'Horticultural charcoal',
    roles: ['thin', 'mix'],
    density: 230,
    settling: 0.05,
    received: 0.03,
    moist: 0.14,
    grain: [0.003, 0.01],
    cautions: ['dust'],
    packs: [bag(1.5, 5.5), bag(5, 12), bag(10, 19.5)],
  },
  {
    id: 'long-fibre-sphagnum',
    name: 'Long-fibre sphagnum, dried',
    roles: ['mix', 'moss'],
    density: 28,
    settling: 0.25,
    received: 0.02,
    moist: 0.3,
    cautions: ['dust'],
    packs: [bag(6, 8), bag(12, 14)],
  },
  {
    id: 'topsoil',
    name: 'Plain topsoil, unfertilised',
    roles: ['mix'],
    density: 1000,
    settling: 0.15,
    received: 0.16,
    moist: 0.3,
    packs: [cubicFeet(0.75, 4.5), bag(10, 3.6), bag(25, 6.5)],
  },
  {
    id: 'washed-sand',
    name: 'Washed sand',
    roles: ['mix', 'thin'],
    density: 1550,
    settling: 0.05,
    received: 0.03,
    moist: 0.12,
    grain: [0.0002, 0.002],
    cautions: ['dust'],
    packs: [cubicFeet(0.5, 5.5), bag(5, 3.5), bag(15, 7)],
  },
  {
    id: 'burrowing-clay',
    name: 'Burrowing clay',
    roles: ['mix'],
    density: 1150,
    settling: 0.12,
    received: 0.03,
    moist: 0.26,
    cautions: ['dust'],
    packs: [bag(4, 9), bag(10, 18)],
  },
  {
    id: 'worm-castings',
    name: 'Worm castings',
    roles: ['mix'],
    density: 520,
    settling: 0.15,
    received: 0.28,
    moist: 0.42,
    packs: [bag(2, 5), bag(10, 15)],
  },
  {
    id: 'leaf-mould',
    name: 'Leaf mould',
    roles: ['mix'],
    density: 190,
    settling: 0.2,
    received: 0.25,
    moist: 0.4,
    cautions: ['collecting'],
    packs: [bag(10, 7), bag(30, 16)],
  },
  {
    id: 'perlite',
    name: 'Perlite',
    roles: ['mix'],
    density: 110,
    settling: 0.05,
    received: 0.02,
    moist: 0.2,
    grain: [0.002, 0.006],
    cautions: ['dust'],
    packs: [bag(6, 4.5), bag(25, 12)],
  },

  // More of what soil is mixed from.
  {
    id: 'coir-chips',
    name: 'Coconut chips',
    roles: ['mix'],
    density: 120,
    settling: 0.1,
    received: 0.15,
    moist: 0.3,
    packs: [bag(10, 7.5), bag(25, 14)],
  },
  {
    id: 'medium-orchid-bark',
    name: 'Orchid bark, medium',
    roles: ['mix'],
    density: 210,
    settling: 0.06,
    received: 0.12,
    moist: 0.24,
    grain: [0.008, 0.018],
    packs: [bag(10, 11), bag(25, 21)],
  },
  {
    id: 'loam',
    name: 'Garden loam, unfertilised',
    roles: ['mix'],
    density: 1080,
    settling: 0.15,
    received: 0.2,
    moist: 0.35,
    packs: [bag(10, 4), bag(25, 7.5)],
  },
  {
    id: 'fine-lava',
    name: 'Lava, 2–8 mm',
    roles: ['mix', 'thin'],
    density: 820,
    settling: 0.04,
    received: 0.05,
    moist: 0.26,
    grain: [0.002, 0.008],
    cautions: ['dust'],
    packs: [bag(5, 6.5), bag(15, 14)],
  },
  {
    id: 'vermiculite',
    name: 'Vermiculite',
    roles: ['mix'],
    density: 120,
    settling: 0.12,
    received: 0.03,
    moist: 0.48,
    cautions: ['dust'],
    packs: [bag(10, 7.5), bag(50, 22)],
  },
  {
    id: 'calcined-clay',
    name: 'Calcined clay granules',
    roles: ['mix'],
    density: 620,
    settling: 0.04,
    received: 0.03,
    moist: 0.38,
    grain: [0.001, 0.004],
    cautions: ['dust'],
    packs: [bag(5, 8), bag(20, 19)],
  },
  {
    id: 'decomposed-granite',
    name: 'Decomposed granite',
    roles: ['mix', 'thin'],
    density: 1600,
    settling: 0.08,
    received: 0.04,
    moist: 0.16,
    cautions: ['dust'],
    packs: [bag(10, 6), bag(20, 9.5)],
  },
  {
    id: 'rotted-wood',
    name: 'White-rotted hardwood',
    roles: ['mix'],
    density: 150,
    settling: 0.15,
    received: 0.25,
    moist: 0.48,
    cautions: ['collecting'],
    packs: [bag(3, 9), bag(10, 22)],
  },
  {
    id: 'compost',
    name: 'Green compost, matured',
    roles: ['mix'],
    density: 480,
    settling: 0.18,
    received: 0.35,
    moist: 0.52,
    packs: [bag(20, 5), bag(40, 8)],
  },
  {
    id: 'coarse-sand',
    name: 'Coarse sand, 1–3 mm',
    roles: ['thin'],
    density: 1500,
    settling: 0.04,
    received: 0.03,
    moist: 0.08,
    grain: [0.001, 0.003],
    cautions: ['dust'],
    packs: [bag(5, 4), bag(15, 8)],
  },

  // What lies on top.
  {
    id: 'oak-litter',
    name: 'Oak leaf litter',
    roles: ['litter'],
    density: 45,
    settling: 0.2,
    received: 0.06,
    moist: 0.1,
    cautions: ['collecting'],
    packs: [bag(4, 6), bag(10, 12)],
  },
  {
    id: 'magnolia-litter',
    name: 'Magnolia leaf litter',
    roles: ['litter'],
    density: 55,
    settling: 0.12,
    received: 0.06,
    moist: 0.08,
    cautions: ['collecting'],
    packs: [bag(4, 8), bag(10, 16)],
  },
  {
    id: 'live-sphagnum',
    name: 'Sphagnum, live',
    roles: ['moss'],
    density: 40,
    settling: 0.1,
    received: 0.45,
    moist: 0.5,
    packs: [bag(2, 9), bag(5, 18)],
  },
  {
    id: 'cushion-moss',
    name: 'Cushion moss, live',
    roles: ['moss'],
    density: 70,
    settling: 0.05,
    received: 0.25,
    moist: 0.3,
    cautions: ['collecting'],
    packs: [bag(2, 9.5), bag(4, 17)],
  },
  {
    id: 'beech-litter',
    name: 'Beech leaf litter',
    roles: ['litter'],
    density: 40,
    settling: 0.22,
    received: 0.06,
    moist: 0.1,
    cautions: ['collecting'],
    packs: [bag(4, 6), bag(10, 12)],
  },
  {
    id: 'almond-litter',
    name: 'Sea almond leaves',
    roles: ['litter'],
    density: 50,
    settling: 0.15,
    received: 0.06,
    moist: 0.09,
    packs: [bag(2, 7), bag(6, 17)],
  },
];

export const materials: Material[] = rows.map((row) => ({
  id: row.id,
  name: row.name,
  roles: row.roles,
  density: memory(row.density),
  settling: practice(row.settling),
  waterReceived: memory(row.received),
  waterMoist: memory(row.moist),
  ...(retentionOf(row.id) ? { retention: retentionOf(row.id) } : {}),
  ...(row.voids ? { voids: row.voids } : {}),
  ...(row.grain ? { grain: practice(range(row.grain[0], row.grain[1])) } : {}),
  peatFree: !row.peat,
  cautions: row.cautions ?? [],
  packs: row.packs,
}));
