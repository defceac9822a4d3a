import highsLoader from 'highs';
import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { mixOfRecipe } from '@/core/edits';
import {
  propertiesOf,
  solveMix,
  TARGETS,
  type MixAnswer,
  type MixProblem,
  type Plan,
  type Run,
} from '@/core/mixing';
import { formulate } from '@/core/mixing/formulate';
import { ask, ingredient, randomCase, shopOf, soil } from '@/core/mixing/testing';
import { glpkRun } from '../../tests/unit/glpk';
import { runWith } from './highs';

let run: Run;
let referee: Run;
beforeAll(async () => {
  run = runWith(await highsLoader());
  referee = await glpkRun();
});

const LITRE = 0.001;
function planOf(answer: MixAnswer): Plan {
  if (answer.kind !== 'solved') throw new Error(JSON.stringify(answer));
  return answer.plan;
}
const bought = (plan: Plan) =>
  Object.fromEntries(plan.bought.map((it) => [`${it.material} ${it.pack}`, it.count]));

describe('worked by hand', () => {
  // Ten litres of half and half, nothing settles: five of each. A in 4 L at 2 or 10 L at 4.50; B in 5 L at 3.
  const shop = shopOf(
    ingredient('a', {
      packs: [
        [4, 2],
        [10, 4.5],
      ],
    }),
    ingredient('b', { packs: [[5, 3]] }),
  );
  const half = soil('x', 10, { a: 1, b: 1 });

  it('whole packs: two small bags of A at 4 beat one large at 4.50; one of B', async () => {
    const plan = planOf(await solveMix(ask([half]), shop, run));
    expect(bought(plan)).toEqual({ 'a p0': 2, 'b p0': 1 });
    expect(plan.price).toBeCloseTo(7, 9);
    expect(plan.made[0]!.loose.a).toBeCloseTo(0.005, 9);
    expect(plan.leftOver.a).toBeCloseTo(0.003, 9);
    expect(plan.departure).toBeCloseTo(0, 9);
  });

  it('a tenth of tolerance makes one bag of A do: 4 of A and 6 of B need two of B, so 6 stay too dear', async () => {
    // 4 : 6 costs 2 + 6 = 8; 5 : 5 costs 4 + 3 = 7; leeway alone must not make it dearer.
    const plan = planOf(await solveMix(ask([{ ...half, tolerance: 0.1 }]), shop, run));
    expect(plan.price).toBeCloseTo(7, 9);
    // With 1 L of B on the shelf 4 : 6 costs 2 + 3 = 5.
    const shelf = planOf(
      await solveMix(ask([{ ...half, tolerance: 0.1 }], { shelf: { b: LITRE } }), shop, run),
    );
    expect(bought(shelf)).toEqual({ 'a p0': 1, 'b p0': 1 });
    expect(shelf.price).toBeCloseTo(5, 9);
    expect(shelf.fromShelf.b).toBeCloseTo(0.001, 9);
    // And the closest stays at half and half for 2 more.
    const closest = planOf(
      await solveMix(ask([{ ...half, tolerance: 0.1 }], { shelf: { b: LITRE }, goal: 'closest' }), shop, run),
    );
    expect(closest.departure).toBeCloseTo(0, 6);
    expect(closest.price).toBeCloseTo(7, 9);
  });

  it('settling and packing: 10 L placed of one that settles by a fifth with a tenth packed away takes 13.89 loose', async () => {
    const settling = shopOf(ingredient('a', { settling: 0.2, packs: [[5, 1]] }));
    const build = soil('x', 10, { a: 1 });
    const plan = planOf(
      await solveMix(ask([{ ...build, mix: { ...build.mix, packingLoss: 0.1 } }]), settling, run),
    );
    // 10 / (0.8 · 0.9) = 13.889: three bags of five.
    expect(plan.made[0]!.loose.a).toBeCloseTo(0.0138889, 6);
    expect(bought(plan)).toEqual({ 'a p0': 3 });
    expect(plan.leftOver.a).toBeCloseTo(0.0011111, 6);
  });

  it('two enclosures share a bag that each alone would have bought', async () => {
    const one = shopOf(ingredient('a', { packs: [[10, 6]] }));
    const each = planOf(await solveMix(ask([soil('x', 4, { a: 1 })]), one, run));
    const both = planOf(await solveMix(ask([soil('x', 4, { a: 1 }), soil('y', 5, { a: 1 })]), one, run));
    expect([each.price, both.price]).toEqual([6, 6]);
    expect(both.made.map((it) => it.placed)).toEqual([expect.closeTo(0.004, 9), expect.closeTo(0.005, 9)]);
  });

  it('nothing sold and three litres there: seven are short, and three is the nearest', async () => {
    const answer = await solveMix(
      ask([soil('x', 10, { a: 1 })], { shelf: { a: 3 * LITRE }, buyable: [] }),
      shop,
      run,
    );
    if (answer.kind !== 'short') throw new Error('should be short');
    expect(answer.lacks).toEqual([{ what: 'material', material: 'a', amount: expect.closeTo(0.007, 7) }]);
    expect(answer.nearest!.made[0]!.placed).toBeCloseTo(0.003, 7);
  });

  it('something like it on the shelf: the nearest mix fills the enclosure all the same', async () => {
    const build = soil('x', 10, { a: 1, b: 1 }, { besides: ['b'] });
    const answer = await solveMix(
      ask([build], { shelf: { a: 2 * LITRE, b: 20 * LITRE }, buyable: [] }),
      shop,
      run,
    );
    if (answer.kind !== 'short') throw new Error('should be short');
    expect(answer.lacks).toEqual([{ what: 'material', material: 'a', amount: expect.closeTo(0.003, 7) }]);
    expect(answer.nearest!.made[0]!.placed).toBeCloseTo(0.01, 7);
    expect(answer.nearest!.made[0]!.loose).toEqual({
      a: expect.closeTo(0.002, 7),
      b: expect.closeTo(0.008, 7),
    });
  });

  it('a budget that falls short by two says so', async () => {
    const answer = await solveMix(ask([half], { budget: 5 }), shop, run);
    if (answer.kind !== 'short') throw new Error('should be short');
    const lack = answer.lacks.reduce((sum, it) => sum + it.amount, 0);
    expect(lack).toBeGreaterThan(0);
    expect(answer.nearest!.price).toBeLessThanOrEqual(5 + 1e-9);
  });

  it('a band nothing can meet is named, with how far off it stays', async () => {
    const heavy = shopOf(ingredient('a', { density: 1000 }));
    const build = soil('x', 10, { a: 1 }, { bands: { density: { low: 200, high: 700 } } });
    const answer = await solveMix(ask([build]), heavy, run);
    if (answer.kind !== 'short') throw new Error('should be short');
    expect(answer.lacks).toEqual([
      { what: 'band', build: 'x', property: 'density', amount: expect.closeTo(300, 3) },
    ]);
    expect(answer.nearest!.made[0]!.placed).toBeCloseTo(0.01, 7);
  });

  it('a band moves the mix as far as it must: half of 1000 and half of 200 is 600, 500 wants 3 : 5', async () => {
    const two = shopOf(ingredient('a', { density: 1000 }), ingredient('b', { density: 200 }));
    const build = soil('x', 8, { a: 1, b: 1 }, { tolerance: 0.2, bands: { density: { low: 0, high: 500 } } });
    const plan = planOf(await solveMix(ask([build], { goal: 'closest' }), two, run));
    expect(plan.made[0]!.loose.a).toBeCloseTo(0.003, 6);
    expect(plan.made[0]!.loose.b).toBeCloseTo(0.005, 6);
  });

  it('peat-free writes peat as coir', async () => {
    const bog = shopOf(ingredient('peat', { peat: true }), ingredient('coir'));
    const plan = planOf(await solveMix(ask([soil('x', 10, { peat: 1 })], { peatFree: true }), bog, run));
    expect(Object.keys(plan.made[0]!.loose)).toEqual(['coir']);
  });
});

