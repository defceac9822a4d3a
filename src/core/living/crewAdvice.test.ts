import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { crewAdvice, stagesOf } from './crewAdvice';
import { runCrew, type CrewHome } from './population';

const kind = (id: string) => catalogue.living.crew.find((it) => it.id === id)!;
const home = (change: Partial<CrewHome> = {}): CrewHome => ({
  floor: 0.3,
  temperature: Array.from({ length: 12 }, () => 26),
  wetness: 0.2,
  depth: 0.1,
  shelter: 0.6,
  litter: 0.02,
  litterK: 1,
  waste: 0.002,
  supplement: 0.002,
  air: 0.8,
  hunters: [],
  ...change,
});
const run = (id: string, of: CrewHome = home(), start = 40) =>
  runCrew({ kind: kind(id), home: of, start, months: 24 });
const hunter = { quiet: 0, indoors: false, count: 1, appetite: 0.002, searches: 0.05, largest: 0.06 };

describe('the stages of a beetle', () => {
  it('pupae are young in their last days: so many of them as days, where ages are even', () => {
    const course = run('tenebrio-molitor');
    const { larvae, pupae, adults } = stagesOf(kind('tenebrio-molitor'), course)!;
    expect(larvae + pupae).toBeCloseTo(course.young.at(-1)!, 9);
    expect(adults).toBe(course.adults.at(-1));
    // 9 of 130 days a pupa; of the older ones fewer are left: 97.8 % see each day at 26 °C, its best.
    const keep = 0.978 * (0.97 + 0.03);
    const over = (from: number, to: number) => (keep ** from - keep ** to) / (1 - keep);
    expect(pupae / (larvae + pupae)).toBeCloseTo(over(9 + 121, 9 + 130) / over(9, 9 + 130), 2);
    for (const [i, young] of course.young.entries()) {
      expect(course.pupae[i]).toBeGreaterThanOrEqual(0);
      expect(course.pupae[i]).toBeLessThanOrEqual(young + 1e-9);
    }
  });
  it('what hunts them takes larvae as well as adults, and pupae in the soil by nobody', () => {
    const safe = run('tenebrio-molitor');
    const hunted = run('tenebrio-molitor', home({ hunters: [hunter] }));
    expect([safe.youngEaten, safe.eaten]).toEqual([0, 0]);
    const { eaten } = stagesOf(kind('tenebrio-molitor'), hunted)!;
    expect(eaten.larvae).toBeGreaterThan(0);
    expect(eaten.adults).toBeGreaterThan(0);
    expect(eaten.larvae).toBeCloseTo(hunted.youngEaten / (730.56 / 30.44), 1);
  });
  it('eat dry food by the weight of the adults and their young, as the forecast feeds them, and twice that moist', () => {
    const course = run('tenebrio-molitor');
    const { adults, food } = stagesOf(kind('tenebrio-molitor'), course)!;
    // 140 mg an adult, 4 % of it a day, and six tenths more for its young.
    expect(food.dry).toBeCloseTo(7 * adults * 140e-6 * 0.04 * 1.6, 12);
    expect(food.moist).toBeCloseTo(2 * food.dry, 12);
  });
  it('are told of beetles alone, each with soil it can find where it lives', () => {
    for (const it of catalogue.living.crew) {
      expect(it.pupates !== undefined, it.english).toBe(it.group === 'beetle');
      if (!it.pupates) continue;
      expect(it.pupates.value.depth, it.english).toBeLessThanOrEqual(it.depth.value);
      expect(it.pupates.value.days, it.english).toBeLessThan(it.youngDays.value / 4);
    }
    expect(stagesOf(kind('folsomia-candida'), run('folsomia-candida'))).toBeNull();
  });
});

describe('advice on a crew', () => {
  const advice = (id: string, of: CrewHome, collapse = 0) =>
    crewAdvice(kind(id), run(id, of), { collapse }, of);
  it('reseeds what is gone after seven tenths of the time, and no sooner than a month', () => {
    const dry = home({ wetness: 0.02, depth: 0.005 });
    const course = run('eisenia-fetida', dry);
    expect(course.gone).not.toBeNull();
    expect(advice('eisenia-fetida', dry)).toEqual({
      what: 'reseed',
      days: Math.max(30, Math.round(course.gone! * 0.7)),
      gone: course.gone,
    });
  });
  it('asks for a culture of what may die out by chance, and for nothing of what holds', () => {
    const good = home({ wetness: 0.6 });
    expect(advice('folsomia-candida', good, 0.2)).toEqual({ what: 'culture', share: 0.2 });
    expect(advice('folsomia-candida', good, 0.05)).toBeNull();
  });
  it('takes a third out of a swarm', () => {
    const rich = home({ supplement: 0.2, wetness: 0.5, shelter: 1 });
    const course = run('porcellio-laevis', rich);
    const end = course.adults.at(-1)!;
    expect(end).toBeGreaterThan(600 * 0.3 * 0.7);
    expect(advice('porcellio-laevis', rich)).toEqual({ what: 'cull', adults: Math.ceil(end / 3) });
  });
});
