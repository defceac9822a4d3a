import { dayAfter, daysTill } from '../time';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { assess } from '../assess';
import { applyEdit } from '../edits';
import { type Questionnaire } from '../propose';
import { type Design, type PlanMark } from '../document';
import { formatMessage, METRIC, type Message } from '../units';
import { firstDesign } from '@/catalogue/testing';
import { heldBy, inOrder, planOf, stepsOf, takesOf } from '.';

const TODAY = '2026-11-25';
const whole = (animal: string | null, size: Questionnaire['size'] = null, count = 1): Design =>
  firstDesign(animal, 'middle', [], { count, size });
const plan = (design: Design, today = TODAY) => planOf(design, assess(design, catalogue), catalogue, today);
const GECKO = 'goniurosaurus-hainanensis';
const words = (said: Message): string =>
  formatMessage(said, { prefs: METRIC, locale: 'en-GB' }).replaceAll('\u00a0', ' ');
const mark = (design: Design, step: string, change: Partial<Omit<PlanMark, 'step'>>): Design =>
  applyEdit(design, { edit: 'markStep', change: { step, change } }, catalogue);
const stepOf = (design: Design, id: string, today = TODAY) =>
  plan(design, today).steps.find((it) => it.step.id === id)!;

describe('the steps of a build', () => {
  it('hold every material, piece, lamp, plant and crew of the design, for random designs', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...catalogue.animals.map((it) => it.id)),
        fc.integer({ min: 1, max: 4 }),
        fc.boolean(),
        fc.boolean(),
        (animal, count, timber, pool) => {
          let design = whole(animal, null, count);
          if (timber)
            design = applyEdit(design, { edit: 'setEnclosure', change: { material: 'timber' } }, catalogue);
          if (pool) design = applyEdit(design, { edit: 'addRegion', change: { kind: 'pool' } }, catalogue);
          const steps = stepsOf(design, assess(design, catalogue), catalogue);
          const held = new Set(steps.flatMap((it) => it.holds));
          for (const id of heldBy(design)) expect(held, `${animal}: ${id}`).toContain(id);
          expect(new Set(steps.map((it) => it.id)).size).toBe(steps.length);
          expect(() =>
            inOrder(steps.map((it) => ({ id: it.id, takes: takesOf(it), after: it.after }))),
          ).not.toThrow();
          for (const it of steps)
            for (const id of it.after)
              expect(
                steps.some((own) => own.id === id),
                id,
              ).toBe(true);
        },
      ),
      { numRuns: 40 },
    );
  });
  it('moss is laid last of what grows, litter and dishes are never forgotten, nothing before the smell is gone', () => {
    for (const design of demoDesigns(catalogue)) {
      const { steps } = plan(design);
      const at = (id: string): number => steps.find((it) => it.step.id === id)?.timed.start ?? NaN;
      if (steps.some((it) => it.step.id === 'moss')) expect(at('moss')).toBeGreaterThan(at('plant'));
      if (steps.some((it) => it.step.id === 'litter')) expect(at('litter')).toBeGreaterThan(at('plant'));
      expect(at('soil')).toBeGreaterThan(at('smell'));
      expect(
        steps.some((it) => it.step.id === 'things'),
        design.name,
      ).toBe(true);
      expect(at('move-in')).toBeGreaterThanOrEqual(
        Math.max(...steps.filter((it) => it.step.gate).map((it) => it.timed.end)) - 1e-9,
      );
    }
  });
  it('each says why, and shows the caution of its work', () => {
    const { steps } = plan(whole(GECKO));
    for (const { step } of steps) {
      expect(step.title.length).toBeGreaterThan(5);
      expect(step.why.length, step.id).toBeGreaterThan(10);
      expect(step.hands).toBeGreaterThan(0);
    }
    const of = (id: string) => steps.find((it) => it.step.id === id)!.step;
    expect(of('background-background-1').cautions).toContain('curing');
    expect(of('climate').cautions).toContain('electric');
    expect(of('mix').cautions).toContain('mixing');
    expect(of('measure').measures.length).toBeGreaterThan(3);
  });
});

