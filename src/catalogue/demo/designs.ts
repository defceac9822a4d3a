import type { Catalogue } from '@/core/catalogue';
import { applyEdit, type EditCall } from '@/core/edits';
import { proposeDesign, type Questionnaire } from '@/core/propose';
import { UNTOUCHED, type Design } from '@/core/document';

/** A made-up school nature room. Every name, date and figure here is invented. */
interface Scene {
  readonly answers: Questionnaire;
  readonly edits: readonly EditCall[];
}

const room = { kind: 'dry', temperature: 21.5, humidity: 0.38 } as const;

const SCENES: readonly Scene[] = [
  {
    answers: {
      id: 'demo-bog-shelf',
      name: 'Bog shelf',
      animal: 'theloderma-corticale',
      count: 4,
      size: { width: 0.6, depth: 0.45, height: 0.6 },
      room,
    },
    edits: [
      { edit: 'setStage', change: { stage: 'inhabited', since: '2025-09-22' } },
      {
        edit: 'setThickness',
        change: { layer: 'layer-3', corners: ['frontLeft', 'frontRight'], thickness: 0.03 },
      },
      { edit: 'setThickness', change: { layer: 'layer-3', corners: ['backLeft'], thickness: 0.085 } },
      { edit: 'setThickness', change: { layer: 'layer-3', corners: ['backRight'], thickness: 0.07 } },
      {
        edit: 'setNote',
        change: {
          note: 'Full water bottom under the panel. Tannin leaves in the water, changed a quarter each week.',
        },
      },
    ],
  },
  {
    answers: {
      id: 'demo-hedge',
      name: 'Hedge',
      animal: 'anolis-carolinensis',
      count: 3,
      size: { width: 0.45, depth: 0.45, height: 0.9 },
      room,
    },
    edits: [
      { edit: 'setStage', change: { stage: 'curing', since: '2026-11-14' } },
      { edit: 'setOutlet', change: { outlet: { kind: 'drain', bore: 0.012, height: 0 } } },
      {
        edit: 'setNote',
        change: {
          note: 'Foam background, third coat of sealer still smells. The fogger is still to be bought: without it the air is too dry.',
        },
      },
    ],
  },
  {
    answers: {
      id: 'demo-limestone',
      name: 'Limestone',
      animal: 'goniurosaurus-hainanensis',
      count: 2,
      size: { width: 0.6, depth: 0.45, height: 0.45 },
      room,
    },
    edits: [
      { edit: 'setStage', change: { stage: 'growing-in', since: '2026-10-05' } },
      { edit: 'setWaterDepth', change: { depth: 0.047 } },
      { edit: 'useRecipe', change: { layer: 'layer-3', recipe: 'plain-base' } },
      { edit: 'renameLayer', change: { layer: 'layer-3', name: 'Plain sandy base' } },
      { edit: 'addLayer', change: { kind: 'thin' } },
      {
        edit: 'setNote',
        change: { note: 'Springtails seen in both back corners. Moss slow at the front left.' },
      },
    ],
  },
  {
    answers: {
      id: 'demo-dry-wash',
      name: 'Dry wash',
      animal: 'eryx-colubrinus',
      count: 1,
      size: { width: 0.9, depth: 0.45, height: 0.45 },
      room,
    },
    edits: [
      { edit: 'setParts', change: { layer: 'layer-1', material: 'washed-sand', parts: 70 } },
      { edit: 'setParts', change: { layer: 'layer-1', material: 'bark-fines', parts: 30 } },
      { edit: 'setParts', change: { layer: 'layer-1', material: 'burrowing-clay', parts: 10 } },
      { edit: 'setNote', change: { note: 'Still on paper. Sand from the builder’s yard, if it is washed.' } },
    ],
  },
];

/** What stands in them is laid out for their animals. */
const PROPOSE: EditCall = { edit: 'proposeScape', change: {} };

