import { daysTill } from '../time';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { assess } from '../assess';
import { allLayers, type Design } from '../document';
import { applyEdit, type EditCall } from '../edits';
import { standingOf } from '../document/standing';
import { CORNERS } from '../ground/corners';
import { heldBy, inOrder, planOf, rebuildOf, rebuiltLines, stepsOf, takesOf, type Fate } from '.';

const TODAY = '2026-11-25';
const DEMO = demoDesigns(catalogue);
const edit = (design: Design, ...calls: readonly EditCall[]): Design =>
  calls.reduce((it, call) => applyEdit(it, call, catalogue), design);
const begun = (name: string): Design =>
  edit(
    DEMO.find((it) => it.name === name)!,
    { edit: 'setStage', change: { stage: 'inhabited', since: null } },
    { edit: 'beginRebuild', change: { since: TODAY } },
  );
const rebuild = (design: Design) => rebuildOf(design, assess(design, catalogue), catalogue)!;
const plan = (design: Design) => planOf(design, assess(design, catalogue), catalogue, TODAY);
const layer = (design: Design, kind: 'substrate' | 'drainage') =>
  allLayers(design.ground)
    .filter((it) => it.kind === kind)
    .at(-1)?.id ?? 'none';
const thicker = (design: Design, kind: 'substrate' | 'drainage', by: number): Design =>
  edit(design, { edit: 'shiftThickness', change: { layer: layer(design, kind), corners: CORNERS, by } });
const fates = (design: Design, group: string): Fate[] =>
  rebuild(design)
    .rows.filter((it) => it.group === group)
    .map((it) => it.fate);

const anyEdit = fc.constantFrom<(design: Design) => Design>(
  (it) => thicker(it, 'substrate', 0.03),
  (it) => thicker(it, 'substrate', -0.02),
  (it) => (it.ground.layers.some((own) => own.kind === 'drainage') ? thicker(it, 'drainage', 0.02) : it),
  (it) => edit(it, { edit: 'addLayer', change: { kind: 'thin' } }),
  (it) => edit(it, { edit: 'addRegion', change: { kind: 'pool' } }),
  (it) => edit(it, { edit: 'addRegion', change: { kind: 'moist-end' } }),
  (it) => edit(it, { edit: 'setEnclosure', change: { width: it.enclosure.width + 0.1 } }),
  (it) => edit(it, { edit: 'setMethod', change: { method: 'raised-panel' } }),
  (it) => edit(it, { edit: 'setMethod', change: { method: 'none' } }),
  (it) => edit(it, { edit: 'proposeLiving', change: {} }),
  (it) => edit(it, { edit: 'proposeScape', change: {} }),
  (it) => edit(it, { edit: 'proposeClimate', change: {} }),
  (it) => edit(it, { edit: 'clearPlants', change: {} }),
  (it) => edit(it, { edit: 'setSchools', change: { renewal: 'replace' } }),
);

