import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { rules, works } from '@/catalogue/works';
import { findAnimal } from '../catalogue';
import { loadOf, RATES, reptileFmr, runWater, unionised, wasteOf, type NitrogenInput } from '.';

const animal = (id: string) => findAnimal(catalogue, id)!;

describe('metabolism', () => {
  it('of reptiles by Nagy 2001: 0.196 M^0.889 kJ a day, M in g', () => {
    // Worked by hand from the equation: log10 is −0.7077 + 0.889 log10 M.
    for (const [grams, kj] of [
      [1, 0.196],
      [10, 1.518],
      [100, 11.757],
      [1000, 91.04],
    ] as const)
      expect(reptileFmr(grams)).toBeCloseTo(kj, kj < 1 ? 6 : 2);
  });
  it('is published for reptiles, and estimated by kin for amphibians and invertebrates', () => {
    for (const row of catalogue.animals) {
      const { basis, source } = wasteOf(row);
      const reptile = ['gecko', 'lizard', 'snake', 'tortoise'].includes(row.kind);
      expect(basis, row.english).toBe(reptile ? 'published' : 'estimated');
      expect(source).toBe(reptile ? 'nagy-2001' : 'kin');
      expect([...works, ...rules].some((it) => it.id === source)).toBe(true);
    }
  });
  it('what comes out is less than what goes in; frogs eat less than geckos of their mass', () => {
    for (const row of catalogue.animals) {
      const { eats, droppings, nitrogen } = wasteOf(row);
      expect(droppings, row.english).toBeLessThan(eats);
      expect(nitrogen).toBeLessThan(eats);
      // Half a thousandth to a twentieth of its mass a day.
      const mass = (row.mass.value.low + row.mass.value.high) / 2;
      expect(eats / mass, row.english).toBeGreaterThan(0.0003);
      expect(eats / mass, row.english).toBeLessThan(0.05);
    }
    expect(wasteOf(animal('theloderma-corticale'), 0.02).eats).toBeLessThan(
      wasteOf(animal('eublepharis-macularius'), 0.02).eats,
    );
  });
});

describe('the load on crew and soil', () => {
  const crew = [{ kind: catalogue.living.crew.find((it) => it.id === 'porcellio-laevis')!, adults: 60 }];
  const asked = {
    waste: wasteOf(animal('eublepharis-macularius')),
    count: 1,
    spotClean: 0.5,
    floor: 0.3,
    wetness: 0.3,
    leaves: 0.1,
    crew,
  };
  it('rises with animals, falls with crew, floor and lifting out', () => {
    const { load } = loadOf(asked);
    expect(loadOf({ ...asked, count: 2 }).load).toBeCloseTo(load * 2, 12);
    expect(loadOf({ ...asked, spotClean: 0.8 }).load).toBeCloseTo(load * 0.4, 12);
    expect(loadOf({ ...asked, spotClean: 1 }).load).toBe(0);
    expect(loadOf({ ...asked, floor: 0.6 }).load).toBeLessThan(load);
    expect(loadOf({ ...asked, crew: [] }).load).toBeGreaterThan(load);
    expect(loadOf({ ...asked, wetness: 0.01 }).load).toBeGreaterThan(load);
  });
});

