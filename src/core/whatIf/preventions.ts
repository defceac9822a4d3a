import { applyEdit, type EditCall } from '../edits';
import type { Catalogue } from '../catalogue';
import type { Design } from '../document/schema';
import type { WhatIfId } from './types';

/** What would buy time: built in beforehand by edits, or done when it happens. */
export interface Idea {
  readonly what: string;
  readonly when: 'before' | 'then';
  /** null: it is so already, or cannot be. */
  readonly calls: (design: Design) => readonly EditCall[] | null;
}

const closed: Idea = {
  what: 'Cover the top',
  when: 'then',
  calls: ({ enclosure }) =>
    enclosure.topCover < 0.9 ? [{ edit: 'setEnclosure', change: { topCover: 0.95 } }] : null,
};
const opened: Idea = {
  what: 'Uncover the top',
  when: 'then',
  calls: ({ enclosure }) =>
    enclosure.topCover > 0.1 ? [{ edit: 'setEnclosure', change: { topCover: 0 } }] : null,
};
const lagged: Idea = {
  what: 'Blankets round the enclosure',
  when: 'then',
  // Like a centimetre of felt on every wall.
  calls: ({ enclosure: { wallThickness, material } }) => [
    {
      edit: 'setEnclosure',
      change: {
        wallThickness: Math.min(0.2, wallThickness + (material === 'glass' ? 0.15 : 0.03)),
        topCover: 0.95,
      },
    },
  ],
};
const bottleOf =
  (litres: (now: number) => number | null): Idea['calls'] =>
  ({ climate: { mist } }) => {
    const own = mist.bottle === null ? null : litres(mist.bottle);
    return own === null ? null : [{ edit: 'setClimate', change: { mist: { ...mist, bottle: own } } }];
  };
const larger: Idea = {
  what: 'A bottle twice as large',
  when: 'before',
  calls: bottleOf((now) => (now < 2 ? Math.min(2, 2 * now) : null)),
};
const twoLitres: Idea = {
  what: 'A bottle of two litres instead of the present one',
  when: 'before',
  calls: bottleOf((now) => (now > 0.002 ? 0.002 : null)),
};
const bottled: Idea = {
  what: 'A bottle of two litres in place of the mains',
  when: 'before',
  calls: ({ climate: { mist } }) =>
    mist.bottle === null && mist.by === 'nozzles'
      ? [{ edit: 'setClimate', change: { mist: { ...mist, bottle: 0.002 } } }]
      : null,
};
const drained: Idea = {
  what: 'A drain in the floor of the bed',
  when: 'before',
  calls: ({ ground }) =>
    ground.outlet.kind === 'none' && ground.layers.some((it) => it.kind === 'drainage')
      ? [{ edit: 'setOutlet', change: { outlet: { kind: 'drain', bore: 0.012, height: 0 } } }]
      : null,
};
const smaller: Idea = {
  what: 'Heaters of half the power',
  when: 'before',
  calls: ({ climate }) => {
    const held = climate.devices.filter((it) => it.thermostat);
    return held.length === 0
      ? null
      : held.map((it) => ({
          edit: 'setDevice' as const,
          change: { device: it.id, change: { power: Math.max(1, Math.round(it.power / 2)) } },
        }));
  },
};
const moreMist: Idea = {
  what: 'Mist half as long again',
  when: 'before',
  calls: ({ climate: { mist } }) =>
    mist.times.length === 0
      ? null
      : [
          {
            edit: 'setClimate',
            change: {
              mist: {
                ...mist,
                times: mist.times.map((it) => ({ ...it, seconds: Math.round(it.seconds * 1.5) })),
              },
            },
          },
        ],
};
const dark: Idea = {
  what: 'Lamps dimmed by half',
  when: 'then',
  calls: ({ climate }) => {
    const lit = climate.devices.filter((it) => it.timer.by === 'day');
    return lit.length === 0
      ? null
      : lit.map((it) => ({
          edit: 'setDevice' as const,
          change: { device: it.id, change: { dim: it.dim / 2 } },
        }));
  },
};

const IDEAS: Readonly<Record<WhatIfId, readonly Idea[]>> = {
  'power-cut': [closed, lagged],
  'stuck-nozzle': [twoLitres, bottled, drained, opened],
  'dry-bottle': [closed, larger],
  'heat-wave': [opened, dark],
  'dry-winter': [closed, moreMist],
  'stuck-thermostat': [smaller, opened],
  'week-away': [closed, larger],
};

/** Ideas for all that goes wrong, each once. */
export const ideasFor = (ids: readonly WhatIfId[]): readonly Idea[] => [
  ...new Set(ids.flatMap((id) => IDEAS[id])),
];

/** A design with an idea carried out. */
export const altered = (design: Design, calls: readonly EditCall[], catalogue: Catalogue): Design =>
  calls.reduce((own, call) => applyEdit(own, call, catalogue), design);