describe('over the shipped catalogue', () => {
  const forest = (told: Partial<Parameters<typeof soil>[3]> = {}) => ({
    ...soil('x', 24, {}),
    mix: mixOfRecipe('forest-five-coir', catalogue),
    ...told,
  });

  it('a recipe as written is bought as the buying list buys it', async () => {
    const plan = planOf(await solveMix(ask([forest()]), catalogue, run));
    expect(plan.departure).toBeCloseTo(0, 6);
    expect(plan.made[0]!.placed).toBeCloseTo(0.024, 6);
    expect(plan.price).toBeGreaterThan(20);
  });

  it('bands are met by what is mixed, calculated from the curves', async () => {
    const bands = { air: { low: 0.25, high: 0.3 }, capacity: { low: 0.5, high: 0.58 } };
    const besides = ['medium-orchid-bark', 'coir-chips', 'fine-pumice'];
    const plan = planOf(
      await solveMix(ask([forest({ tolerance: 0.3, besides, bands })], { goal: 'closest' }), catalogue, run),
    );
    const got = propertiesOf(plan.made[0]!.mix, catalogue);
    expect(got.air).toBeGreaterThanOrEqual(0.25 - 1e-4);
    expect(got.air).toBeLessThanOrEqual(0.3 + 1e-4);
    expect(got.capacity).toBeLessThanOrEqual(0.58 + 1e-4);
  });

  it('four litres of a bag are stretched to twelve with at most four more, and behave much alike', async () => {
    const besides = [
      ...['coir', 'tree-fern-fibre', 'fine-orchid-bark', 'charcoal', 'topsoil', 'washed-sand'],
      ...['leaf-mould', 'perlite', 'coir-chips', 'bark-fines'],
    ];
    const problem: MixProblem = ask(
      [
        {
          ...soil('x', 12, { 'ready-forest': 1 }),
          besides,
          mix: { recipe: null, parts: [{ material: 'ready-forest', parts: 1 }], packingLoss: 0.05 },
        },
      ],
      { goal: 'stretch', stretch: { build: 'x', material: 'ready-forest', have: 4 * LITRE, most: 4 } },
    );
    const plan = planOf(await solveMix(problem, catalogue, run));
    const { loose, mix } = plan.made[0]!;
    expect(loose['ready-forest']).toBeCloseTo(0.004, 7);
    expect(Object.keys(loose).length).toBeLessThanOrEqual(5);
    const alone = propertiesOf(
      { recipe: null, parts: [{ material: 'ready-forest', parts: 1 }], packingLoss: 0 },
      catalogue,
    );
    const made = propertiesOf(mix, catalogue);
    for (const property of ['air', 'capacity'] as const) {
      expect(Math.abs(made[property]! - alone[property]!), property).toBeLessThan(0.03);
    }
    expect(Math.abs(made.ph! - alone.ph!)).toBeLessThan(0.3);
  });

  it('the shelf is used up before anything is bought', async () => {
    const shelf = { 'fine-orchid-bark': 0.006, 'medium-orchid-bark': 0.004, charcoal: 0.0035 };
    const build = forest({ tolerance: 0.15, besides: ['medium-orchid-bark'] });
    const plan = planOf(await solveMix(ask([build], { goal: 'shelf', shelf }), catalogue, run));
    // All of the odd bark the leeway lets in, and all of the rest.
    expect(plan.fromShelf['fine-orchid-bark']).toBeCloseTo(0.006, 6);
    expect(plan.fromShelf['medium-orchid-bark']).toBeCloseTo(0.004, 6);
  });

  it('the targets of every family can be asked for', async () => {
    for (const [family, targets] of Object.entries(TARGETS)) {
      const bands = Object.fromEntries(
        Object.entries(targets)
          .filter(([property]) => property !== 'available')
          .map(([property, it]) => [property, it.range]),
      );
      const form = formulate(ask([forest({ bands })]), catalogue);
      expect(form.builder.program([]).rows.length, family).toBeGreaterThan(20);
    }
  });
});