describe('water', () => {
  it('ammonia oxidisers grow at 15 and 20 °C as the nitrogen control manual has it (EPA 1975: 0.47 e^0.098(T − 15))', () => {
    for (const t of [12, 15, 18, 20, 24]) {
      const published = 0.47 * Math.exp(0.098 * (t - 15));
      expect(RATES.ammonia(t) / published, `${t} °C`).toBeGreaterThan(0.96);
      expect(RATES.ammonia(t) / published).toBeLessThan(1.04);
    }
  });
  it('un-ionised ammonia as the published table has it (Emerson et al. 1975)', () => {
    for (const [ph, t, share] of [
      [7, 25, 0.00566],
      [8, 25, 0.0538],
      [9, 25, 0.363],
      [8, 20, 0.0382],
      [7.5, 15, 0.00859],
    ] as const)
      expect(unionised(ph, t) / share, `pH ${ph}, ${t} °C`).toBeCloseTo(1, 2);
  });

  const pool: NitrogenInput = {
    volume: 0.02,
    temperature: 22,
    nitrogen: 4e-6,
    filter: 0.0004,
    plants: 0,
    change: 0.25,
    everyDays: 7,
    seeded: false,
    days: 90,
  };
  it('nitrogen is neither made nor lost', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.002, max: 0.3, noNaN: true }),
        fc.double({ min: 12, max: 28, noNaN: true }),
        fc.double({ min: 1e-7, max: 2e-5, noNaN: true }),
        fc.double({ min: 0, max: 1e-5, noNaN: true }),
        fc.double({ min: 0, max: 0.9, noNaN: true }),
        (volume, temperature, nitrogen, plants, change) => {
          const { balance } = runWater({ ...pool, volume, temperature, nitrogen, plants, change, days: 40 });
          expect(Math.abs(balance.in - balance.out - balance.there)).toBeLessThan(1e-9 * balance.in);
        },
      ),
      { numRuns: 40 },
    );
  });
  it('ammonia peaks first, then nitrite, then both are gone; a new filter takes weeks, a seeded one days', () => {
    const { day, ammonia, nitrite, nitrate, ready, ripe } = runWater(pool);
    const peak = (of: readonly number[]): number => day[of.indexOf(Math.max(...of))]!;
    expect(peak(ammonia)).toBeLessThan(peak(nitrite));
    expect(nitrate.at(-1)!).toBeGreaterThan(ammonia.at(-1)! * 5);
    // Common practice: four to eight weeks.
    expect(ready).toBeGreaterThanOrEqual(14);
    expect(ready).toBeLessThanOrEqual(60);
    expect(ripe[0]).toBeLessThan(0.1);
    expect(ripe.at(-1)).toBeGreaterThan(0.7);
    expect(runWater({ ...pool, seeded: true }).ready ?? 0).toBeLessThan(ready!);
  });
  it('is ready on no first day: seeded or planted, it is fed and tested for a week or two', () => {
    // Its water never turns bad, and would have been called ready on day 0.
    const seeded = runWater({ ...pool, seeded: true });
    expect(Math.max(...seeded.nitrite)).toBeLessThan(0.2);
    expect(seeded.ready).toBe(7);
    const planted = runWater({ ...pool, plants: pool.nitrogen * 5 });
    expect(Math.max(...planted.ammonia)).toBeLessThan(0.3);
    expect(planted.ready).toBe(14);
  });
  it('a filter shortens the ripening by days, a larger one by no less', () => {
    const readyWith = (filter: number): number => runWater({ ...pool, filter }).ready!;
    const [bare, small, large] = [0, 0.0003, 0.002].map(readyWith);
    expect(bare! - small!).toBeGreaterThanOrEqual(2);
    expect(bare! - small!).toBeLessThan(10);
    expect(large!).toBeLessThanOrEqual(small!);
  });
  it('in colder water nitrite peaks later; more animals leave more nitrate; larger changes less', () => {
    const peaks = (temperature: number): number => {
      const { nitrite } = runWater({ ...pool, temperature });
      return nitrite.indexOf(Math.max(...nitrite));
    };
    expect(peaks(16)).toBeGreaterThan(peaks(22));
    expect(peaks(22)).toBeGreaterThanOrEqual(peaks(25));
    const end = (told: Partial<NitrogenInput>): number => runWater({ ...pool, ...told }).nitrate.at(-1)!;
    expect(end({ nitrogen: 8e-6 })).toBeGreaterThan(end({}));
    expect(end({ change: 0.5 })).toBeLessThan(end({}));
    expect(end({ plants: 3e-6 })).toBeLessThan(end({}));
  });
});

describe('droppings', () => {
  it('are a share of the dry food by diet: a fifth of insects, 0.45 of plants, 0.15 of vertebrates (from memory)', () => {
    for (const [id, share] of [
      ['eublepharis-macularius', 0.2],
      ['testudo-hermanni', 0.45],
      ['pantherophis-guttatus', 0.15],
    ] as const) {
      const { eats, droppings } = wasteOf(animal(id));
      expect(droppings / eats, id).toBeCloseTo(share, 12);
    }
    // 50 g by hand: 0.196 · 50^0.889 = 6.348 kJ free, half of it kept, 18 kJ to the gram of insects: 0.1763 g.
    const { eats, droppings } = wasteOf(animal('eublepharis-macularius'), 0.05);
    expect(eats).toBeCloseTo(1.7633e-4, 8);
    expect(droppings).toBeCloseTo(3.5267e-5, 9);
  });
});
