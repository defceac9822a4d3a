import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { firstDesign } from '@/catalogue/testing';
import type { TroubleKind } from '../climate';
import { applyEdit } from '../edits';
import { type Design } from '../document';
import { entryOf, type Entry, type EntryKind, type EntryValues } from '../log';
import { atOnce } from '../climate';
import { diagnose, playingFaults, SIGNS, type SignId, type Yardstick } from '.';
import { caseOf, type Case, type ProbeFault } from './testing';
import { DAY_MS } from '../physics/constants';

/** Boxes as first fitted by rule, without what holds their climate against a fault: those the weights were set on. */
const designs = demoDesigns(catalogue).map((design): Design =>
  applyEdit(design, { edit: 'proposeClimate', change: {} }, catalogue),
);
const box = (id: string) => designs.find((it) => it.id === `demo-${id}`)!;
const misted = [box('bog-shelf'), box('hedge'), box('limestone')];
const dry = box('dry-wash');

interface Told {
  readonly design: (typeof designs)[number];
  readonly troubles: readonly TroubleKind[];
  readonly probe: ProbeFault | null;
}
const single = (design: (typeof designs)[number], kind: TroubleKind): Told => ({
  design,
  troubles: [kind],
  probe: null,
});
const list: Told[] = [
  ...misted.flatMap((it) =>
    (['power-cut', 'mist-off', 'mist-stuck', 'vents-covered', 'room-dry', 'room-hot'] as const).map((kind) =>
      single(it, kind),
    ),
  ),
  ...misted.flatMap((it) =>
    (['power-cut', 'mist-off', 'vents-covered', 'room-hot'] as const).map((kind) => single(it, kind)),
  ),
  ...[box('hedge'), dry].flatMap((it) =>
    (['heat-off', 'heat-stuck', 'heat-off', 'heat-stuck'] as const).map((kind) => single(it, kind)),
  ),
  ...(['power-cut', 'room-hot'] as const).map((kind) => single(dry, kind)),
  ...[...misted, dry].flatMap((it) =>
    (['probe-stuck', 'probe-drift', 'probe-silent'] as const).map((probe): Told => ({
      design: it,
      troubles: [],
      probe,
    })),
  ),
  ...misted.map((it): Told => ({ design: it, troubles: ['mist-off'], probe: 'probe-silent' })),
  { design: box('hedge'), troubles: ['room-hot'], probe: 'probe-stuck' },
  { design: box('limestone'), troubles: ['room-hot', 'mist-off'], probe: null },
  { design: box('bog-shelf'), troubles: ['vents-covered'], probe: 'probe-stuck' },
];
const healthy: Told[] = Array.from({ length: 20 }, (_, i) => ({
  design: [...misted, dry][i % 4]!,
  troubles: [],
  probe: null,
}));

const yardsticks = new Map<string, Yardstick>();
const judge = (it: Case) => {
  const yardstick =
    yardsticks.get(it.design.id) ??
    atOnce(playingFaults(it.design, catalogue, 124, ['warm', 'cool', 'room']));
  yardsticks.set(it.design.id, yardstick);
  return diagnose({ ...it, catalogue, log: [], seen: [], yardstick });
};
/** Every third case was kept unseen while the weights were set. */
const isUnseen = (index: number): boolean => index % 3 === 2;

describe('cases made by the simulator, with noise, holes and double faults', () => {
  const results = list.map((told, index) => {
    const made = caseOf({
      ...told,
      catalogue,
      seed: isUnseen(index) ? index + 5000 : index,
      room: index % 4 === 1,
    });
    const found = judge(made);
    return {
      unseen: isUnseen(index),
      name: made.name,
      first: found.causes[0]?.id ?? null,
      verdict: found.verdict,
      right: made.truth.includes(found.causes[0]?.id ?? ''),
      told: found.causes
        .slice(0, 3)
        .map((own) => `${own.id} ${own.score.toFixed(1)}`)
        .join(', '),
      read: found.read.map((own) => own.sign).join(' '),
    };
  });
  const report = (all: typeof results): string =>
    all
      .filter((it) => !it.right)
      .map((it) => `${it.name} → ${it.verdict}: ${it.told} [${it.read}]`)
      .join('\n');
  it.each([
    ['seen', false],
    ['unseen', true],
  ])('the true cause is first in at least 8 of 10, of those %s', (_, unseen) => {
    const own = results.filter((it) => it.unseen === unseen);
    const right = own.filter((it) => it.right).length;
    // Where it cannot tell yet it says what to check: allowed, but not for many.
    expect(own.filter((it) => it.verdict === 'cannot tell').length / own.length).toBeLessThan(0.25);
    expect(right / own.length, unseen ? '' : report(own)).toBeGreaterThanOrEqual(0.8);
  });
  it('in healthy enclosures no cause is named in at least 9 of 10', () => {
    const found = healthy.map((told, index) =>
      judge(caseOf({ ...told, catalogue, seed: 1000 + index, room: index % 4 === 1 })),
    );
    const named = found.filter((it) => it.verdict === 'named');
    expect(
      named.length / found.length,
      JSON.stringify(
        found.map((it) => [it.verdict, it.read, it.causes.slice(0, 2).map((own) => [own.id, own.score])]),
      ),
    ).toBeLessThanOrEqual(0.1);
  });
  it('are at least sixty', () => {
    expect(list.length + healthy.length).toBeGreaterThanOrEqual(60);
  });
});

