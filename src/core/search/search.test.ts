import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { findAnimal } from '../catalogue';
import { applyEdit } from '../edits';
import { Design as DesignSchema, type Design } from '../document';
import { firstDesign } from '@/catalogue/testing';
import { layGround } from '../ground';
import { GLANCE, HOLDS, judgeDesign, JUDGING, type Playing } from '../verdict';
import { judgeUv } from '../fitting';
import {
  bestOf,
  climb,
  judgeInTurn,
  lackingIn,
  NO_LOCKS,
  perform,
  priceOf,
  proposeWhatHolds,
  runSearch,
  sawsVents,
  weigh,
  type Answered,
  type Burden,
  type Locks,
  type Seen,
  type Task,
} from '.';
import { fitUv } from '../fitting';

describe('what is proposed', () => {
  const first = firstDesign('dendrobates-auratus', 'dry');
  const { design, verdict } = proposeWhatHolds(first, catalogue);
  it('holds, for a frog in a dry room whose quick design did not', () => {
    expect(judgeDesign({ design: first, catalogue, alone: true })!.answer).toBe('fails');
    expect(verdict!.answer).toBe('holds');
    for (const it of verdict!.places)
      expect(it.inside, `${it.criterion} ${it.season}`).toBeGreaterThanOrEqual(HOLDS);
    expect(DesignSchema.safeParse(design).error?.issues ?? []).toEqual([]);
  });
  it('holds again at half the step under other weather: 85 of 100 hours everywhere', () => {
    const again = judgeDesign({
      design,
      catalogue,
      alone: true,
      playing: { ...JUDGING, seeds: [201, 202, 203], every: 900, looser: 1 },
    })!;
    for (const it of again.places)
      expect(it.inside, `${it.criterion} ${it.season}`).toBeGreaterThanOrEqual(0.85);
  });
  it('plants nothing that dies or pines, and a crew that lasts from one culture or two of each species', () => {
    expect(design.living.plants.length).toBeGreaterThan(3);
    expect(verdict!.plants).toEqual([]);
    expect(design.living.crew.length).toBeGreaterThan(0);
    for (const { kind, count } of design.living.crew) {
      const culture = catalogue.living.crew.find((it) => it.id === kind)!.culture.value;
      expect([culture, 2 * culture]).toContain(count);
    }
    for (const it of verdict!.crew) expect(it.lasts).toBeGreaterThanOrEqual(0.9);
  });
  it('is the same for the same question, whichever task is done first', () => {
    // Tasks of a batch done last to first, as a second worker might.
    const search = climb({ design: first, catalogue, most: 30 });
    let step = search.next();
    while (!step.done) {
      const tasks: readonly Task[] = step.value;
      const results = [...tasks].reverse().map((it) => perform(it, catalogue));
      step = search.next(results.reverse());
    }
    const other = runSearch(climb({ design: first, catalogue, most: 30 }), catalogue);
    expect(step.value.design).toEqual(other.design);
    expect(step.value.steps).toEqual(other.steps);
  });
});

describe('the best three', () => {
  const burden: Burden = { price: 0, things: 0, changes: 0, watts: 50, water: 0, hands: 2 };
  const answer = (name: string, aim: Answered['aim'], change: Partial<Burden>): Answered => ({
    aim,
    design: { ...firstDesign('dendrobates-auratus', 'dry'), name },
    verdict: {} as Answered['verdict'],
    burden: { ...burden, ...change },
  });
  const told = (all: readonly Answered[]) => bestOf(all).map((it) => [it.aim, it.design.name]);
  it('each is the best for its aim, whichever search came upon it; one that is best for two is told once', () => {
    const two = answer('two things', 'fewest things', { things: 2, price: 138, watts: 96 });
    const one = answer('one thing', 'least electricity', { things: 1, price: 85, watts: 88 });
    const idle = answer('no spraying', 'least work', { things: 3, price: 300, hands: 0 });
    expect(told([two, idle, one])).toEqual([
      ['fewest things', 'one thing'],
      ['least work', 'no spraying'],
    ]);
    expect(told([one])).toEqual([['fewest things', 'one thing']]);
    expect(told([])).toEqual([]);
  });
});

