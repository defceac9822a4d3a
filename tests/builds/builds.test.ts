import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { buyingOf } from '@/core/buying';
import { Design } from '@/core/document';
import { planOf } from '@/core/plan';
import { GLANCE, judgeDesign, yearFindings } from '@/core/verdict';
import { METRIC, formatMessage } from '@/core/units';
import { assessed, finished } from './build';
import { BUILDS } from './builds';

describe.each(BUILDS.map((build) => [build.name, build] as const))('%s', (_, build) => {
  const { design, idle } = finished(build);
  const assessment = assessed(design);

  it('is made by its edits, each of which changes something, and is sound', () => {
    expect(idle).toEqual([]);
    expect(Design.safeParse(design).success).toBe(true);
  });

  it('comes to what one who has built it expects (common practice)', () => {
    expect(build.figures.length).toBeGreaterThanOrEqual(5);
    const off = build.figures.flatMap(({ what, of, low, high }) => {
      const value = of(assessment, design);
      return value >= low && value <= high ? [] : [`${what}: ${value.toFixed(3)}, not ${low} to ${high}`];
    });
    expect(off).toEqual([]);
  });

  it('of weight stands only what its builder would nod at, and nothing severe', () => {
    const told = assessment.findings.filter((it) => it.severity === 'severe' || it.severity === 'look');
    expect(
      told
        .filter((it) => it.severity === 'severe')
        .map((it) => `${it.code}: ${formatMessage(it.what, { prefs: METRIC })}`),
    ).toEqual([]);
    expect([...new Set(told.map((it) => it.code))].sort()).toEqual([...build.stands].sort());
  });

  it('has a list to buy from and a plan that ends with the animal in it', () => {
    const buying = buyingOf([{ design, assessment }], catalogue);
    expect(buying.rows.length).toBeGreaterThan(5);
    expect(buying.price).toBeGreaterThan(20);
    const { steps, moveIn } = planOf(design, assessment, catalogue, '2026-11-30');
    expect(steps.at(-2)?.step.id).toBe('move-in');
    expect(moveIn > '2026-11-30').toBe(true);
  });

  it('holds, or says what does not', () => {
    const verdict = judgeDesign({ design, catalogue, playing: GLANCE, alone: true })!;
    const said = yearFindings(verdict, design, catalogue).filter((it) => it.severity !== 'fine');
    expect(verdict.answer, said.map((it) => it.code).join()).toBe(build.answer);
    if (build.answer !== 'holds') expect(said.length).toBeGreaterThan(0);
  });
});