describe('from what stands to what is wanted', () => {
  it('changes nothing while nothing is changed', () => {
    for (const { name } of DEMO) {
      const it = rebuild(begun(name));
      expect(new Set(it.rows.map((row) => row.fate))).toEqual(new Set(['stays']));
      expect([it.dug, it.moved, it.siphoned]).toEqual([false, false, 0]);
      expect(plan(begun(name)).steps.map((own) => own.step.id)).not.toContain('dig-out');
    }
  });

  it('accounts for all of both: what stood is left, set aside or goes; what is wanted is left, back or new', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...DEMO.map((it) => it.name)),
        fc.array(anyEdit, { minLength: 1, maxLength: 5 }),
        (name, edits) => {
          const wanted = edits.reduce((it, change) => change(it), begun(name));
          const [was, is] = [assess(standingOf(wanted)!, catalogue), assess(wanted, catalogue)];
          const { rows, there } = rebuildOf(wanted, is, catalogue)!;
          const sum = (id: string, of: readonly Fate[]): number =>
            rows
              .filter((it) => it.group === 'ground' && it.id === id && of.includes(it.fate))
              .reduce((all, it) => all + (it.volume ?? 0), 0);
          for (const it of was.layers)
            if (it.need) expect(sum(it.layer.id, ['stays', 'back', 'out'])).toBeCloseTo(it.placed, 8);
          for (const it of is.layers)
            if (it.need) expect(sum(it.layer.id, ['stays', 'back', 'new'])).toBeCloseTo(it.placed, 8);
          // What is there already is never more than what is wanted of it.
          for (const [material, volume] of there) {
            const wantedOf = is.layers
              .flatMap((it) => it.need?.ingredients ?? [])
              .filter((it) => it.material === material)
              .reduce((all, it) => all + it.loose, 0);
            expect(volume).toBeLessThanOrEqual(wantedOf + 1e-9);
          }
          const ids = (design: Design): Record<string, string[]> => ({
            piece: design.scape.pieces.map((it) => it.id),
            background: design.scape.backgrounds.map((it) => it.id),
            device: design.climate.devices.map((it) => it.id),
            plant: design.living.plants.map((it) => it.id),
            crew: design.living.crew.map((it) => it.kind),
          });
          for (const [design, count] of [
            [standingOf(wanted)!, ['stays', 'back', 'out']],
            [wanted, ['stays', 'back', 'new']],
          ] as const)
            for (const [group, own] of Object.entries(ids(design)))
              expect(
                rows
                  .filter((it) => it.group === group && (count as readonly Fate[]).includes(it.fate))
                  .map((it) => it.id)
                  .sort(),
                `${group} ${count.join()}`,
              ).toEqual([...own].sort());

          // Everything that is put in stands in a step, and the steps can be put in order.
          const steps = stepsOf(wanted, is, catalogue);
          expect(() =>
            inOrder(steps.map((it) => ({ id: it.id, takes: takesOf(it), after: it.after }))),
          ).not.toThrow();
          const held = new Set(steps.flatMap((it) => it.holds));
          const wantedIds = heldBy(wanted);
          for (const it of rows)
            if ((it.fate === 'new' || it.fate === 'back') && it.group !== 'ground' && wantedIds.has(it.id))
              expect(held, `${it.name} ${it.fate}`).toContain(it.id);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('a top-up leaves soil, bed, plants and water where they are; litter and moss go on again', () => {
    const design = thicker(begun('Hedge'), 'substrate', 0.03);
    expect(rebuild(design).dug).toBe(false);
    expect(rebuild(design).siphoned).toBe(0);
    expect(new Set(fates(design, 'plant'))).toEqual(new Set(['stays']));
    const ids = plan(design).steps.map((it) => it.step.id);
    expect(ids).toEqual(expect.arrayContaining(['catch', 'litter-off', 'mix', 'soil', 'litter', 'move-in']));
    expect(ids).not.toContain('dig-out');
    expect(ids).not.toContain('quarantine');
    // Nothing was uprooted: the animals are back as soon as the soil lies.
    expect(ids).not.toContain('rooted');
    const { steps } = plan(design);
    const at = (id: string): string => steps.find((it) => it.step.id === id)!.from;
    expect(daysTill(at('catch'), at('move-in'))).toBeLessThanOrEqual(1);
  });

  it('a thicker bed: water, soil and barrier come out and go back, the old bed stays, more is laid on it', () => {
    const design = thicker(begun('Hedge'), 'drainage', 0.03);
    const it = rebuild(design);
    expect(it.dug).toBe(true);
    expect(it.siphoned).toBeGreaterThan(0);
    const bed = it.rows.filter((row) => row.id === layer(design, 'drainage'));
    expect(bed.map((row) => row.fate)).toEqual(['stays', 'new']);
    const { steps } = plan(design);
    const at = (id: string): number => steps.findIndex((own) => own.step.id === id);
    const days = (id: string): number => steps[at(id)]!.timed.start;
    for (const [one, other] of [
      ['waiting-box', 'catch'],
      ['catch', 'off'],
      ['off', 'litter-off'],
      ['litter-off', 'lift-plants'],
      ['lift-plants', 'pieces-out'],
      ['pieces-out', 'siphon'],
      ['siphon', 'dig-out'],
      ['dig-out', 'scrape'],
      ['scrape', 'drainage'],
      ['drainage', 'barrier'],
      ['barrier', 'soil'],
      ['soil', 'plant'],
      ['plant', 'litter'],
      ['litter', 'move-in'],
    ] as const)
      expect(days(one), `${one} before ${other}`).toBeLessThan(days(other));
    expect(steps.find((own) => own.step.id === 'move-in')!.step.title).toBe('Move all 3 back in');
  });

  it('who renews instead of topping up puts no old soil back', () => {
    const design = edit(thicker(begun('Hedge'), 'drainage', 0.03), {
      edit: 'setSchools',
      change: { renewal: 'replace' },
    });
    const soils = rebuild(design).rows.filter((row) => row.id === layer(design, 'substrate'));
    expect(soils.map((row) => row.fate).sort()).toEqual(['new', 'out']);
  });

  it('another enclosure moves everything; a panel in place of a bed digs all out', () => {
    const larger = edit(begun('Limestone'), { edit: 'setEnclosure', change: { width: 0.9 } });
    expect(fates(larger, 'box')).toEqual(['out', 'new']);
    expect(fates(larger, 'piece')).not.toContain('stays');
    expect(plan(larger).steps.map((it) => it.step.id)).toContain('leak-test');
    const panel = edit(begun('Limestone'), { edit: 'setMethod', change: { method: 'raised-panel' } });
    expect(rebuild(panel).dug).toBe(true);
  });

  it('another animal is quarantined and tested; the same is not', () => {
    const other = edit(begun('Limestone'), { edit: 'setAnimal', change: { animal: 'anolis-carolinensis' } });
    expect(plan(other).steps.map((it) => it.step.id)).toContain('quarantine');
    expect(plan(begun('Limestone')).steps.map((it) => it.step.id)).not.toContain('quarantine');
  });

  it('done, it leaves lines of what came and went; soil laid anew begins its age again, a bed does not', () => {
    const lines = (design: Design) => rebuiltLines(rebuild(design), design);
    const soil = thicker(begun('Hedge'), 'substrate', 0.03);
    expect(lines(soil).map((it) => [it.kind, it.rule ?? null])).toEqual([
      ['repair', null],
      ['care', 'soil'],
    ]);
    expect(lines(soil)[0]!.text).toMatch(/^Rebuilt\. New: .+\.$/);
    const bed = thicker(begun('Hedge'), 'drainage', 0.03);
    expect(lines(bed).map((it) => it.rule ?? null)).not.toContain('soil');
    expect(lines(bed)[0]!.text).toMatch(/^Rebuilt\. New: Clay pebbles/);
  });
  it('what is new of it is in since the day it was done; what stood keeps its own', () => {
    const before = begun('Bog shelf');
    const [old] = before.living.plants;
    const added = edit(before, {
      edit: 'addPlant',
      change: { kind: old!.kind },
    });
    const fresh = added.living.plants.find((it) => !before.living.plants.some((own) => own.id === it.id))!;
    expect(fresh.planted).toBeNull();
    const done = edit(added, { edit: 'endRebuild', change: { on: '2026-11-25' } });
    const planted = (id: string) => done.living.plants.find((it) => it.id === id)!.planted;
    expect(planted(fresh.id)).toBe('2026-11-25');
    expect(planted(old!.id)).toBe(old!.planted);
    expect(done.climate.devices.map((it) => it.since)).toEqual(before.climate.devices.map((it) => it.since));
  });
  it('begun, given up and done: the enclosure is as it stood, or as it is wanted', () => {
    const before = DEMO.find((it) => it.name === 'Hedge')!;
    const changed = thicker(begun('Hedge'), 'drainage', 0.03);
    const { ground } = changed;
    expect(edit(changed, { edit: 'dropRebuild', change: {} }).ground).toEqual(before.ground);
    const done = edit(changed, { edit: 'endRebuild', change: { on: '2026-11-25' } });
    expect(done.ground).toEqual(ground);
    expect(done.plan.standing).toBeNull();
    // What stood is kept once: a second beginning does not overwrite it.
    expect(edit(changed, { edit: 'beginRebuild', change: { since: TODAY } })).toBe(changed);
  });
});
