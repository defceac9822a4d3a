import { isDeepStrictEqual } from 'node:util';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { assess } from '../assess';
import { DRAINAGE_METHOD_IDS } from '../catalogue';
import type { Design } from '../document';
import { applyEdit, REGION_KINDS, type EditCall } from '../edits';
import { seededRandom } from '../random';
import { fresh, keeping } from './kept';

const designs = demoDesigns(catalogue);
const design = designs[0]!;

/** An edit as a hand at any place of the program may make it. */
function anEdit(now: Design, next: () => number): EditCall {
  const one = <T>(all: readonly T[]): T => all[Math.floor(next() * all.length)]!;
  const layer = one(now.ground.layers);
  const piece = one(now.scape.pieces);
  const device = one(now.climate.devices);
  const plant = one(now.living.plants);
  const all: readonly (EditCall | false)[] = [
    { edit: 'setNote', change: { note: `note ${next()}` } },
    { edit: 'setCount', change: { count: 1 + Math.floor(next() * 5) } },
    { edit: 'setAnimal', change: { animal: one(catalogue.animals).id } },
    { edit: 'setRoom', change: { kind: one(['dry', 'middle', 'humid', null] as const) } },
    { edit: 'setEnclosure', change: { width: 0.3 + next() } },
    { edit: 'setEnclosure', change: { topCover: next() } },
    { edit: 'setWaterDepth', change: { depth: next() * 0.06 } },
    { edit: 'setMoistShare', change: { share: next() } },
    { edit: 'setMethod', change: { method: one(DRAINAGE_METHOD_IDS) } },
    layer && {
      edit: 'setThickness',
      change: { layer: layer.id, corners: ['frontLeft'], thickness: 0.01 + next() * 0.08 },
    },
    { edit: 'addRegion', change: { kind: one(REGION_KINDS) } },
    piece && { edit: 'movePiece', change: { piece: piece.id, to: { x: next(), y: next() } } },
    piece && { edit: 'removePiece', change: { piece: piece.id } },
    device && { edit: 'setDevice', change: { device: device.id, change: { dim: next() } } },
    device && { edit: 'removeDevice', change: { device: device.id } },
    plant && { edit: 'removePlant', change: { plant: plant.id } },
    { edit: 'setCrew', change: { kind: one(catalogue.living.crew).id, count: Math.floor(next() * 60) } },
    { edit: 'setClimateRoom', change: { altitude: next() * 2000 } },
    { edit: 'setStart', change: { start: '2026-12-01' } },
  ];
  return one(all.filter((it): it is EditCall => it !== false && it !== undefined));
}

describe('an assessment that keeps what an edit leaves alone', () => {
  it('is the same as one made anew, after any edits, undone ones too', () => {
    fc.assert(
      fc.property(fc.integer(), (seed) => {
        const next = seededRandom(seed);
        const keep = keeping();
        const past: Design[] = [designs[Math.floor(next() * designs.length)]!];
        for (let step = 0; step < 10; step += 1) {
          const now = past.at(-1)!;
          if (past.length > 2 && next() < 0.2) past.pop();
          else past.push(applyEdit(now, anEdit(now, next), catalogue));
          const after = past.at(-1)!;
          const shelf: Record<string, number> = next() < 0.2 ? { coir: next() * 0.01 } : {};
          const [kept, anew] = [assess(after, catalogue, shelf, keep), assess(after, catalogue, shelf)];
          // Far quicker than the matcher, which is asked where they differ.
          if (!isDeepStrictEqual(kept, anew)) expect(kept).toEqual(anew);
        }
      }),
      { numRuns: 25 },
    );
  });

  it('takes over what reads nothing that changed, as the same objects', () => {
    const keep = keeping();
    const shelf = {};
    const before = assess(design, catalogue, shelf, keep);
    const noted = applyEdit(design, { edit: 'setNote', change: { note: 'x' } }, catalogue);
    const after = assess(noted, catalogue, shelf, keep);
    for (const part of ['ground', 'scape', 'living', 'lists', 'moisture', 'drainage', 'loads'] as const)
      expect(after[part], part).toBe(before[part]);
    const dimmed = applyEdit(
      design,
      { edit: 'setDevice', change: { device: design.climate.devices[0]!.id, change: { dim: 0.4 } } },
      catalogue,
    );
    expect(assess(dimmed, catalogue, shelf, keep).ground).toBe(before.ground);
    const wetter = applyEdit(design, { edit: 'setWaterDepth', change: { depth: 0.04 } }, catalogue);
    const wet = assess(wetter, catalogue, shelf, keep);
    expect(wet.ground).not.toBe(before.ground);
    expect(wet.standingWater).toBe(assess(wetter, catalogue).standingWater);
  });

  it('calculates again when a value it read is another one, and only then', () => {
    const keep = keeping();
    let times = 0;
    const ask = (inputs: { readonly design: Design; readonly a: number; readonly b: number }): number =>
      keep('sum', inputs, (it) => {
        times += 1;
        return it.a + it.design.enclosure.width;
      });
    expect(ask({ design, a: 1, b: 1 })).toBe(1 + design.enclosure.width);
    // What it does not read may change.
    ask({ design, a: 1, b: 2 });
    ask({ design: { ...design, name: 'another' }, a: 1, b: 3 });
    expect(times).toBe(1);
    ask({ design, a: 2, b: 3 });
    ask({ design: { ...design, enclosure: { ...design.enclosure } }, a: 2, b: 3 });
    expect(times).toBe(3);
    expect(fresh('sum', { design, a: 5 }, (it) => it.a)).toBe(5);
  });
});