describe('what is seen', () => {
  const NOW = Date.UTC(2026, 10, 25);
  const DAY = DAY_MS;
  const bog = box('bog-shelf');
  const line = (kind: EntryKind, ago: number, values: Partial<EntryValues> = {}) =>
    entryOf(
      { kind, values, text: '' },
      { id: `${kind} ${ago}`, design: bog.id, at: NOW - ago * DAY, changed: 0 },
    );
  const ask = (seen: readonly SignId[], log: readonly Entry[] = [], design = bog) =>
    diagnose({ design, catalogue, points: [], log, seen, isDay: () => true, now: NOW, yardstick: null });

  it('nothing seen and nothing read: nothing is said', () => {
    expect(ask([])).toEqual({
      verdict: 'nothing',
      causes: [],
      read: [],
      outside: [],
      since: null,
      next: null,
    });
  });
  it('an animal that is unwell: a veterinarian, before anything else', () => {
    const found = ask(['unwell', 'off-food', 'fogged']);
    expect(found.causes[0]!.id).toBe('vet');
    expect(found.causes[0]!.vet).toMatch(/veterinarian/);
  });
  it('off its food: a coming shed, where its sheds say so', () => {
    const sheds = [line('shed', 68), line('shed', 34)];
    expect(ask(['off-food'], sheds).causes[0]!.id).toBe('coming-shed');
    expect(ask(['off-food'], [line('shed', 36), line('shed', 2), line('move', 6)]).causes[0]!.id).toBe(
      'disturbed',
    );
  });
  it('off its food and losing weight: ill, and whom to call', () => {
    const thin = [
      ...[30, 25, 20, 15, 10].map((ago) => line('feed', ago, { refused: true })),
      line('weight', 60, { mass: 0.02 }),
      line('weight', 2, { mass: 0.016 }),
    ];
    const [first] = ask(['off-food'], thin).causes;
    expect(first).toMatchObject({ id: 'ill' });
    expect(first!.vet).toMatch(/veterinarian/);
    expect(first!.evidence.map((it) => it.words).join()).toMatch(/20 % less/);
  });
  it('listless under a UV lamp past its use: the lamp, with a veterinarian before it; under a new one it is not the lamp', () => {
    const anole = firstDesign('anolis-carolinensis', 'middle');
    const fitted = (since: string | null) => ({
      ...anole,
      climate: { ...anole.climate, devices: anole.climate.devices.map((it) => ({ ...it, since })) },
    });
    const old = ask(['listless'], [], fitted('2024-01-10')).causes;
    expect(old[0]).toMatchObject({
      id: 'uv-old',
      vet: expect.stringMatching(/veterinarian before anything/),
    });
    expect(old[0]!.evidence.map((it) => it.words).join()).toMatch(/months old: its UV is gone/);
    const score = (since: string | null) =>
      ask(['listless'], [], fitted(since)).causes.find((it) => it.id === 'uv-old')?.score ?? -Infinity;
    // A day in the life of a new lamp, and of one of which nothing is known.
    expect(score('2026-11-01')).toBeLessThan(-0.5);
    expect(score(null)).toBeGreaterThan(score('2026-11-01'));
    expect(score(null)).toBeLessThan(score('2024-01-10'));
    // Where nobody knows its age it is not the likeliest.
    expect(ask(['listless'], [], fitted(null)).causes[0]).toMatchObject({ id: 'ill' });
  });
  it('mould in a young enclosure passes; in an old one without a crew it lacks springtails', () => {
    const young = { ...bog, brief: { ...bog.brief, stage: 'growing-in' as const, since: '2026-11-01' } };
    expect(ask(['mould'], [], young).causes[0]!.id).toBe('fresh-wood');
    const old = {
      ...bog,
      brief: { ...bog.brief, stage: 'inhabited' as const, since: '2025-01-01' },
      living: { ...bog.living, crew: [] },
    };
    expect(ask(['mould'], [], old).causes[0]!.id).toBe('few-springtails');
  });
  it('every sign has a cause to tell, each with something to check and to do', () => {
    for (const { id } of SIGNS.filter((it) => !['cold', 'hot', 'dry', 'probe'].includes(it.id))) {
      const { causes } = ask([id]);
      expect(causes.length, id).toBeGreaterThan(0);
      for (const it of causes) {
        expect(it.check.length).toBeGreaterThan(10);
        expect(it.change.length).toBeGreaterThan(10);
      }
    }
  });
  it('names no medicine and no dose', () => {
    const words = SIGNS.flatMap(({ id }) =>
      ask([id]).causes.map((it) => `${it.what} ${it.check} ${it.change} ${it.vet}`),
    );
    expect(words.join(' ')).not.toMatch(/\bmg\b|\bdose|antibiotic|medicin/i);
  });
});