describe('against GLPK', () => {
  it(
    '500 random questions: the same optimum within 1e-6, and the same ones impossible',
    { timeout: 240_000 },
    async () => {
      let solved = 0;
      let impossible = 0;
      for (let seed = 1; seed <= 500; seed += 1) {
        const { catalogue: shop, problem } = randomCase(seed, {
          ingredients: 5,
          packs: 2,
          builds: 1 + (seed % 2),
        });
        const form = formulate(problem, shop);
        const objective =
          problem.goal === 'cheapest'
            ? form.packs.map((it) => [it.column, it.price] as const)
            : problem.goal === 'closest'
              ? form.departures.map((column) => [column, 1] as const)
              : [...form.fromShelf.values()].map((column) => [column, -1] as const);
        const program = form.builder.program(objective);
        const ours = await run(program);
        const theirs = await referee(program);
        expect(ours.status, `seed ${seed}`).toBe(theirs.status);
        if (ours.status === 'optimal' && theirs.status === 'optimal') {
          solved += 1;
          expect(
            Math.abs(ours.objective - theirs.objective),
            `seed ${seed}: ${ours.objective} ${theirs.objective}`,
          ).toBeLessThanOrEqual(1e-6 * Math.max(1, Math.abs(theirs.objective)));
        } else impossible += 1;
      }
      // Neither kind is missing from the sample.
      expect(solved).toBeGreaterThan(300);
      expect(impossible).toBeGreaterThan(20);
    },
  );
});

