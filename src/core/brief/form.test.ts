import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { assess } from '../assess';
import { DESIGN_VERSION, migrate, type Design } from '../document';
import { applyEdit } from '../edits';
import { judgeUv } from '../fitting/uv';
import { animalIn, animalOn, formOf, grownIn } from '.';

const row = (id: string) => catalogue.animals.find((it) => it.id === id)!;
const kept = (id: string, company: Partial<Design['living']['company']>): Design => {
  const design = firstDesign(id);
  return applyEdit(
    design,
    { edit: 'setLiving', change: { company: { ...design.living.company, ...company } } },
    catalogue,
  );
};
const SAND_BOA = 'eryx-colubrinus';

describe('a species as those of it that are kept', () => {
  it('of one sex alone has the body of that sex: length, mass, and girth as its length', () => {
    // A male sand boa of 40 to 55 cm, where its kind is 40 to 80: 47.5 of 60 cm in the middle.
    const male = animalIn(kept(SAND_BOA, { males: 1 }), catalogue)!;
    expect(male.length.value).toEqual({ low: 0.4, high: 0.55 });
    expect(male.mass.value).toEqual({ low: 0.08, high: 0.15 });
    expect(male.girth!.value).toBeCloseTo((0.03 * 47.5) / 60, 12);
    expect(male.space).toBe(row(SAND_BOA).space);
    const female = animalIn(kept(SAND_BOA, { females: 2 }), catalogue)!;
    expect(female.length.value).toEqual({ low: 0.6, high: 0.8 });
  });
  it('of both, or of sexes nobody told, is the row itself, and so is one whose sexes are alike', () => {
    expect(grownIn(kept(SAND_BOA, { males: 1, females: 1 }), catalogue)).toBe(row(SAND_BOA));
    expect(grownIn(kept(SAND_BOA, {}), catalogue)).toBe(row(SAND_BOA));
    expect(grownIn(kept('correlophus-ciliatus', { males: 1 }), catalogue)).toBe(row('correlophus-ciliatus'));
  });
  it('a young one grows to the size of its sex', () => {
    const young = animalIn(kept(SAND_BOA, { males: 1, ageMonths: 30 }), catalogue)!;
    expect(young.length.value.high).toBe(0.55);
    const half = animalIn(kept(SAND_BOA, { males: 1, ageMonths: 6 }), catalogue)!;
    expect(half.length.value.high).toBeLessThan(0.55);
    expect(half.length.value.high).toBeGreaterThan(0.18);
  });
  it('lives as long as its sex where one lives much longer', () => {
    const years = (males: number, females: number) =>
      grownIn(kept('brachypelma-hamorii', { males, females }), catalogue)!.growing!.years.value;
    expect([years(1, 0), years(0, 1), years(0, 0)]).toEqual([7, 25, 25]);
  });
  it('every sex of every row lies within the sizes of its row', () => {
    const rows = catalogue.animals.filter((it) => it.sexes);
    expect(rows).toHaveLength(28);
    for (const { english, length, mass, sexes } of rows)
      for (const one of [sexes!.value.female, sexes!.value.male]) {
        expect(one.length.low, english).toBeGreaterThanOrEqual(length.value.low);
        expect(one.length.high, english).toBeLessThanOrEqual(length.value.high);
        expect(one.mass.low, english).toBeGreaterThanOrEqual(mass.value.low);
        expect(one.mass.high, english).toBeLessThanOrEqual(mass.value.high);
      }
  });
});

describe('a form that bears less light', () => {
  it('is of a UV zone lower, in judging and on each day, and never under the first', () => {
    const dragon = kept('pogona-vitticeps', { lightSensitive: true });
    expect(animalIn(dragon, catalogue)!.climate.uvZone.value).toBe(2);
    expect(animalOn(dragon, catalogue, '2026-11-18')!.climate.uvZone.value).toBe(2);
    expect(formOf(row('python-regius'), dragon.living.company).climate.uvZone.value).toBe(1);
    const uv = (design: Design) =>
      judgeUv(design, animalIn(design, catalogue)!, assess(design, catalogue).ground, catalogue)!;
    // Zones by Ferguson et al. 2010: the brightest of zone 2 is 1.1 to 3.0, of zone 3 2.9 to 7.4.
    expect(uv(kept('pogona-vitticeps', {})).wanted).toEqual({ low: 2.9, high: 7.4 });
    expect(uv(dragon).wanted).toEqual({ low: 1.1, high: 3 });
  });
});

it('a document from before is of no such form, and nothing in it is sown', () => {
  const { company, ...living } = firstDesign('pogona-vitticeps').living;
  const { males, females, hatched, ageMonths } = company;
  const before = { males, females, hatched, ageMonths };
  const plants = [{ id: 'a', name: 'Fern' }];
  const up = migrate({
    ...firstDesign('pogona-vitticeps'),
    version: 12,
    living: { ...living, company: before, plants },
  } as never);
  expect(up).toMatchObject({
    ok: true,
    document: {
      version: DESIGN_VERSION,
      living: { company: { lightSensitive: false }, plants: [{ id: 'a', name: 'Fern', sown: false }] },
    },
  });
});
