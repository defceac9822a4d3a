import fc from 'fast-check';
import { EigenvalueDecomposition, Matrix } from 'ml-matrix';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { applyEdit } from '../edits';
import { layGround } from '../ground';
import { seededRandom } from '../random';
import {
  carryingCapacity,
  chainOf,
  crewFitAt,
  crewHomeOf,
  crewPlaces,
  cultureOf,
  growthRate,
  guessSurvey,
  immature,
  leftAfter,
  matrixOf,
  moistAt,
  paceAt,
  proposeCrew,
  runCrew,
  sampleCrew,
  steadyLitter,
  warmed,
} from '.';
import { homeFor, placeLike } from './testing';

const kind = (id: string) => catalogue.living.crew.find((it) => it.id === id)!;
const SPRINGTAIL = kind('folsomia-candida');
const kinds = catalogue.living.crew.filter((it) => it.wanted);

describe('the age chain', () => {
  it('grows by the dominant eigenvalue of its own matrix (ml-matrix)', () => {
    const short = kinds.filter((it) => immature(chainOf(it)) <= 110);
    expect(short.length).toBeGreaterThan(10);
    for (const it of short) {
      const chain = chainOf(it);
      const { realEigenvalues } = new EigenvalueDecomposition(new Matrix(matrixOf(chain)));
      expect(growthRate(chain), it.english).toBeCloseTo(Math.max(...realEigenvalues), 9);
    }
  });
  it('and so does the population, once its ages have settled, while there is room for all', () => {
    for (const it of [SPRINGTAIL, kind('trichorhina-tomentosa'), kind('pycnoscelus-surinamensis')]) {
      const home = homeFor(it, { floor: 1e14, waste: 1e9, supplement: 1e9 });
      // From next to nothing, so that it grows for many generations before it feels how full the place is.
      const run = runCrew({ kind: it, home, start: 1e-30, months: 120, every: 1 });
      // Less room is felt only when the place fills.
      const half = run.carryingCapacity * 1e-9;
      const at = run.adults.findIndex((adults) => adults > half);
      const days = at < 0 ? run.adults.length - 2 : at;
      const rate = (run.adults[days] ?? 0) / (run.adults[days - 1] ?? 1);
      expect(rate, it.english).toBeCloseTo(growthRate(chainOf(it)), 6);
    }
  });
  it('a newborn matures after its days: two bare stages, which let some mature at once, grow faster', () => {
    const chain = { eggDays: 0, youngDays: 21, bears: 1.5, youngKeep: 0.97, adultKeep: 0.98 };
    // Young stay young but for one in 21 a day.
    const leaves = 1 / 21;
    const two = new Matrix([
      [chain.youngKeep * (1 - leaves), chain.bears],
      [chain.youngKeep * leaves, chain.adultKeep],
    ]);
    const bare = Math.max(...new EigenvalueDecomposition(two).realEigenvalues);
    expect(bare).toBeGreaterThan(growthRate(chain) + 0.05);
  });
  it('stands still where one adult just replaces itself', () => {
    // b·y^D = 1 − a gives λ = 1.
    const y = 0.99 ** 10;
    expect(
      growthRate({ eggDays: 4, youngDays: 6, bears: 0.02 / y, youngKeep: 0.99, adultKeep: 0.98 }),
    ).toBeCloseTo(1, 10);
  });
});

describe('springtails against the OECD 232 criterion', () => {
  it('10 juveniles aged 9 to 12 days, at 20 °C, leave at least 100 young after 28 days', () => {
    for (const days of [9, 10, 11, 12]) {
      const home = homeFor(SPRINGTAIL, { temperature: new Array<number>(12).fill(20) });
      const run = runCrew({
        kind: SPRINGTAIL,
        home,
        start: 0,
        young: { count: 10, days },
        months: 1,
        every: 1,
      });
      expect(run.young[28], `aged ${days}`).toBeGreaterThanOrEqual(100);
      // And no more than such tests have been seen to give (from memory: some 2000).
      expect(run.young[28]).toBeLessThan(2000);
      // None of them breeds at once.
      expect(run.eggs[3]).toBe(0);
    }
  });
});

describe('litter (Olson 1963)', () => {
  it('95 % is gone at 3/k, half at 0.693/k; fall ÷ k stands in the end', () => {
    expect(leftAfter(1, 0.5, 3 / 0.5)).toBeCloseTo(0.05, 2);
    expect(leftAfter(2, 0.25, 0.693147 / 0.25)).toBeCloseTo(1, 5);
    expect(steadyLitter(1, 0.25)).toBe(4);
  });
  it('goes twice as fast 10 K warmer', () => {
    expect(warmed(0.9, 30)).toBeCloseTo(1.8, 12);
    expect(warmed(0.9, 20)).toBe(0.9);
  });
});

