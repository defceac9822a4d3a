import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { assess } from '../assess';
import { buyingOf } from '../buying';
import { careRules } from '../care';
import type { Design } from '../document';
import { planOf } from '../plan';
import { applyEdit } from '.';

const demo = demoDesigns(catalogue).find((it) => it.id === 'demo-bog-shelf')!;
/** With a crew that is yet to be bought. */
const bog: Design = {
  ...demo,
  living: { ...demo.living, crew: demo.living.crew.map((it) => ({ ...it, on: null })) },
};

describe('the approach of no crew', () => {
  const none = applyEdit(bog, { edit: 'setLiving', change: { school: 'none' } }, catalogue);
  it('takes the crew out, and leaves the rest as it was', () => {
    expect(bog.living.crew.length).toBeGreaterThan(0);
    expect(none.living).toEqual({ ...bog.living, school: 'none', crew: [] });
  });
  it('asks nothing of a crew: not in care, plan or on the list', () => {
    const care = (design: Design): string[] => careRules(design, catalogue).map((it) => it.id);
    const ofCrew = ['crew-seen', 'crew-food'];
    expect(care(bog).filter((it) => ofCrew.includes(it))).not.toEqual([]);
    expect(care(none).filter((it) => ofCrew.includes(it))).toEqual([]);
    const steps = (design: Design): string[] =>
      planOf(
        { ...design, plan: { ...design.plan, marks: [] } },
        assess(design, catalogue),
        catalogue,
        '2026-11-29',
      ).steps.map((it) => it.step.id);
    expect(steps(bog).some((it) => it.startsWith('crew'))).toBe(true);
    expect(steps(none).filter((it) => it.startsWith('crew'))).toEqual([]);
    const bought = (design: Design): string =>
      JSON.stringify(buyingOf([{ design, assessment: assess(design, catalogue) }], catalogue));
    const [first] = bog.living.crew;
    expect(bought(bog)).toContain(first!.kind);
    for (const { kind } of bog.living.crew) expect(bought(none)).not.toContain(kind);
  });
});
