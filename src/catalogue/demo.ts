import type { Catalogue } from '@/core/catalogue';
import type { ShelfMove } from '@/core/shelf';
import { applyEdit, proposeDesign, type Answers, type Design, type EditCall } from '@/core/design';

/** A made-up school nature room. Every name, date and figure here is invented. */
interface Scene {
  readonly answers: Answers;
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
      { edit: 'setNote', change: { note: 'Foam background, third coat of sealer still smells.' } },
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

const day = (date: string): number => Date.parse(`${date}T09:00:00Z`);
const line = (
  id: string,
  date: string,
  kind: ShelfMove['kind'],
  material: string,
  amount: number,
  label: string,
  told: Partial<ShelfMove> = {},
): ShelfMove => ({
  id: `demo-${id}`,
  at: day(date),
  batch: `demo-${id}`,
  kind,
  material,
  amount,
  label,
  design: null,
  opened: null,
  bestBefore: null,
  undone: false,
  ...told,
});

/** The book of the nature room's shelf, loose m³. */
export const DEMO_SHELF: readonly ShelfMove[] = [
  line('1', '2026-09-12', 'receipt', 'charcoal', 0.005, '1 × 5 L', { opened: '2026-10-03' }),
  line('2', '2026-09-12', 'receipt', 'washed-sand', 0.015, '1 × 15 L', { opened: '2026-10-03' }),
  line('3', '2026-10-03', 'use', 'charcoal', 0.0015, 'Limestone', { design: 'demo-limestone' }),
  line('4', '2026-10-03', 'use', 'washed-sand', 0.005, 'Limestone', {
    design: 'demo-limestone',
    batch: 'demo-3',
  }),
  line('5', '2026-10-31', 'receipt', 'oak-litter', 0.004, 'Swept up in the school yard, baked'),
  line('6', '2026-09-20', 'receipt', 'flake-soil', 0.005, '1 × 5 L, for the beetle culture', {
    opened: '2026-09-21',
    bestBefore: '2026-12-15',
  }),
  line('7', '2026-11-07', 'count', 'flake-soil', 0.002, 'Counted'),
];

/** What stands in them is laid out for their animals. */
const PROPOSE: EditCall = { edit: 'proposeScape', change: {} };

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
          start: told.start,
          standing: null,
          marks: Object.entries(told.days).map(([step, done]) => ({
            step,
            done,
            notBefore: null,
            note: '',
            read: [],
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

/** The four enclosures of the nature room. */
export function demoDesigns(catalogue: Catalogue): readonly Design[] {
  return SCENES.map(({ answers, edits }) =>
    planted(
      [
        ...edits,
        PROPOSE,
        { edit: 'proposeClimate', change: {} } as const,
        { edit: 'proposeLiving', change: {} } as const,
      ].reduce((design, call) => applyEdit(design, call, catalogue), proposeDesign(answers, catalogue)),
    ),
  );
}
