import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { findCrew, type CrewKind } from '../catalogue';
import { carryingCapacity, foodFor, homesOf, runCrew, sampleCrew } from '.';
import { homeFor } from './testing';

const kind = (id: string): CrewKind => findCrew(catalogue, id)!;
const FIVE = [
  'porcellio-scaber',
  'porcellio-laevis',
  'armadillidium-vulgare',
  'armadillidium-maculatum',
  'oniscus-asellus',
].map(kind);
const SPRINGTAIL = kind('folsomia-candida');
const PILL = kind('armadillidium-vulgare');
const EARWIG = kind('euborellia-annulipes');
const eats = (it: CrewKind, adults: number): number => adults * it.mass.value * it.eats.value * 1.6;

describe('several kinds of crew in one home', () => {
  it('one alone has all of it', () => {
    const home = homeFor(PILL);
    expect(homesOf([PILL], home)).toEqual([home]);
  });
  it('five isopods share food and room: together they come to no more than the place feeds and holds', () => {
    for (const floor of [0.1, 0.25, 0.6]) {
      const home = homeFor(PILL, { floor, litter: 0.02, supplement: 0.0002 });
      const alone = FIVE.map((it) => carryingCapacity(it, home).adults);
      const shared = homesOf(FIVE, home).map((own, i) => carryingCapacity(FIVE[i]!, own).adults);
      shared.forEach((adults, i) => expect(adults, FIVE[i]!.english).toBeLessThan(alone[i]!));
      // What they eat together is not more than there is for the one that gets at most of it.
      const most = FIVE.map((it) => foodFor(it, home)).reduce((a, b) => ({
        litter: Math.max(a.litter, b.litter),
        waste: Math.max(a.waste, b.waste),
        mould: Math.max(a.mould, b.mould),
      }));
      const eaten = shared.reduce((sum, adults, i) => sum + eats(FIVE[i]!, adults), 0);
      expect(eaten).toBeLessThanOrEqual((most.litter + most.waste + most.mould) * (1 + 1e-9));
      // Those who live in the same of soil, litter, wood and surface fill no more than one floor of it.
      for (const habit of new Set(FIVE.map((it) => it.habit.value))) {
        const room = FIVE.reduce(
          (sum, it, i) => sum + (it.habit.value === habit ? shared[i]! / (it.crowd.value * floor) : 0),
          0,
        );
        expect(room, habit).toBeLessThanOrEqual(1 + 1e-9);
      }
    }
  });
  it('two of the very same wants halve it', () => {
    const twin = { ...PILL, id: 'twin' };
    const home = homeFor(PILL, { supplement: 0 });
    const [a, b] = homesOf([PILL, twin], home).map((own) => carryingCapacity(PILL, own).adults);
    expect(a).toBeCloseTo(carryingCapacity(PILL, home).adults / 2, 9);
    expect(b).toBeCloseTo(a!, 12);
  });
  it('those who eat otherwise and live elsewhere hardly take from each other', () => {
    const home = homeFor(PILL, { supplement: 0 });
    const [isopods] = homesOf([PILL, SPRINGTAIL], home);
    expect(carryingCapacity(PILL, isopods!).adults).toBeGreaterThan(
      0.8 * carryingCapacity(PILL, home).adults,
    );
  });
  it('says that the others limit it, where it would come to much more alone', () => {
    const home = homeFor(PILL, { supplement: 0 });
    expect(carryingCapacity(PILL, homesOf(FIVE, home)[2]!).limit).toBe('others');
  });
});

describe('an earwig that hunts the crew', () => {
  const home = homeFor(PILL, { supplement: 0.0005, litter: 0.02 });
  const homes = homesOf([SPRINGTAIL, PILL, EARWIG], home);
  it('is a hunter to the others and none to itself', () => {
    expect(homes[0]!.hunters).toHaveLength(1);
    expect(homes[1]!.hunters[0]).toMatchObject({ quiet: 0, indoors: true });
    expect(homes[2]!.hunters).toEqual([]);
  });
  it('presses springtails down, more the more of them there are; grown pill isopods are too large for it', () => {
    const ends = (it: CrewKind, own: typeof home): number =>
      runCrew({ kind: it, home: own, start: 200, months: 24 }).adults.at(-1)!;
    const spared = { ...homes[0]!, hunters: [] };
    const hunted = homes[0]!;
    const [hunter] = hunted.hunters;
    const doubled = { ...hunted, hunters: [{ ...hunter!, count: hunter!.count * 2 }] };
    expect(ends(SPRINGTAIL, hunted)).toBeLessThan(ends(SPRINGTAIL, spared));
    expect(ends(SPRINGTAIL, doubled)).toBeLessThan(ends(SPRINGTAIL, hunted));
    expect(ends(PILL, homes[1]!)).toBeCloseTo(ends(PILL, { ...homes[1]!, hunters: [] }), 9);
  });
  it('a handful let in beside a crowd of them does not last', () => {
    const many = { ...homes[0]!, hunters: homes[0]!.hunters.map((it) => ({ ...it, count: 4000 })) };
    const asked = { kind: SPRINGTAIL, start: 10, months: 36, every: 30 };
    expect(sampleCrew({ ...asked, home: many }, 10).collapse).toBe(1);
    // A whole culture of them, which lives in the soil, lasts beside as many earwigs as the place carries.
    expect(sampleCrew({ ...asked, start: 500, home: homes[0]! }, 10).collapse).toBe(0);
  });
});
