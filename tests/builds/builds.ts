import {
  baskingOver,
  bed,
  coolHides,
  corners,
  deepest,
  fixOf,
  layerOf,
  light,
  litres,
  mistSeconds,
  packsOf,
  soil,
  standing,
  warmHides,
  water,
  type Build,
} from './build';
import { DAMP } from './damp';
import { DRY } from './dry';

/**
 * Builds of the sort people make, each told in its first answers and changed by hand. Names and figures are of our own; what
 * is expected of each is common practice.
 */
export const BUILDS: readonly Build[] = [
  {
    name: 'dry box with outcrops, a shed-skin hide and a pinch of clay',
    animal: 'eublepharis-macularius',
    count: 1,
    size: { width: 0.9, depth: 0.45, height: 0.45 },
    room: 'middle',
    made: [
      { edit: 'addPiece', change: { kind: 'boulder', at: { x: 0.45, y: 0.34 } } },
      (it) => ({ edit: 'standOnFloor', change: { piece: it.scape.pieces.at(-1)?.id ?? '' } }),
      { edit: 'setPlan', change: { animal: { comes: 'here', day: null } } },
    ],
    figures: [
      // 90 × 45 cm at 8 cm in the mean.
      soil(24, 40),
      { what: 'cm of soil at the back', of: (it) => deepest(it, 'substrate'), low: 7, high: 15 },
      // Soil at 1.6 kg a litre, 30 kg of glass.
      standing(75, 115),
      light,
      warmHides,
      coolHides,
      { what: 'm from the ground to the basking place', of: baskingOver, low: 0.025, high: 0.08 },
      // Topsoil, sand and clay at 6, 3 and 1 parts: some 20 L of topsoil.
      { what: 'bags of topsoil', of: (it) => packsOf(it, 'topsoil'), low: 1, high: 3 },
    ],
    stands: [],
    answer: 'fails',
  },
  {
    name: 'deep digger in 150 × 60 × 60',
    animal: 'varanus-acanthurus',
    count: 1,
    size: { width: 1.5, depth: 0.6, height: 0.6 },
    room: 'middle',
    made: [
      { edit: 'setSoilDepth', change: { deepest: 0.3 } },
      { edit: 'proposeScape', change: {} },
      { edit: 'proposeClimate', change: {} },
    ],
    figures: [
      // 0.9 m² at 22 to 30 cm.
      soil(190, 270),
      { what: 'cm of soil in places', of: (it) => deepest(it, 'substrate'), low: 29, high: 31 },
      standing(380, 560),
      { what: 'm from the ground to the basking place', of: baskingOver, low: 0.03, high: 0.08 },
      { what: 'kg/m² on the floor', of: (it) => it.loads.perArea, low: 400, high: 650 },
      light,
      warmHides,
    ],
    // Thirty centimetres of soil in sixty of height leave less than is usual over it: who builds so knows.
    stands: ['box-other-shape', 'too-deep-for-the-box'],
    answer: 'fails',
  },
  {
    name: 'pair of small frogs in 30 × 30 × 45',
    animal: 'ranitomeya-imitator',
    count: 2,
    size: { width: 0.3, depth: 0.3, height: 0.45 },
    room: 'middle',
    made: [{ edit: 'setPlan', change: { pace: 'quick' } }],
    figures: [
      bed,
      // 0.09 m² at 5 cm.
      { what: 'L of bed', of: (it) => litres(it, 'drainage'), low: 3.5, high: 5.5 },
      water,
      // A small bag gives about four centimetres here.
      soil(3, 6),
      light,
      standing(8, 18),
      { what: 'bags of pebbles', of: (it) => packsOf(it, 'clay-pebbles-8-16'), low: 1, high: 1 },
    ],
    stands: [],
    answer: 'fails',
  },
  {
    name: 'snake box with a dry bay over a mat',
    animal: 'lampropeltis-californiae',
    count: 1,
    size: { width: 1.3, depth: 0.6, height: 0.6 },
    room: 'middle',
    made: [
      { edit: 'addRegion', change: { kind: 'bark-bay' } },
      { edit: 'addDevice', change: { kind: 'heat-mat' } },
    ],
    figures: [
      soil(30, 75),
      {
        what: 'cm of bark over the mat',
        of: (it) =>
          Math.max(
            ...it.layers
              .filter((own) => own.region !== null)
              .map((own) => Math.max(...Object.values(own.thickness)) * 100),
          ),
        low: 2,
        high: 5,
      },
      {
        what: '°C the mat is held at',
        of: (_, it) => it.climate.devices.at(-1)?.thermostat?.day ?? 0,
        low: 28,
        high: 31,
      },
      warmHides,
      coolHides,
      light,
    ],
    stands: [],
    // Its doors are panes now: they let out twice what foamed PVC does, and the first layout goes by neither.
    answer: 'fails',
  },
  {
    name: 'tank of 90 × 35 × 45 stood on its end, with a door where its lid was',
    animal: 'ranitomeya-imitator',
    count: 2,
    size: { width: 0.9, depth: 0.35, height: 0.45 },
    room: 'middle',
    made: [
      { edit: 'setEnclosure', change: { front: 'fixed', top: 'open', watertightHeight: 0.45 } },
      { edit: 'turnEnclosure', change: { front: 'lid', pieces: 'afresh' } },
      fixOf('no-cable-slot'),
      { edit: 'proposeClimate', change: {} },
    ],
    figures: [
      { what: 'cm wide', of: (_, it) => it.enclosure.width * 100, low: 34.9, high: 35.1 },
      { what: 'cm high', of: (_, it) => it.enclosure.height * 100, low: 89.9, high: 90.1 },
      { what: 'cm of sill', of: (_, it) => it.enclosure.watertightHeight * 100, low: 8, high: 15 },
      bed,
      water,
      // 0.16 m² at 5 to 7 cm.
      soil(6, 14),
      light,
    ],
    stands: [],
    answer: 'fails',
  },
  {
    name: 'twilight gecko, a moist and a dry end',
    animal: 'goniurosaurus-hainanensis',
    count: 1,
    size: { width: 0.6, depth: 0.45, height: 0.45 },
    room: 'dry',
    made: [
      { edit: 'addRegion', change: { kind: 'moist-end' } },
      (it) => ({
        edit: 'setThickness',
        change: { layer: layerOf(it, 'drainage'), corners, thickness: 0.05 },
      }),
    ],
    figures: [
      bed,
      water,
      soil(12, 25),
      standing(30, 50),
      light,
      coolHides,
      { what: 'seconds of mist a day', of: mistSeconds, low: 30, high: 120 },
    ],
    stands: [],
    answer: 'holds',
  },
  {
    name: 'pair of dwarf geckos in a tall box',
    animal: 'lygodactylus-williamsi',
    count: 2,
    size: { width: 0.45, depth: 0.45, height: 0.6 },
    room: 'middle',
    made: [{ edit: 'setPlan', change: { pace: 'cautious' } }],
    figures: [
      bed,
      water,
      soil(8, 18),
      light,
      standing(22, 45),
      { what: 'm from the ground to the basking place', of: baskingOver, low: 0.2, high: 0.45 },
      { what: 'plants', of: (_, it) => it.living.plants.length, low: 4, high: 16 },
    ],
    stands: [],
    answer: 'holds-but',
  },
  ...DRY,
  ...DAMP,
];
