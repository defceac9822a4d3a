import type { BackgroundKind, FilterKind, Supply } from '@/core/catalogue';
import { estimated, practice, range } from './basis';

/** What backgrounds are made with. Yields are common practice: a can of foam gives what its skin and carving leave. */
const pack = (id: string, words: string, amount: number, price: number): Supply['packs'][number] => ({
  id,
  words,
  amount: practice(amount),
  price: practice(price),
});

export const supplies: Supply[] = [
  {
    id: 'pond-foam',
    name: 'Polyurethane pond foam, dark',
    measure: 'volume',
    packs: [
      pack('can-750', '750 mL can, 30 L of foam', 0.03, 14),
      pack('can-500', '500 mL can, 18 L of foam', 0.018, 10.5),
    ],
  },
  {
    id: 'silicone',
    name: 'Silicone without fungicide',
    measure: 'volume',
    packs: [pack('tube-310', '310 mL tube', 0.00031, 8.5), pack('tube-80', '80 mL tube', 0.00008, 4.5)],
  },
  {
    id: 'masonry-sealer',
    name: 'Masonry sealer, tinted',
    measure: 'volume',
    packs: [pack('tin-750', '0.75 L tin', 0.00075, 15), pack('tin-2500', '2.5 L tin', 0.0025, 34)],
  },
  {
    id: 'pressing-fibre',
    name: 'Dry fibre to press on',
    measure: 'volume',
    packs: [pack('bag-5', '5 L bag', 0.005, 4), pack('bag-20', '20 L bag', 0.02, 11)],
  },
  {
    id: 'cork-sheet',
    name: 'Cork tile, 90 × 60 cm',
    measure: 'area',
    packs: [pack('sheet', 'tile of 0.54 m²', 0.54, 32)],
  },
  {
    id: 'setting-clay',
    name: 'Clay that sets hard',
    measure: 'mass',
    packs: [pack('bag-5', '5 kg bag', 5, 13), pack('bag-15', '15 kg bag', 15, 31)],
  },
  {
    id: 'epoxy-clay',
    name: 'Epoxy clay, two parts',
    measure: 'mass',
    packs: [pack('tub-500', '0.5 kg tub', 0.5, 17), pack('tub-2000', '2 kg tub', 2, 52)],
  },
  {
    id: 'foam-board',
    name: 'Rigid foam board, 100 × 60 cm',
    measure: 'area',
    packs: [pack('board', 'board of 0.6 m²', 0.6, 7.5)],
  },
  {
    id: 'rock-panel',
    name: 'Cast rock panel, 60 × 45 cm',
    measure: 'area',
    packs: [pack('panel', 'panel of 0.27 m²', 0.27, 29)],
  },
  {
    id: 'carrier-panel',
    name: 'Foamed plastic panel, 100 × 50 cm',
    measure: 'area',
    packs: [pack('panel', 'panel of 0.5 m²', 0.5, 14)],
  },
  {
    id: 'wall-mesh',
    name: 'Plastic mesh for a planted wall',
    measure: 'area',
    packs: [pack('sheet', 'sheet of 0.5 m²', 0.5, 9)],
  },
  {
    id: 'wall-sphagnum',
    name: 'Long-fibre sphagnum for a wall',
    measure: 'volume',
    packs: [pack('bale-12', '12 L bale', 0.012, 12), pack('bale-40', '40 L bale', 0.04, 32)],
  },
];

const GOOD_SILICONE = {
  what: 'silicone without fungicide',
  suits: true,
  because: 'sticks to glass and stays elastic; the sort for sanitary rooms carries a poison against mould',
};
const NO_SOLVENT = {
  what: 'solvent glue and spray paint',
  suits: false,
  because: 'they melt the foam and go on giving off fumes',
};
const CURE_SILICONE = { step: 'Silicone', days: practice(range(3, 7)), fumes: true } as const;
const SEALER = { supply: 'masonry-sealer', per: 'coat', rate: practice(0.00035), finish: 'sealer' } as const;
const BUTTER = { supply: 'silicone', per: 'area', rate: practice(0.0015), finish: 'fibre' } as const;
const FIBRE = { supply: 'pressing-fibre', per: 'area', rate: practice(0.005), finish: 'fibre' } as const;
const COAT = {
  step: 'Coat of sealer',
  days: practice(range(1, 2)),
  fumes: true,
  each: true,
  finish: 'sealer',
} as const;
const AIRING = {
  step: 'Airing until nothing smells',
  days: practice(range(14, 28)),
  fumes: true,
  airs: true,
} as const;