describe('a crew in its home', () => {
  it('comes to what the place carries when nothing hunts it', () => {
    for (const it of kinds) {
      const home = homeFor(it);
      const run = runCrew({ kind: it, home, start: 200, months: 120 });
      if (run.carryingCapacity < 20) continue;
      expect(run.adults.at(-1)! / run.carryingCapacity, it.english).toBeGreaterThan(0.85);
      expect(run.adults.at(-1)! / run.carryingCapacity, it.english).toBeLessThan(1.15);
    }
  });
  it('more predators never give more crew, at no time and of no age', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...kinds),
        fc.integer({ min: 2, max: 400 }),
        fc.integer({ min: 0, max: 8 }),
        fc.integer({ min: 1, max: 8 }),
        fc.double({ min: 0.01, max: 0.2, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (it, start, count, more, searches, shelter) => {
          const hunters = (n: number) => [
            { count: n, appetite: 1e-4, searches, largest: 0.03, quiet: 0, indoors: false },
          ];
          const of = (n: number) =>
            runCrew({ kind: it, home: homeFor(it, { shelter, hunters: hunters(n) }), start, months: 14 });
          const [few, many] = [of(count), of(count + more)];
          few.day.forEach((_, i) => {
            expect(many.adults[i]!).toBeLessThanOrEqual(few.adults[i]! * (1 + 1e-9) + 1e-9);
            expect(many.young[i]! + many.eggs[i]!).toBeLessThanOrEqual(
              (few.young[i]! + few.eggs[i]!) * (1 + 1e-9) + 1e-9,
            );
          });
        },
      ),
      { numRuns: 120 },
    );
  });
  it('more let in never leaves fewer; numbers stay finite and never go under nothing', () => {
    fc.assert(
      fc.property(fc.constantFrom(...kinds), fc.integer({ min: 1, max: 300 }), (it, start) => {
        const home = homeFor(it, {
          hunters: [{ count: 2, appetite: 1e-4, searches: 0.03, largest: 0.05, quiet: 0, indoors: false }],
        });
        const less = runCrew({ kind: it, home, start, months: 12 });
        const more = runCrew({ kind: it, home, start: start * 2, months: 12 });
        less.adults.forEach((adults, i) => {
          expect(adults).toBeGreaterThanOrEqual(0);
          expect(Number.isFinite(adults)).toBe(true);
          expect(more.adults[i]!).toBeGreaterThanOrEqual(adults * (1 - 1e-9));
        });
      }),
      { numRuns: 80 },
    );
  });
  it('too cold, too dry, too shallow or without air it carries fewer, and says what holds it', () => {
    const pill = kind('armadillidium-vulgare');
    const good = carryingCapacity(pill, homeFor(pill)).adults;
    const held = (told: Parameters<typeof homeFor>[1]) => carryingCapacity(pill, homeFor(pill, told));
    expect(held({ wetness: 0.02 })).toMatchObject({ limit: 'moisture' });
    expect(held({ depth: 0.01 })).toMatchObject({ limit: 'depth' });
    expect(held({ air: 0 })).toMatchObject({ limit: 'air' });
    expect(held({ temperature: new Array<number>(12).fill(6) })).toMatchObject({ limit: 'warmth' });
    expect(held({ litter: 0, litterK: 0.001 })).toMatchObject({ limit: 'food' });
    for (const told of [{ wetness: 0.02 }, { depth: 0.01 }, { air: 0 }, { litter: 0 }])
      expect(held(told).adults).toBeLessThan(good);
  });
  it('the pace rises to its best and is nothing beyond its ends; moisture likewise', () => {
    const range = { low: 5, best: 20, high: 30 };
    expect([5, 12.5, 20, 25, 30, 40].map((t) => paceAt(t, range))).toEqual([0, 0.5, 1, 0.5, 0, 0]);
    expect(
      [0.1, 0.2, 0.3, 0.6, 0.7, 0.9].map((w) => +moistAt(w, { low: 0.3, high: 0.6 }).toFixed(9)),
    ).toEqual([0, 0.5, 1, 1, 0.5, 0]);
  });
  it('sampled years are the same for the same seed, and straddle the expected course', () => {
    const asked = { kind: SPRINGTAIL, home: homeFor(SPRINGTAIL), start: 50, months: 12 };
    const one = sampleCrew(asked, 40, 3);
    expect(sampleCrew(asked, 40, 3)).toEqual(one);
    expect(sampleCrew(asked, 40, 4)).not.toEqual(one);
    const expected = runCrew(asked).adults.at(-1)!;
    expect(one.low).toBeLessThan(expected * 1.2);
    expect(one.high).toBeGreaterThan(expected * 0.8);
    expect(one.collapse).toBe(0);
  });
  it('a handful that is hunted out is told so', () => {
    const it = kind('armadillidium-vulgare');
    const home = homeFor(it, {
      hunters: [{ count: 6, appetite: 5e-3, searches: 0.2, largest: 0.05, quiet: 0, indoors: false }],
      shelter: 0,
    });
    const run = runCrew({ kind: it, home, start: 12, months: 24 });
    expect(run.gone).not.toBeNull();
    expect(run.stands).toBeNull();
    expect(run.eaten).toBeGreaterThan(5);
    expect(sampleCrew({ kind: it, home, start: 12, months: 24 }, 30).collapse).toBeGreaterThan(0.9);
  });
});