describe('the plan', () => {
  it('moves in after weeks, within a window; the longest chain is critical', () => {
    const it = plan(whole(GECKO));
    expect(daysTill(TODAY, it.moveIn)).toBeGreaterThan(28);
    expect(daysTill(TODAY, it.moveIn)).toBeLessThan(200);
    expect(it.early <= it.late).toBe(true);
    expect(it.path.has('move-in') || it.path.has('first-week')).toBe(true);
    expect(it.left).toBe(it.hands);
  });
  it('a step done late moves the window; one not yet due does not', () => {
    const design = whole(GECKO);
    const before = plan(design);
    const critical = before.steps.find((it) => it.timed.critical && it.step.id !== 'move-in')!;
    const late = dayAfter(critical.to, 60);
    const marked = applyEdit(
      design,
      { edit: 'markStep', change: { step: critical.step.id, change: { done: late } } },
      catalogue,
    );
    const after = plan(marked);
    expect(daysTill(before.moveIn, after.moveIn)).toBeGreaterThanOrEqual(50);
    expect(after.early > before.early).toBe(true);
    expect(after.left).toBeLessThan(before.left);
    // What is not done is not in the past: days that go by move the rest.
    const waited = planOf(
      applyEdit(design, { edit: 'setStart', change: { start: TODAY } }, catalogue),
      assess(design, catalogue),
      catalogue,
      '2026-12-25',
    );
    expect(waited.moveIn > before.moveIn).toBe(true);
  });
  it('a step moved to a later day takes what follows with it, and can be let go', () => {
    const design = whole(GECKO);
    const before = plan(design);
    const step = 'soil';
    const to = dayAfter(before.moveIn, 5);
    const moved = applyEdit(
      design,
      { edit: 'markStep', change: { step, change: { notBefore: to } } },
      catalogue,
    );
    const after = plan(moved);
    expect(after.steps.find((it) => it.step.id === step)!.from).toBe(to);
    expect(after.moveIn > before.moveIn).toBe(true);
    const freed = applyEdit(
      moved,
      { edit: 'markStep', change: { step, change: { notBefore: null } } },
      catalogue,
    );
    expect(freed.plan.marks).toEqual([]);
    expect(plan(freed).moveIn).toBe(before.moveIn);
  });
  it('each gate holds the animal back until its step is done, and says why', () => {
    let design = whole(GECKO);
    for (const gate of plan(design).gates) {
      expect(gate.open).toBe(false);
      expect(words(gate.because)).toMatch(/not/);
    }
    expect(plan(design).gates.map((it) => it.id)).toEqual(
      expect.arrayContaining(['smell', 'band', 'crew', 'rooted', 'locks', 'quarantine', 'tests']),
    );
    for (const { step } of plan(design).gates)
      design = applyEdit(design, { edit: 'markStep', change: { step, change: { done: TODAY } } }, catalogue);
    expect(plan(design).gates.every((it) => it.open)).toBe(true);
  });
  it('the first step that is ticked fixes the day work began: days later it does not slide along', () => {
    const first = plan(whole(GECKO)).steps[0]!.step.id;
    const ticked = (done: string, start: string | null = null): Design =>
      applyEdit(
        applyEdit(whole(GECKO), { edit: 'markStep', change: { step: first, change: { done } } }, catalogue),
        { edit: 'setStart', change: { start } },
        catalogue,
      );
    const on = (design: Design, today: string) => planOf(design, assess(design, catalogue), catalogue, today);
    const [then, later] = ['2026-11-25', '2026-12-04'].map((day) => on(ticked('2026-11-25'), day));
    expect([then!.start, later!.start]).toEqual(['2026-11-25', '2026-11-25']);
    const own = later!.steps.find((it) => it.step.id === first)!;
    expect([own.done, own.from]).toEqual(['2026-11-25', '2026-11-25']);
    // Nine days in which nothing was done put moving in nine days off.
    expect(daysTill(then!.moveIn, later!.moveIn)).toBe(9);
    // What was done before the day that was typed is kept.
    expect(on(ticked('2026-11-20', '2026-11-25'), '2026-11-25').start).toBe('2026-11-20');
    expect(on(ticked('2026-11-25', '2026-11-20'), '2026-11-25').start).toBe('2026-11-20');
  });
  it('the day told is one before which half of all plans are through: it lies in its own window', () => {
    for (const animal of catalogue.animals) {
      const it = plan(whole(animal.id));
      expect(it.early <= it.moveIn && it.moveIn <= it.late, animal.id).toBe(true);
    }
  });
  it('a step whose work is done waits: its wait is kept, and what follows comes after it', () => {
    const design = whole(GECKO);
    const id = 'background-background-1';
    const worked = mark(design, id, { worked: TODAY });
    const own = stepOf(worked, id);
    const { wait } = own.step;
    expect(own).toMatchObject({
      state: 'waiting',
      worked: TODAY,
      done: null,
      until: own.to,
    });
    expect(own.until! > dayAfter(TODAY, wait!.low)).toBe(true);
    // The smell is looked for after it has cured, as before; only the work is over.
    expect(stepOf(worked, 'smell').open).toBe(false);
    const mean = (wait!.low + wait!.likely + wait!.high) / 3;
    expect(stepOf(worked, 'smell').from).toBe(dayAfter(TODAY, mean));
    expect(stepOf(design, 'smell').from >= dayAfter(TODAY, mean)).toBe(true);
    // A wait that is over by the calendar is not over before it is said: what follows is put off day by day.
    const late = dayAfter(TODAY, wait!.high + 10);
    expect(stepOf(worked, id, late)).toMatchObject({ state: 'waiting', to: late });
    expect(stepOf(mark(worked, id, { done: late }), id, late)).toMatchObject({
      state: 'done',
      worked: TODAY,
    });
    expect(stepOf(mark(worked, id, { done: late }), 'smell', late).open).toBe(true);
  });
  it('plants and crew that are in quarantine or breed keep the days they need', () => {
    const design = whole(GECKO);
    const apart = mark(design, 'plants-quarantine', { worked: TODAY });
    const planting = (of: Design): number => daysTill(TODAY, stepOf(of, 'plant').from);
    expect(planting(apart)).toBeGreaterThanOrEqual(27);
    expect(Math.abs(planting(apart) - planting(design))).toBeLessThanOrEqual(1);
    const crew = mark(design, 'crew', { worked: TODAY });
    expect(daysTill(TODAY, stepOf(crew, 'crew-seen').from)).toBeGreaterThanOrEqual(28);
  });
  it('one that is being done is not done; one left out holds nothing up but its check stays shut', () => {
    const design = whole(GECKO);
    const begun = mark(design, 'soil', { begun: TODAY });
    expect(stepOf(begun, 'soil')).toMatchObject({ state: 'under way', begun: TODAY, from: TODAY });
    expect(plan(begun).left).toBe(plan(design).left);
    const out = mark(mark(design, 'crew-seen', { begun: TODAY }), 'crew-seen', { skipped: 'seen last week' });
    expect(stepOf(out, 'crew-seen')).toMatchObject({
      state: 'left out',
      begun: null,
      skipped: 'seen last week',
    });
    const gate = plan(out).gates.find((it) => it.id === 'crew')!;
    expect([gate.open, words(gate.because)]).toEqual([
      false,
      'the crew was not yet seen with young: left out, seen last week',
    ]);
    expect(stepOf(mark(out, 'crew-seen', { done: TODAY }), 'crew-seen')).toMatchObject({
      state: 'done',
      skipped: null,
    });
  });
  it('quarantine begun in the plan is the quarantine of Living, and tests too; over, its gate opens by itself', () => {
    const begun = mark(whole(GECKO), 'quarantine', { worked: '2026-11-01' });
    expect(begun.living.moveIn).toEqual({ quarantine: '2026-11-01', tested: null });
    expect(stepOf(begun, 'quarantine').state).toBe('waiting');
    expect(stepOf(begun, 'quarantine', '2027-06-01').state).toBe('done');
    const tested = mark(begun, 'tests', { done: '2026-11-20' });
    expect(tested.living.moveIn.tested).toBe('2026-11-20');
    expect(mark(tested, 'tests', { done: null }).living.moveIn.tested).toBeNull();
  });
  it('what a step puts in is in from its day: plants are planted, lamps lit; taken back, they are not', () => {
    const design = whole('anolis-carolinensis');
    const days = (of: Design) => [
      new Set(of.living.plants.map((it) => it.planted)),
      new Set(of.climate.devices.map((it) => it.since)),
    ];
    const none = new Set([null]);
    expect(days(design)).toEqual([none, none]);
    const planted = mark(design, 'plant', { done: '2026-11-20' });
    expect(days(planted)).toEqual([new Set(['2026-11-20']), none]);
    const lit = mark(planted, 'climate', { done: '2026-11-18' });
    expect(days(lit)).toEqual([new Set(['2026-11-20']), new Set(['2026-11-18'])]);
    expect(days(mark(lit, 'plant', { done: '2026-11-22' }))[0]).toEqual(new Set(['2026-11-22']));
    expect(days(mark(mark(lit, 'plant', { done: null }), 'climate', { done: null }))).toEqual([none, none]);
    // What was said of one by itself stays.
    const [first] = design.living.plants;
    const own = applyEdit(
      design,
      { edit: 'setPlant', change: { plant: first!.id, change: { planted: '2026-01-05' } } },
      catalogue,
    );
    expect(mark(own, 'plant', { done: '2026-11-20' }).living.plants[0]!.planted).toBe('2026-01-05');
  });
  it('what is read is judged: out of its band the gate stays shut, whatever was ticked', () => {
    const design = whole(GECKO);
    const { step } = stepOf(design, 'measure');
    const temperatures = step.measures.filter((it) => it.band?.unit === 'temperature');
    expect(temperatures.length).toBeGreaterThan(2);
    const read = (celsius: (low: number, high: number) => number) =>
      step.measures.map(({ what, band }) => ({
        what,
        value: '',
        number:
          band?.unit === 'temperature' ? celsius(band.low!, band.high!) : (band!.low! + band!.high!) / 2,
      }));
    const hot = mark(design, 'measure', { done: TODAY, read: read(() => 39) });
    const gate = (of: Design) => plan(of).gates.find((it) => it.id === 'band')!;
    expect(gate(hot).open).toBe(false);
    expect(words(gate(hot).because)).toMatch(/^warm side, by day was 39 °C, over \d+(\.\d)? °C$/);
    expect(stepOf(hot, 'measure')).toMatchObject({ state: 'under way', done: null });
    expect(stepOf(hot, 'move-in').open).toBe(false);
    const right = mark(design, 'measure', { done: TODAY, read: read((low, high) => (low + high) / 2) });
    expect([gate(right).open, gate(right).because]).toEqual([true, []]);
    const edge = mark(design, 'measure', { done: TODAY, read: read((low) => low) });
    expect(gate(edge).open).toBe(true);
    expect(gate(mark(design, 'measure', { done: TODAY, read: read((low) => low - 0.1) })).open).toBe(false);
    // In words alone it is the keeper who says so.
    const told = read(() => 39).map((it) => ({ ...it, value: 'fine', number: null }));
    expect(gate(mark(design, 'measure', { done: TODAY, read: told })).open).toBe(true);
  });
  it('quarantine and tests written down in Living count', () => {
    const design = applyEdit(
      whole(GECKO),
      { edit: 'setLiving', change: { moveIn: { quarantine: '2026-08-01', tested: '2026-09-01' } } },
      catalogue,
    );
    const gates = plan(design).gates.filter((it) => it.id === 'quarantine' || it.id === 'tests');
    expect(gates.map((it) => it.open)).toEqual([true, true]);
    const young = applyEdit(
      design,
      { edit: 'setLiving', change: { moveIn: { quarantine: '2026-11-20', tested: null } } },
      catalogue,
    );
    expect(plan(young).gates.filter((it) => it.open)).toEqual([]);
  });
  it('what the demo calls done are steps of its builds, one after the other', () => {
    for (const design of demoDesigns(catalogue)) {
      const { steps, gates } = plan(design);
      const ids = steps.map((it) => it.step.id);
      for (const mark of design.plan.marks) expect(ids, design.name).toContain(mark.step);
      for (const it of steps)
        if (it.done !== null)
          for (const before of it.step.after) {
            const own = steps.find((other) => other.step.id === before)!;
            expect(
              own.done !== null && own.done <= it.done,
              `${design.name}: ${before} before ${it.step.id}`,
            ).toBe(true);
          }
      if (design.brief.stage === 'inhabited') expect(gates.every((it) => it.open)).toBe(true);
    }
  });
  it('days are counted on the calendar', () => {
    expect(daysTill('2026-02-27', '2026-03-01')).toBe(2);
    expect(dayAfter('2028-02-28', 1)).toBe('2028-02-29');
    expect(dayAfter('2026-12-31', 1.9)).toBe('2027-01-01');
  });
});

