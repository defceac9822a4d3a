import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import type { Survey } from '../living/survey';
import { nestMoisture } from './nest';

const dragon = catalogue.animals.find((it) => it.id === 'pogona-vitticeps')!;
const kept = (males: number, females: number, ageMonths: number | null = null) => {
  const design = firstDesign(dragon.id);
  return {
    ...design,
    living: { ...design.living, company: { ...design.living.company, males, females, ageMonths } },
  };
};
/** The year as the soil of both halves holds so much of its pores, season by season. */
const year = (...roots: readonly number[]): Survey => ({
  guessed: false,
  seasons: roots.map((root, i) => ({
    season: `season ${i}`,
    air: [] as never,
    lit: {},
    wetness: [
      [root, root],
      [root, root],
    ],
    soil: [20, 20],
  })),
});
const codes = (survey: Survey, design = kept(0, 1)) =>
  nestMoisture(design, dragon, survey).map((it) => it.code);

describe('soil to lay in', () => {
  it('is too dry where no season has 15 % of its pores full, too wet where none has less than 40', () => {
    expect(codes(year(0.05, 0.1, 0.14, 0.12))).toEqual(['nest-too-dry']);
    expect(codes(year(0.05, 0.1, 0.16, 0.12))).toEqual([]);
    expect(codes(year(0.45, 0.5, 0.6, 0.41))).toEqual(['nest-too-wet']);
    expect(codes(year(0.45, 0.5, 0.6, 0.4))).toEqual([]);
  });
  it('is asked for a grown female alone, and of no forecast that was only guessed', () => {
    expect(codes(year(0.05), kept(1, 0))).toEqual([]);
    expect(codes(year(0.05), kept(0, 1, 4))).toEqual([]);
    expect(codes({ ...year(0.05), guessed: true })).toEqual([]);
  });
});
