import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { assess } from '../assess';
import { buyingOf } from '../buying';
import { careNow, dueOf } from '../care';
import type { Design, Planted } from '../document';
import { applyEdit, type EditCall } from '../edits';
import { layGround } from '../ground';
import { stepsOf } from '../plan';
import { sizeAfter } from '../pieces';
import { placePlants } from './planted';
import { preparePlant } from './prepare';

const edit = (design: Design, ...calls: readonly EditCall[]): Design =>
  calls.reduce((it, call) => applyEdit(it, call, catalogue), design);
const sow = (kind: string, change: Partial<Planted> = {}): Design => {
  const bare = edit(firstDesign('dendrobates-tinctorius'), { edit: 'clearPlants', change: {} });
  return edit(
    bare,
    { edit: 'addPlant', change: { kind } },
    { edit: 'setPlant', change: { plant: 'plant-1', change: { sown: true, ...change } } },
  );
};
const MAIDENHAIR = 'adiantum-raddianum';
const MOSS = 'hypnum-cupressiforme';
const only = (design: Design): Planted => design.living.plants[0]!;

describe('what is sown', () => {
  it('begins as a patch of a twentieth; what cannot be sown is planted, and so is one told otherwise', () => {
    expect(only(sow(MAIDENHAIR))).toMatchObject({ sown: true, size: 0.05 });
    // A pothos is bought 16 cm long, and grows to 132.
    expect(only(sow('epipremnum-aureum'))).toMatchObject({ sown: false, size: 0.12 });
    const back = edit(sow(MAIDENHAIR), {
      edit: 'setPlant',
      change: { plant: 'plant-1', change: { sown: false } },
    });
    // As bought 13 cm wide, of 34 grown.
    expect(only(back)).toMatchObject({ sown: false, size: 0.38 });
    const other = edit(sow(MAIDENHAIR), {
      edit: 'setPlant',
      change: { plant: 'plant-1', change: { kind: 'epipremnum-aureum' } },
    });
    expect(only(other).sown).toBe(false);
  });

  it('shows nothing until it comes up, and grows from there as any of its kind', () => {
    const design = sow(MAIDENHAIR);
    const ground = layGround(design, catalogue);
    const wide = (months: number) => placePlants(design, ground, catalogue, months, () => 0.8)[0]!.width;
    // Spores of ferns come up after 40 to 120 days: 80, or 2.6 months.
    const sprouts = 80 / 30.4;
    expect(wide(2)).toBe(wide(0));
    expect(wide(sprouts + 6) / wide(0)).toBeCloseTo(sizeAfter(0.05, 12, 6, 0.8) / 0.05, 9);
  });

  it('is bought in portions by the ground it covers, and not as plants', () => {
    const buying = (design: Design) =>
      buyingOf([{ design, assessment: assess(design, catalogue) }], catalogue).rows.filter((it) =>
        it.key.endsWith(MAIDENHAIR),
      );
    // Grown 34 cm wide: 907 cm², of which a portion of spores covers 500.
    const [row] = buying(sow(MAIDENHAIR));
    expect(row).toMatchObject({ key: `sowing:${MAIDENHAIR}`, bought: 2, price: 10 });
    expect(row!.name).toBe('delta maidenhair fern, spores');
    expect(buying(sow(MAIDENHAIR, { planted: '2026-11-01' }))).toEqual([]);
  });

  it('is a step of the plan by itself, which waits for green and is done on a day', () => {
    const both = edit(sow(MOSS), { edit: 'addPlant', change: { kind: MAIDENHAIR } });
    const steps = stepsOf(both, assess(both, catalogue), catalogue);
    const of = (id: string) => steps.find((it) => it.id === id)!;
    expect(of('sow').wait).toMatchObject({ low: 30, high: 90 });
    expect([of('sow').holds, of('plant').holds]).toEqual([['plant-1'], ['plant-2']]);
    const on = (step: string) =>
      edit(both, { edit: 'markStep', change: { step, change: { done: '2026-11-20' } } }).living.plants.map(
        (it) => it.planted,
      );
    expect(on('sow')).toEqual(['2026-11-20', null]);
    expect(on('plant')).toEqual([null, '2026-11-20']);
  });

  it('of a species that is gone from the catalogue is planted as anything else: the plan still ends', () => {
    const gone = {
      ...sow(MOSS),
      living: { ...sow(MOSS).living, plants: [{ ...only(sow(MOSS)), kind: 'nobody-knows' }] },
    };
    const steps = stepsOf(gone, assess(gone, catalogue), catalogue);
    expect(steps.some((it) => it.id === 'sow')).toBe(false);
    expect(steps.find((it) => it.id === 'plant')!.holds).toEqual(['plant-1']);
    for (const it of steps) expect(Number.isFinite(it.wait?.high ?? 0), it.id).toBe(true);
  });

  it('is misted daily till it takes, from the day it was sown, and never again', () => {
    const design = edit(sow(MOSS, { planted: '2026-11-01' }), {
      edit: 'setStage',
      change: { stage: 'growing-in', since: '2026-11-01' },
    });
    const due = (today: string) =>
      dueOf(careNow(design, catalogue), new Map(), '2026-11-01', today).filter((it) =>
        it.rule.id.startsWith('sown'),
      );
    expect(due('2026-11-05')).toMatchObject([{ rule: { id: 'sown-2026-11-01', sitter: true } }]);
    expect(due('2027-01-29')).toHaveLength(1);
    expect(due('2027-01-30')).toEqual([]);
    expect(due('2027-11-05')).toEqual([]);
  });

  it('tells how pieces, spores and seed go on, and of treated seed', () => {
    const words = (kind: string) =>
      preparePlant(
        catalogue.living.plants.find((it) => it.id === kind),
        only(sow(kind)),
      ).map((it) => `${it.what} ${it.caution ?? ''}`);
    expect(words(MOSS)[0]).toMatch(/slurry/);
    expect(words(MAIDENHAIR)[0]).toMatch(/Dust the spores on/);
    expect(words('bouteloua-gracilis')[0]).toMatch(/Treated seed is dyed/);
    for (const { id, sows } of catalogue.living.plants)
      if (sows)
        expect(
          words(id).some((it) => it.startsWith('Cover it with film')),
          id,
        ).toBe(true);
  });
});