type Fitted = Design['climate']['devices'][number];
const fit = (device: Partial<Fitted> & Pick<Fitted, 'id' | 'name' | 'kind' | 'at' | 'power'>): Fitted => ({
  length: 0.1,
  along: 'x',
  dim: 1,
  timer: { by: 'always' },
  thermostat: null,
  humidistat: null,
  duty: null,
  tank: null,
  guarded: false,
  since: null,
  ...device,
});
const held = (id: string, day: number): ((device: Fitted) => Fitted) => {
  return (device) =>
    device.id === id && device.thermostat ? { ...device, thermostat: { ...device.thermostat, day } } : device;
};

/**
 * What its keepers have fitted since the first climate, so that the boxes hold: all but the hedge, whose fogger is still
 * to be bought, and which says so.
 */
const FITTED: Readonly<Record<string, (devices: readonly Fitted[]) => readonly Fitted[]>> = {
  'demo-bog-shelf': (devices) => [
    ...devices,
    fit({
      id: 'device-4',
      name: 'Ultrasonic fogger in a bottle',
      kind: 'fogger',
      at: { x: 0.15, y: 0.383, z: 0.48 },
      power: 25,
      humidistat: { day: 0.76, night: 0.86, probe: { x: 0.3, y: 0.18, z: 0.3 } },
      // Of its own bottle of 2 L it would be dry after half a day.
      tank: 0.02,
    }),
    ...[0.135, 0.36].map((y, index) =>
      fit({
        id: `device-${5 + index}`,
        name: index === 0 ? 'Ceramic emitter' : 'Ceramic emitter 2',
        kind: 'ceramic-emitter',
        at: { x: 0.51, y, z: 0.676 },
        power: 150,
        thermostat: {
          kind: 'proportional',
          day: 21.5,
          night: 17.5,
          probe: { x: 0.45, y: 0.36, z: 0.232 },
        },
      }),
    ),
    fit({
      id: 'device-7',
      name: 'Small fan, 40 mm',
      kind: 'fan-small',
      at: { x: 0.15, y: 0.45, z: 0.55 },
      power: 1,
    }),
  ],
  'demo-hedge': (devices) => devices.map(held('device-4', 24)),
  'demo-limestone': (devices) => [
    ...devices.map(held('device-2', 24)),
    fit({
      id: 'device-5',
      name: 'Fan, 80 mm',
      kind: 'fan-middle',
      at: { x: 0.15, y: 0.45, z: 0.4 },
      power: 2,
      humidistat: { day: 0.69, night: 0.92, probe: { x: 0.3, y: 0.18, z: 0.225 } },
    }),
  ],
  'demo-dry-wash': (devices) => [
    ...devices.filter((it) => it.kind !== 'ceramic-emitter'),
    ...[0.135, 0.36].map((y, index) =>
      fit({
        id: `device-${3 + index}`,
        name: index === 0 ? 'Radiant heat panel' : 'Radiant heat panel 2',
        kind: 'radiant-panel',
        at: { x: 0.64, y, z: 0.42 },
        length: 0.5,
        power: 120,
        thermostat: {
          kind: 'proportional',
          day: 28.5,
          night: 20.5,
          probe: { x: 0.675, y: 0.36, z: 0.164 },
        },
      }),
    ),
  ],
};

function fittedOut(design: Design): Design {
  const fitting = FITTED[design.id];
  return fitting
    ? { ...design, climate: { ...design.climate, devices: [...fitting(design.climate.devices)] } }
    : design;
}

/** Crew that lasts where the first one would not. */
const CREW: Readonly<Record<string, Readonly<Record<string, readonly [kind: string, count: number]>>>> = {
  'demo-hedge': { 'cubaris-murina': ['armadillidium-vulgare', 24] },
  'demo-limestone': { 'porcellionides-pruinosus': ['porcellio-expansus', 12] },
};

function crewed(design: Design): Design {
  const swap = CREW[design.id] ?? {};
  const crew = design.living.crew.map((it) => {
    const own = swap[it.kind];
    return own ? { ...it, kind: own[0], count: own[1] } : it;
  });
  return { ...design, living: { ...design.living, crew } };
}