describe('whatever is asked', () => {
  const seed = fc.integer({ min: 1000, max: 100_000 });

  it('nothing is bought that is not needed: any one pack less and it cannot be filled', async () => {
    await fc.assert(
      fc.asyncProperty(seed, async (value) => {
        const { catalogue: shop, problem } = randomCase(value, { ingredients: 4, packs: 2, builds: 1 });
        const answer = await solveMix({ ...problem, goal: 'cheapest' }, shop, run);
        if (answer.kind !== 'solved') return true;
        const { plan } = answer;
        return plan.bought.every(({ material, pack }) => {
          const { volume } = shop.materials
            .find((it) => it.id === material)!
            .packs.find((it) => it.id === pack)! as {
            volume: number;
          };
          // What is left over is less than any pack bought of it.
          return (plan.leftOver[material] ?? 0) < volume - 1e-9;
        });
      }),
      { numRuns: 60 },
    );
  });

  it('what goes in is what is bought and taken; every enclosure is filled; no share strays past its tolerance', async () => {
    await fc.assert(
      fc.asyncProperty(seed, async (value) => {
        const { catalogue: shop, problem } = randomCase(value, { ingredients: 5, packs: 2, builds: 2 });
        const answer = await solveMix(problem, shop, run);
        if (answer.kind !== 'solved') return true;
        const { plan } = answer;
        const used = new Map<string, number>();
        for (const made of plan.made) {
          const build = problem.builds.find((it) => it.id === made.build)!;
          expect(made.placed).toBeCloseTo(build.placed, 6);
          const whole = Object.values(made.loose).reduce((sum, it) => sum + it, 0);
          const parts = build.mix.parts.reduce((sum, it) => sum + it.parts, 0);
          for (const [material, volume] of Object.entries(made.loose)) {
            used.set(material, (used.get(material) ?? 0) + volume);
            const wanted = (build.mix.parts.find((it) => it.material === material)?.parts ?? 0) / parts;
            expect(Math.abs(volume / whole - wanted)).toBeLessThanOrEqual(build.tolerance + 1e-5);
          }
        }
        for (const [material, volume] of used) {
          const packs = plan.bought
            .filter((it) => it.material === material)
            .reduce((sum, it) => {
              const pack = shop.materials
                .find((row) => row.id === material)!
                .packs.find((p) => p.id === it.pack)!;
              return sum + it.count * (pack as { volume: number }).volume;
            }, 0);
          expect(packs + (plan.fromShelf[material] ?? 0) - (plan.leftOver[material] ?? 0)).toBeCloseTo(
            volume,
            6,
          );
          expect(plan.fromShelf[material] ?? 0).toBeLessThanOrEqual((problem.shelf[material] ?? 0) + 1e-9);
        }
        return true;
      }),
      { numRuns: 60 },
    );
  });

  it('the same question has the same answer', async () => {
    for (const value of [3, 77, 1234]) {
      const { catalogue: shop, problem } = randomCase(value, { ingredients: 6, packs: 3, builds: 2 });
      const [once, again] = [await solveMix(problem, shop, run), await solveMix(problem, shop, run)];
      expect(again).toEqual(once);
    }
  });

  it('progress goes up step by step, from open to closed', async () => {
    const { catalogue: shop, problem } = randomCase(5, { ingredients: 5, packs: 2, builds: 2 });
    const heard: { step: number; of: number; gap: number }[] = [];
    await solveMix(
      { ...problem, buyable: null, budget: null, builds: problem.builds.map((it) => ({ ...it, bands: {} })) },
      shop,
      run,
      (it) => heard.push(it),
    );
    expect(heard.length).toBeGreaterThan(2);
    for (const [index, it] of heard.entries()) {
      expect(it.gap).toBeGreaterThanOrEqual(0);
      expect(it.gap).toBeLessThanOrEqual(1);
      expect(it.step).toBeGreaterThanOrEqual(heard[index - 1]?.step ?? 0);
      expect(it.step).toBeLessThanOrEqual(it.of);
    }
    expect(heard.at(-1)).toMatchObject({ gap: 0 });
  });
});