describe('designs judged in turn', () => {
  const designs = ['first', 'second', 'third'].map((name) => ({
    ...firstDesign('dendrobates-auratus', 'dry'),
    name,
  }));
  /** What is asked for, and what is heard, until a number of designs was heard. */
  const played = (wanted: number, free: boolean) => {
    const asked: string[][] = [];
    const heard: number[] = [];
    const search = judgeInTurn(designs, (_, index) => heard.push(index) === wanted);
    let step = search.next();
    while (!step.done) {
      const tasks: readonly Task[] = step.value;
      asked.push(tasks.map((it) => it.design.name));
      step = search.next(
        tasks.map((it) =>
          it.ask === 'judge' && it.spare && !free ? { of: 'undone' } : { of: 'judge', verdict: null },
        ),
      );
    }
    return { asked, heard };
  };
  it('are heard in their order and once each, with a second worker and without', () => {
    expect(played(9, true)).toEqual({ asked: [['first', 'second'], ['third']], heard: [0, 1, 2] });
    expect(played(9, false)).toEqual({
      asked: [['first', 'second'], ['second', 'third'], ['third']],
      heard: [0, 1, 2],
    });
  });
  it('end as soon as one ends them, whatever else was judged', () => {
    expect(played(1, true)).toEqual({ asked: [['first', 'second']], heard: [0] });
    expect(played(2, false)).toEqual({
      asked: [
        ['first', 'second'],
        ['second', 'third'],
      ],
      heard: [0, 1],
    });
  });
});

describe('a change that saws', () => {
  it('is one with a new vent or a wider one; not one that only covers or closes', () => {
    const from = firstDesign('pogona-vitticeps', 'dry');
    const vent = { id: 'vent-low', wall: 'left', height: 0.2, area: 0.004, gauze: 'fine' } as const;
    const withVents = (...vents: Design['climate']['vents']): Design => ({
      ...from,
      climate: { ...from.climate, vents },
    });
    const vented = withVents(vent);
    expect(sawsVents(withVents(), vented)).toBe(true);
    expect(sawsVents(vented, withVents({ ...vent, area: 0.008 }))).toBe(true);
    expect(sawsVents(vented, withVents({ ...vent, area: 0.002 }))).toBe(false);
    expect(sawsVents(vented, withVents())).toBe(false);
  });
});

describe('what may not change', () => {
  const first = firstDesign('correlophus-ciliatus', 'dry');
  const under = (locks: Partial<Locks>): Design =>
    runSearch(climb({ design: first, catalogue, most: 40, locks: { ...NO_LOCKS, ...locks } }), catalogue)
      .design;
  it('cover, strips, lights, hours and mist stay as they are where they are kept', () => {
    const it = under({ cover: true, vents: true, lights: true, mist: true });
    expect(it.enclosure).toEqual(first.enclosure);
    expect(it.climate.mist).toEqual(first.climate.mist);
    expect(it.climate.day).toEqual(first.climate.day);
  });
  it('nothing is bought where nothing may be; a kept lamp is left as it hangs', () => {
    const bought = under({ buying: true });
    const known = new Set(first.climate.devices.map((it) => `${it.id} ${it.kind} ${it.power}`));
    for (const it of bought.climate.devices) expect(known).toContain(`${it.id} ${it.kind} ${it.power}`);
    const [lamp] = first.climate.devices;
    const kept = under({ devices: first.climate.devices.map((it) => it.id) });
    expect(kept.climate.devices.find((it) => it.id === lamp!.id)).toEqual(lamp);
    for (const it of first.climate.devices) expect(kept.climate.devices).toContainEqual(it);
  });
  it('no more is spent than the purse holds, and what it does not pay for is not taken', () => {
    const free = under({});
    const spent = priceOf(free, first, catalogue);
    expect(spent).toBeGreaterThan(40);
    const held = under({ purse: spent - 1 });
    expect(priceOf(held, first, catalogue)).toBeLessThanOrEqual(spent - 1);
    expect(priceOf(under({ purse: 0 }), first, catalogue)).toBe(0);
  });
});