/** When what stands was planted and its crew let in. */
const PLANTED: Readonly<Record<string, string>> = {
  'demo-bog-shelf': '2025-08-16',
  'demo-limestone': '2026-10-05',
};

/** What of each build is done, and on which days. */
const DONE: Readonly<
  Record<string, { readonly start: string; readonly days: Readonly<Record<string, string>> }>
> = {
  'demo-bog-shelf': {
    start: '2025-06-28',
    days: {
      'leak-test': '2025-06-29',
      prepare: '2025-07-30',
      'background-background-1': '2025-07-26',
      smell: '2025-08-02',
      'floor-pieces': '2025-08-02',
      drainage: '2025-08-03',
      barrier: '2025-08-03',
      'water-trial': '2025-08-05',
      mix: '2025-08-06',
      soil: '2025-08-06',
      scape: '2025-08-09',
      climate: '2025-08-10',
      plant: '2025-08-16',
      moss: '2025-08-16',
      litter: '2025-08-17',
      things: '2025-08-17',
      crew: '2025-09-10',
      'crew-seen': '2025-09-12',
      rooted: '2025-09-14',
      'water-tested': '2025-09-19',
      measure: '2025-09-20',
      locks: '2025-09-20',
      quarantine: '2025-09-15',
      tests: '2025-09-12',
      'move-in': '2025-09-22',
      'first-week': '2025-09-29',
    },
  },
  'demo-hedge': { start: '2026-10-31', days: { bores: '2026-10-31', 'leak-test': '2026-11-01' } },
  'demo-limestone': {
    start: '2026-08-22',
    days: {
      'leak-test': '2026-08-23',
      prepare: '2026-09-26',
      'background-background-1': '2026-09-22',
      smell: '2026-09-25',
      drainage: '2026-09-26',
      barrier: '2026-09-26',
      mix: '2026-09-28',
      soil: '2026-09-28',
      scape: '2026-10-02',
      climate: '2026-10-03',
      plant: '2026-10-05',
      moss: '2026-10-05',
      litter: '2026-10-06',
      things: '2026-10-06',
    },
  },
};

/** What lives already in a box that stands, and what of its build is done. */
function planted(before: Design): Design {
  const told = DONE[before.id];
  const design: Design = told
    ? {
        ...before,
        plan: {
          ...before.plan,
          start: told.start,
          standing: null,
          marks: Object.entries(told.days).map(([step, done]) => ({
            ...UNTOUCHED,
            step,
            done,
          })),
        },
      }
    : before;
  const on = PLANTED[design.id];
  if (on === undefined) return design;
  const { living } = design;
  const old = design.brief.stage === 'inhabited';
  return {
    ...design,
    living: {
      ...living,
      plants: living.plants.map((it) => ({
        ...it,
        planted: on,
        size: old ? Math.min(0.85, it.size * 2.4) : it.size,
      })),
      crew: living.crew.map((it) => ({ ...it, on })),
    },
  };
}

const SHELVES: Readonly<Record<string, string>> = {
  'demo-bog-shelf': 'By the door, top',
  'demo-hedge': 'By the door, below',
  'demo-limestone': 'Under the window',
  'demo-dry-wash': 'Under the window',
};

/** The four enclosures of the nature room. */
export function demoDesigns(catalogue: Catalogue): readonly Design[] {
  const step = (design: Design, call: EditCall): Design => applyEdit(design, call, catalogue);
  return SCENES.map(({ answers, edits }) => {
    const place = { room: 'Nature room', shelf: SHELVES[answers.id] ?? '' };
    const laid = [
      { edit: 'setPlace', change: place } as const,
      ...edits,
      PROPOSE,
      { edit: 'proposeClimate', change: {} } as const,
    ].reduce(step, proposeDesign(answers, catalogue));
    return planted(crewed(step(fittedOut(laid), { edit: 'proposeLiving', change: {} })));
  });
}