describe('moving in', () => {
  it('into its winter rest is told with the days of the rest, awake it is not', () => {
    // A Hermann’s tortoise rests from 15 November for 15 weeks: fed last on 1 November, first on 7 March.
    const tortoise = whole('testudo-hermanni');
    const then = { from: '2026-11-01', until: '2027-03-07' };
    const winter = plan(tortoise, '2026-10-20');
    expect(winter.moveIn > then.from && winter.moveIn < then.until).toBe(true);
    expect(winter.restsThen).toEqual(then);
    expect(plan(tortoise, '2027-03-01').restsThen).toBeNull();
    expect(plan(whole(GECKO), '2026-10-20').restsThen).toBeNull();
    expect(plan(mark(tortoise, 'move-in', { done: '2026-12-01' }), '2026-12-02').restsThen).toBeNull();
  });
});

describe('how long is waited, and where the animal is', () => {
  const set = (design: Design, change: Partial<Pick<Design['plan'], 'pace' | 'animal'>>): Design =>
    applyEdit(design, { edit: 'setPlan', change }, catalogue);
  const ids = (design: Design): string[] => plan(design).steps.map((it) => it.step.id);
  const here = set(whole(GECKO), { animal: { comes: 'here', day: null } });

  it('an animal that is here already is neither quarantined nor tested, and nothing of it holds it back', () => {
    expect(ids(whole(GECKO))).toEqual(expect.arrayContaining(['quarantine', 'tests']));
    expect(ids(here)).not.toContain('quarantine');
    expect(ids(here)).not.toContain('tests');
    expect(plan(here).gates.map((it) => it.id)).not.toContain('quarantine');
    expect(stepOf(here, 'move-in').step.why).toMatch(/waits where it is/);
  });

  it('one that is sent is received on its day, and its quarantine begins then', () => {
    const sent = set(whole(GECKO), { animal: { comes: 'post', day: '2026-12-20' } });
    expect(stepOf(sent, 'arrives').from).toBe('2026-12-20');
    expect(stepOf(sent, 'quarantine').from >= '2026-12-20').toBe(true);
    expect(plan(sent).moveIn > plan(whole(GECKO)).moveIn).toBe(true);
  });

  it('what lives in water is tempered before it moves in, by the temperature of both waters; a frog of the land is not', () => {
    const newts = whole('pleurodeles-waltl');
    const { step, timed } = stepOf(newts, 'temper');
    expect(words(step.measures[0]!.wanted)).toBe('within 1 °C');
    expect(timed.start).toBeGreaterThanOrEqual(stepOf(newts, 'quarantine').timed.end - 1e-9);
    expect(stepOf(newts, 'move-in').timed.start).toBeGreaterThanOrEqual(timed.end - 1e-9);
    expect(ids(whole('dendrobates-tinctorius'))).not.toContain('temper');
  });

  it('cautious waits longer and quick shorter for plants, crew and the nose; what hardens takes as long as it takes', () => {
    const at = (pace: Design['plan']['pace']) => set(here, { pace });
    const wait = (pace: Design['plan']['pace'], id: string) => stepOf(at(pace), id).step.wait;
    // By hand: 14, 28 and 56 days for roots.
    expect(wait('quick', 'rooted')).toEqual({ low: 7, likely: 14, high: 28 });
    expect(wait('usual', 'rooted')).toEqual({ low: 14, likely: 28, high: 56 });
    expect(wait('cautious', 'rooted')).toEqual({ low: 28, likely: 56, high: 84 });
    // Foam that airs for 14 to 28 days: a night at the least where one asks the nose.
    expect(wait('quick', 'smell')).toEqual({ low: 1, likely: 2, high: 7 });
    expect(wait('usual', 'smell')).toEqual({ low: 2, likely: 7, high: 28 });
    expect(wait('cautious', 'smell')).toEqual({ low: 7, likely: 28, high: 42 });
    expect(wait('quick', 'background-background-1')).toEqual(wait('cautious', 'background-background-1'));
    const days = (pace: Design['plan']['pace']): number => daysTill(TODAY, plan(at(pace)).moveIn);
    expect(days('quick')).toBeLessThan(days('usual') - 10);
    expect(days('cautious')).toBeGreaterThan(days('usual') + 20);
  });

  it('a rebuild, given up or not, keeps both', () => {
    const own = set(here, { pace: 'quick' });
    const rebuilt = applyEdit(own, { edit: 'beginRebuild', change: { since: TODAY } }, catalogue);
    for (const design of [rebuilt, applyEdit(rebuilt, { edit: 'dropRebuild', change: {} }, catalogue)])
      expect(design.plan).toMatchObject({ pace: 'quick', animal: { comes: 'here' } });
  });
});