/** Lines of silicone that roughen the glass, and glue along edges: m³ per m² and per m (common practice). */
const LINES = { supply: 'silicone', per: 'area', rate: practice(0.0001) } as const;
const BEAD = { supply: 'silicone', per: 'edge', rate: practice(0.00003) } as const;

export const backgrounds: BackgroundKind[] = [
  {
    id: 'carved-foam',
    name: 'Carved foam',
    why: 'Any shape, any ledge; stays for good.',
    look: 'foam',
    liftsOut: false,
    rough: true,
    thickness: practice(range(0.03, 0.08)),
    density: estimated(32, 'labels'),
    finishes: ['sealer', 'fibre'],
    // A third is carved away.
    takes: [{ supply: 'pond-foam', per: 'volume', rate: practice(1.35) }, LINES, SEALER, BUTTER, FIBRE],
    goesWith: [
      GOOD_SILICONE,
      NO_SOLVENT,
      {
        what: 'masonry sealer, 3 to 5 coats from dark to light',
        suits: true,
        because: 'closes the pores against claws and damp',
      },
      {
        what: 'pale foam under thin paint',
        suits: false,
        because: 'white shows through wherever a claw has been: take dark foam, or one coat more',
      },
    ],
    cures: [
      { step: 'Foam, before it is carved', days: practice(range(1, 2)), fumes: true },
      COAT,
      { ...CURE_SILICONE, finish: 'fibre' },
      AIRING,
    ],
  },
  {
    id: 'cork-tile',
    name: 'Cork tile',
    why: 'Up in an hour, claws hold, nothing to cure but the glue.',
    look: 'cork',
    liftsOut: false,
    rough: true,
    thickness: practice(range(0.02, 0.04)),
    density: estimated(220, 'labels'),
    sheet: { width: 0.9, height: 0.6 },
    finishes: ['bare'],
    takes: [
      { supply: 'cork-sheet', per: 'area', rate: practice(1.1) },
      { supply: 'silicone', per: 'area', rate: practice(0.0004) },
    ],
    goesWith: [
      GOOD_SILICONE,
      {
        what: 'expanding foam behind it',
        suits: true,
        because: 'fills the hollow of a curved tile, in which an animal would be lost',
      },
      {
        what: 'masonry sealer',
        suits: false,
        because: 'closes the bark that moss and claws would hold on to',
      },
    ],
    cures: [CURE_SILICONE],
  },
  {
    id: 'setting-clay',
    name: 'Clay that sets',
    why: 'Moulded by hand in a day; holds damp and roots; heavy.',
    look: 'clay',
    liftsOut: false,
    rough: true,
    thickness: practice(range(0.015, 0.03)),
    density: estimated(1500, 'labels'),
    finishes: ['bare'],
    takes: [{ supply: 'setting-clay', per: 'volume', rate: practice(1500) }, LINES],
    goesWith: [
      {
        what: 'bare glass',
        suits: false,
        because: 'it slides off: roughen the glass with lines of silicone, or press it on a mesh',
      },
      {
        what: 'masonry sealer',
        suits: false,
        because: 'it could no longer take up water, which is what it is for',
      },
      GOOD_SILICONE,
    ],
    cures: [{ step: 'Clay', days: practice(range(1, 2)), fumes: false }],
  },
  {
    id: 'epoxy-clay',
    name: 'Epoxy clay over board',
    why: 'Hard as stone and washable: for claws that would dig through foam.',
    look: 'rock',
    liftsOut: false,
    rough: true,
    thickness: practice(range(0.02, 0.05)),
    density: estimated(330, 'labels'),
    sheet: { width: 1, height: 0.6 },
    finishes: ['bare'],
    takes: [
      { supply: 'foam-board', per: 'area', rate: practice(1.1) },
      // A skin of 3 mm at 1.7 kg a litre.
      { supply: 'epoxy-clay', per: 'area', rate: practice(5.1) },
      LINES,
      BEAD,
    ],
    goesWith: [
      NO_SOLVENT,
      { what: 'acrylic paint under clear epoxy', suits: true, because: 'stands claws and washing' },
      { what: 'bare skin', suits: false, because: 'uncured resin is taken up through it: gloves throughout' },
    ],
    cures: [
      { step: 'Epoxy', days: practice(range(1, 3)), fumes: true },
      { ...AIRING, days: practice(range(7, 14)) },
    ],
  },
  {
    id: 'rock-panel',
    name: 'Cast rock panel',
    why: 'Bought as it is; cut to size and pushed in.',
    look: 'rock',
    liftsOut: true,
    rough: true,
    thickness: practice(range(0.02, 0.05)),
    density: estimated(110, 'labels'),
    sheet: { width: 0.6, height: 0.45 },
    finishes: ['bare'],
    takes: [{ supply: 'rock-panel', per: 'area', rate: practice(1) }, BEAD],
    goesWith: [
      GOOD_SILICONE,
      {
        what: 'a gap behind it',
        suits: false,
        because: 'prey and young animals end up there: seal it all round or pack it',
      },
    ],
    cures: [{ ...CURE_SILICONE, days: practice(range(3, 7)) }],
  },
  {
    id: 'lift-out',
    name: 'Lift-out panel',
    why: 'Foam on a stiff panel that comes out whole: for enclosures that must be scrubbed.',
    look: 'foam',
    liftsOut: true,
    rough: true,
    thickness: practice(range(0.03, 0.06)),
    density: estimated(60, 'labels'),
    sheet: { width: 1, height: 0.5 },
    finishes: ['sealer', 'fibre'],
    takes: [
      { supply: 'carrier-panel', per: 'area', rate: practice(1) },
      { supply: 'pond-foam', per: 'volume', rate: practice(1.35) },
      SEALER,
      BUTTER,
      FIBRE,
    ],
    goesWith: [GOOD_SILICONE, NO_SOLVENT],
    cures: [
      { step: 'Foam, before it is carved', days: practice(range(1, 2)), fumes: true },
      COAT,
      { ...CURE_SILICONE, finish: 'fibre' },
      { ...AIRING, days: practice(range(7, 21)) },
    ],
  },
  {
    id: 'living-wall',
    name: 'Living wall',
    why: 'Sphagnum behind mesh, kept wet from above: grows over with moss and ferns.',
    look: 'moss',
    liftsOut: true,
    rough: true,
    thickness: practice(range(0.03, 0.06)),
    density: estimated(350, 'labels'),
    finishes: ['bare'],
    takes: [
      { supply: 'carrier-panel', per: 'area', rate: practice(1) },
      { supply: 'wall-mesh', per: 'area', rate: practice(1.1) },
      { supply: 'wall-sphagnum', per: 'volume', rate: practice(1.5) },
    ],
    goesWith: [
      {
        what: 'a drip line along its top',
        suits: true,
        because: 'misted from the front it dries out behind',
      },
      { what: 'a dry enclosure', suits: false, because: 'it is a wet wall and stays one' },
    ],
    cures: [{ step: 'Moss takes', days: practice(range(28, 84)), fumes: false }],
  },
];