describe('UV that fits', () => {
  it('for every species that needs it: its middle in the zone, shade left; no lamp where it is not wanted', () => {
    const kinds = catalogue.animals.filter((it) => it.climate.uvZone.value >= 2);
    expect(kinds).toHaveLength(39);
    for (const animal of kinds) {
      const design = firstDesign(animal.id, 'dry');
      const found = fitUv(design, animal, layGround(design, catalogue), catalogue);
      expect(found, animal.id).not.toBeNull();
      const uv = judgeUv(found!.design, animal, layGround(found!.design, catalogue), catalogue)!;
      expect(uv.answer, animal.id).toBe('inside');
      expect(uv.index[1]).toBeGreaterThanOrEqual(uv.wanted.low);
      expect(uv.index[1]).toBeLessThanOrEqual(uv.wanted.high);
      expect(uv.shade).toBeLessThan(0.25);
    }
    const shade = findAnimal(catalogue, 'eublepharis-macularius')!;
    const dark = firstDesign(shade.id, 'dry');
    expect(fitUv(dark, shade, layGround(dark, catalogue), catalogue)!.design).toBe(dark);
  });
  it('a lamp that is kept is not exchanged', () => {
    const animal = findAnimal(catalogue, 'pogona-vitticeps')!;
    const first = firstDesign(animal.id, 'middle');
    const [tube] = first.climate.devices.filter((it) => it.kind.startsWith('uv-'));
    // A lamp that gives half of what it should.
    const design = applyEdit(
      first,
      { edit: 'setDevice', change: { device: tube!.id, change: { dim: 0.3 } } },
      catalogue,
    );
    const ground = layGround(design, catalogue);
    expect(judgeUv(design, animal, ground, catalogue)!.answer).toBe('weak');
    expect(fitUv(design, animal, ground, catalogue, [tube!.id])).toBeNull();
    expect(fitUv(design, animal, ground, catalogue)!.uv!.answer).toBe('inside');
  });
});

describe('what counts', () => {
  const burden: Burden = { price: 100, things: 2, changes: 3, watts: 40, water: 1, hands: 4 };
  it('each aim minds its own most; none outweighs a place that is outside its band', () => {
    const more = (change: Partial<Burden>, aim: Parameters<typeof weigh>[1]): number =>
      weigh({ ...burden, ...change }, aim) - weigh(burden, aim);
    expect(more({ things: 3 }, 'fewest things')).toBeGreaterThan(more({ watts: 80 }, 'fewest things'));
    expect(more({ watts: 80 }, 'least electricity')).toBeGreaterThan(
      more({ things: 3, hands: 8 }, 'least electricity'),
    );
    expect(more({ hands: 8 }, 'least work')).toBeGreaterThan(more({ price: 200, watts: 80 }, 'least work'));
    expect(weigh(burden, 'balanced')).toBeLessThan(0.5);
  });
});

describe('a first look', () => {
  const design = firstDesign('correlophus-ciliatus', 'dry');
  const look = (enough?: number, seasons: Playing['seasons'] = GLANCE.seasons): Seen => {
    const result = perform(
      {
        ask: 'look',
        design,
        playing: { ...GLANCE, seasons },
        strict: 0.5,
        near: {},
        ...(enough === undefined ? {} : { enough }),
      },
      catalogue,
    );
    if (result.of !== 'look' || !result.seen) throw new Error('not seen');
    return result.seen;
  };
  const whole = look();
  const winter = lackingIn(whole.measured.filter((it) => it.season === 'winter'));

  it('ends with the season that lacks as much as it may in all, and says so', () => {
    expect(winter).toBeGreaterThan(0.5);
    const cut = look(winter);
    expect(cut.cut).toBe(true);
    expect(new Set(cut.measured.map((it) => it.season))).toEqual(new Set(['winter']));
    expect(lackingIn(cut.measured)).toBeCloseTo(winter, 12);
  });
  it('goes through all seasons where less is lacking, and is then what it is without a limit', () => {
    const near = look(winter + 1e-9);
    expect(near.cut).toBe(false);
    expect(near.measured).toEqual(whole.measured);
  });
});