describe('a crew for an enclosure', () => {
  it('is of the approach that is followed, of wanted species that live there, and none for the approach of none', () => {
    for (const design of demoDesigns(catalogue)) {
      const ground = layGround(design, catalogue);
      const survey = guessSurvey(design, ground, catalogue);
      for (const school of ['springtails-isopods', 'beetles', 'roaches-earwigs', 'none'] as const) {
        const own = applyEdit(design, { edit: 'setLiving', change: { school } }, catalogue);
        const home = crewHomeOf(own, ground, catalogue, survey);
        const crew = proposeCrew(own, home, catalogue);
        const groups = crew.map((it) => kind(it.kind).group);
        if (school === 'none') expect(crew).toEqual([]);
        else {
          expect(groups, design.name).toContain('springtail');
          expect(groups).toContain('isopod');
        }
        expect(groups.includes('beetle'), `${design.name} ${school}`).toBe(
          school === 'beetles' || (school === 'roaches-earwigs' && groups.includes('beetle')),
        );
        expect(new Set(crew.map((it) => it.kind)).size).toBe(crew.length);
        for (const it of crew) {
          expect(kind(it.kind).wanted).toBe(true);
          expect(kind(it.kind).escapes).toBe(false);
          expect(carryingCapacity(kind(it.kind), home).adults).toBeGreaterThan(0);
        }
      }
    }
  });
});

describe('the places of a crew', () => {
  const damp = kind('trichorhina-tomentosa');
  it('are those whose moisture, temperature and depth it tolerates; the worst of them counts', () => {
    const good = { wetness: 0.6, day: 25, night: 22, cold: 20 };
    expect(crewFitAt(damp, placeLike({}, good)).value).toBe(1);
    expect(crewFitAt(damp, placeLike({}, { ...good, wetness: 0.1 }))).toEqual({ value: 0, by: 'moisture' });
    expect(crewFitAt(damp, placeLike({ depth: 0.015 }, good))).toEqual({ value: 0.5, by: 'depth' });
    expect(crewFitAt(damp, placeLike({}, { ...good, cold: 2 }))).toEqual({ value: 0, by: 'warmth' });
    expect(crewFitAt(damp, placeLike({ kind: 'wall' }, good)).value).toBe(0);
  });
  it('are counted, and the best is told', () => {
    const wet = placeLike({ id: 'wet' }, { wetness: 0.6, day: 25, night: 22, cold: 20 });
    const dry = placeLike({ id: 'dry' }, { wetness: 0.05 });
    const rock = placeLike({ id: 'rock', kind: 'piece' });
    expect(crewPlaces(damp, [dry, wet, rock])).toMatchObject({ lives: 1, of: 2, best: { id: 'wet' } });
    expect(crewPlaces(damp, [dry])).toMatchObject({ lives: 0, by: 'moisture' });
  });
});

describe('cultures', () => {
  const asked = {
    kind: SPRINGTAIL,
    start: 200,
    floor: 0.03,
    tubs: 1,
    temperature: 22,
    wanted: 800,
    days: 70,
  } as const;
  it('more tubs and more time never give less; what covers says so', () => {
    let last = 0;
    for (const tubs of [1, 2, 4, 8]) {
      const answer = cultureOf({ ...asked, tubs });
      expect(answer.toTake).toBeGreaterThanOrEqual(last);
      expect(answer.covers).toBe(answer.toTake >= asked.wanted);
      last = answer.toTake;
    }
    expect(cultureOf({ ...asked, days: 140 }).toTake).toBeGreaterThanOrEqual(cultureOf(asked).toTake);
  });
  it('the tubs it says are needed do give as much in the end, and one fewer does not', () => {
    const wanted = 5000;
    const answer = cultureOf({ ...asked, wanted });
    const tubs = answer.tubsNeeded!;
    expect(tubs).toBeGreaterThan(1);
    expect(cultureOf({ ...asked, wanted, tubs, days: 700 }).covers).toBe(true);
    expect(cultureOf({ ...asked, wanted, tubs: tubs - 1, days: 700 }).covers).toBe(false);
  });
  it('in the cold nothing comes of it', () => {
    expect(cultureOf({ ...asked, temperature: 4 })).toMatchObject({ covers: false, firstHarvest: null });
  });
});

describe('many sampled courses', () => {
  it('tell the tenth and the ninetieth of a hundred ends, and how many died out', () => {
    const row = kind('folsomia-candida');
    const input = { kind: row, start: 6, home: homeFor(row), months: 2 };
    const ends = Array.from({ length: 100 }, (_, i) => runCrew({ ...input, random: seededRandom(7000 + i) }));
    const sorted = ends.map((it) => it.adults.at(-1)!).sort((a, b) => a - b);
    const risk = sampleCrew(input, 100, 7);
    expect(risk.low).toBe(sorted[10]);
    expect(risk.high).toBe(sorted[90]);
    expect(risk.low).toBeLessThan(sorted[25]!);
    expect(risk.collapse).toBe(ends.filter((it) => it.gone !== null).length / 100);
  });
});
