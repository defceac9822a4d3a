import type { Design } from '@/core/document';
import { entryOf, type Draft, type Entry } from '@/core/log';
import type { AnimalRecord, CultureRecord, EquipmentRecord } from '@/core/records';

const BOG = 'demo-bog-shelf';

/** Local midnight some days before a moment, ms since 1970: days that clocks are changed on are days too. */
export function midnightAgo(now: number, days: number): number {
  const date = new Date(now);
  return new Date(date.getFullYear(), date.getMonth(), date.getDate() - days).getTime();
}

/** Local day some days ago, as a date. */
export function dayAgo(now: number, days: number): string {
  const date = new Date(midnightAgo(now, days));
  const two = (value: number): string => String(value).padStart(2, '0');
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
}

/** The made-up frogs of the bog shelf: who they are, and their weight at first and its growth a month, kg. */
const FROGS = [
  { key: 'sedge', name: 'Sedge', sex: 'female', sure: 'sure', mass: 0.0148, grows: 0.0006 },
  { key: 'peat', name: 'Peat', sex: 'female', sure: 'likely', mass: 0.0131, grows: 0.0007 },
  { key: 'fern', name: 'Fern', sex: 'unknown', sure: 'guess', mass: 0.0096, grows: 0.0008 },
  { key: 'drip', name: 'Drip', sex: 'male', sure: 'sure', mass: 0.0104, grows: 0.0003 },
] as const;

/** Animals of the demo. */
export function demoAnimals(now: number): readonly AnimalRecord[] {
  return FROGS.map(({ key, name, sex, sure }) => ({
    id: `demo ${key}`,
    changed: 0,
    gone: false,
    name,
    kind: 'theloderma-corticale',
    sex,
    sexKnown: sure,
    hatched: dayAgo(now, 610),
    source: 'bred in the school’s own tank',
    parents: [],
    quarantine: { from: dayAgo(now, 260), to: dayAgo(now, 198) },
    homes: [{ design: BOG, from: dayAgo(now, 190), to: null }],
    papers: [],
    left: null,
    note: '',
  }));
}

/** Cultures of the demo, as their species give it at the room's warmth: two of flies by turns, one of springtails. */
export function demoCultures(now: number): readonly CultureRecord[] {
  const culture = (
    key: string,
    ago: number,
    rest: Pick<CultureRecord, 'name' | 'kind' | 'tubs'> & Partial<CultureRecord>,
  ): CultureRecord => ({
    id: `demo ${key}`,
    changed: 0,
    gone: false,
    gutLoaded: false,
    temperature: 22,
    started: dayAgo(now, ago),
    ended: null,
    feedEvery: null,
    firstHarvest: null,
    givesFor: null,
    nextAfter: null,
    splitEvery: null,
    acts: [],
    note: '',
    ...rest,
  });
  const flies = {
    name: 'Large fruit flies',
    kind: 'drosophila-hydei',
    tubs: 2,
    firstHarvest: 24,
    givesFor: 24,
    nextAfter: 10,
  };
  return [
    culture('flies-1', 31, flies),
    culture('flies-2', 4, flies),
    culture('springtails', 75, {
      name: 'Springtails on charcoal',
      kind: 'folsomia-candida',
      tubs: 1,
      feedEvery: 5,
      firstHarvest: 27,
      splitEvery: 90,
      acts: [
        { id: 'demo split', on: dayAgo(now, 40), what: 'split', count: null, gone: false },
        { id: 'demo fed', on: dayAgo(now, 2), what: 'fed', count: null, gone: false },
      ],
    }),
  ];
}

/** Equipment of the demo. */
export const demoEquipment = (now: number): readonly EquipmentRecord[] =>
  [
    { key: 'led', name: 'LED bar over the lid', installed: 200, warranty: 530, spare: false },
    { key: 'pump', name: 'Pump of the half-water', installed: 200, warranty: 165, spare: false },
    { key: 'pump-2', name: 'Pump, the second', installed: null, warranty: null, spare: true },
  ].map(({ key, name, installed, warranty, spare }) => ({
    id: `demo ${key}`,
    changed: 0,
    gone: false,
    design: BOG,
    name,
    device: null,
    installed: installed === null ? null : dayAgo(now, installed),
    warranty: warranty === null ? null : dayAgo(now, 200 - warranty),
    failed: null,
    spare,
    months: [],
    note: '',
  }));

/** Weights, and where the frogs were seen, of the last months. */
export function demoSeen(designs: readonly Design[], now: number): readonly Entry[] {
  const bog = designs.find((it) => it.id === BOG);
  if (!bog) return [];
  const { width, depth, height } = bog.enclosure;
  const line = (key: string, ago: number, hour: number, draft: Draft): Entry => {
    const at = midnightAgo(now, ago) + hour * 3_600_000;
    return entryOf(draft, { id: `${BOG} ${key}`, design: BOG, at, changed: at });
  };
  const weights = FROGS.flatMap(({ key, mass, grows }) =>
    Array.from({ length: 6 }, (_, i) =>
      line(`weight ${key} ${i}`, 152 - 28 * i, 18, {
        kind: 'weight',
        animal: `demo ${key}`,
        values: { mass: mass + grows * i + 0.0002 * Math.sin(i * 2.1) },
        text: '',
      }),
    ),
  );
  const seen = Array.from({ length: 22 }, (_, i) => {
    const night = i % 3 !== 0;
    const swing = Math.sin(i * 2.399);
    return line(`seen ${i}`, 1 + i, night ? 22 : 10, {
      kind: 'behaviour',
      animal: `demo ${FROGS[i % 4]?.key ?? ''}`,
      values: {
        x: width * (night ? 0.55 + 0.3 * swing : 0.2 + 0.08 * swing),
        y: depth * (0.5 + 0.2 * Math.cos(i)),
        z: height * (night ? 0.62 + 0.2 * Math.cos(i * 1.7) : 0.22),
      },
      text: night ? 'Out among the cork.' : 'Flat under the cork at the water.',
    });
  });
  return [...weights, ...seen];
}