export const filters: FilterKind[] = [
  {
    id: 'sponge',
    name: 'Sponge on an air pump',
    why: 'Gentle, cheap, sucks nothing in; bacteria live in the sponge.',
    against: 'Hums and bubbles; takes up room in the water.',
    care: 'Squeeze it in old tank water every 2 to 4 weeks, never under the tap.',
    upTo: practice(0.06),
    turnover: practice(range(2, 4)),
  },
  {
    id: 'internal',
    name: 'Internal filter',
    why: 'Strong for its size; its outlet can feed a waterfall.',
    against: 'Warms the water a little; its intake must be guarded.',
    care: 'Rinse the sponge every 2 weeks; clean the rotor twice a year.',
    upTo: practice(0.08),
    turnover: practice(range(3, 6)),
  },
  {
    id: 'canister',
    name: 'Canister outside the enclosure',
    why: 'Much room for carbon and bio media; nothing to see in the water.',
    against: 'Hoses through the wall; a leak is outside.',
    care: 'Open it every 2 to 3 months; new carbon each time, bio media only rinsed in tank water.',
    upTo: practice(0.4),
    turnover: practice(range(3, 6)),
  },
  {
    id: 'bed',
    name: 'Through the drainage bed',
    why: 'A pump under the land draws water through the beads: the bed itself is the filter.',
    against: 'Silts up in some years, and then everything comes out.',
    care: 'Siphon the bottom of the bed monthly.',
    upTo: practice(0.1),
    turnover: practice(range(1, 3)),
  },
  {
    id: 'none',
    name: 'None: change the water',
    why: 'Right for dishes and pools of a few litres.',
    against: 'Forgotten once, it smells.',
    care: 'All of a dish daily; a quarter of a pool weekly.',
    upTo: practice(0.005),
    turnover: practice(range(0, 0)),
  },
];
