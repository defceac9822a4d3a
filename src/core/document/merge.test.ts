import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { applyEdit, type EditCall } from '../edits';
import { mergeDesigns, valueAt, withValue } from './merge';
import { refusalIn } from './refusal';
import type { Design } from './schema';

const base = demoDesigns(catalogue).find((it) => it.ground.layers.length > 3)!;
const on = (design: Design, ...calls: readonly EditCall[]): Design =>
  calls.reduce((now, call) => applyEdit(now, call, catalogue), design);
const room = (temperature: number): EditCall => ({
  edit: 'setRoom',
  change: { temperature },
});
const name = (to: string): EditCall => ({ edit: 'rename', change: { name: to } });
const note = (to: string): EditCall => ({ edit: 'setNote', change: { note: to } });

describe('two sides of one document', () => {
  it('keeps what either changed where they changed different fields', () => {
    const { design, clashes } = mergeDesigns(base, on(base, room(19)), on(base, name('Fen'), note('wet')));
    expect(clashes).toEqual([]);
    expect(design).toEqual(on(base, room(19), name('Fen'), note('wet')));
  });

  it('of one field that both set, theirs stands and mine can be had', () => {
    const { design, clashes } = mergeDesigns(base, on(base, room(19), note('mine')), on(base, room(23)));
    expect(design.brief).toEqual({
      ...base.brief,
      note: 'mine',
      room: { ...base.brief.room, temperature: 23 },
    });
    expect(clashes).toEqual([{ path: ['brief', 'room', 'temperature'], mine: 19, theirs: 23 }]);
    expect(withValue(design, clashes[0]!.path, 19)).toEqual(on(base, room(19), note('mine')));
  });

  it('the same change on both sides is none', () => {
    expect(mergeDesigns(base, on(base, room(19)), on(base, room(19)))).toEqual({
      design: on(base, room(19)),
      clashes: [],
    });
  });

  const layers = base.ground.layers;
  const ground = (change: Partial<Design['ground']>): Design => ({
    ...base,
    ground: { ...base.ground, ...change },
  });
  const leaf = layers.at(-1)!;

  it('members of a list are told apart by their id: one is added, another taken out, a third changed', () => {
    const added = { ...leaf, id: 'added' };
    const [low, second] = layers;
    const changed = {
      ...low!,
      thickness: { frontLeft: 0.07, frontRight: 0.07, backLeft: 0.07, backRight: 0.07 },
    };
    const mine = ground({
      layers: [...layers, added].map((it) => (it === low ? changed : it)) as typeof layers,
    });
    const theirs = ground({ layers: layers.filter((it) => it !== second) });
    const { design, clashes } = mergeDesigns(base, mine, theirs);
    expect(clashes).toEqual([]);
    expect(design.ground.layers).toEqual([changed, ...layers.slice(2), added]);
  });

  it('what one took out and the other changed is told, and stands as the other has it', () => {
    const mine = ground({ layers: layers.filter((it) => it !== leaf) });
    const deep = { frontLeft: 0.033, frontRight: 0.033, backLeft: 0.033, backRight: 0.033 };
    const theirs = ground({ layers: [...layers.slice(0, -1), { ...leaf, thickness: deep } as typeof leaf] });
    const { design, clashes } = mergeDesigns(base, mine, theirs);
    expect(design.ground.layers).toEqual(theirs.ground.layers);
    expect(clashes.map((it) => [it.path, it.mine])).toEqual([
      [['ground', 'layers', `#${leaf.id}`], undefined],
    ]);
    expect(withValue(design, clashes[0]!.path, undefined).ground.layers).toEqual(mine.ground.layers);
    // The other way round it is gone, and the changed one can be had.
    const back = mergeDesigns(base, theirs, mine);
    expect(back.design).toEqual(mine);
    expect(withValue(back.design, back.clashes[0]!.path, back.clashes[0]!.mine)).toEqual(theirs);
  });

  it('an order changed by one side holds for what the other added', () => {
    const turned = layers.toReversed();
    const added = { ...leaf, id: 'added' };
    const { design } = mergeDesigns(base, ground({ layers: turned }), ground({ layers: [...layers, added] }));
    expect(design.ground.layers.map((it) => it.id)).toEqual([
      leaf.id,
      'added',
      ...turned.slice(1).map((it) => it.id),
    ]);
    expect(
      mergeDesigns(base, ground({ layers: [...layers, added] }), ground({ layers: turned })).design.ground
        .layers,
    ).toHaveLength(layers.length + 1);
  });

  it('two orders of one list clash, and the other one can be had', () => {
    const turned = layers.toReversed();
    const moved = [...layers.slice(1), layers[0]!];
    const { design, clashes } = mergeDesigns(base, ground({ layers: turned }), ground({ layers: moved }));
    expect(design.ground.layers).toEqual(moved);
    expect(clashes.map((it) => it.path)).toEqual([['ground', 'layers', '#']]);
    expect(withValue(design, clashes[0]!.path, clashes[0]!.mine).ground.layers).toEqual(turned);
    expect(valueAt(design, clashes[0]!.path)).toEqual(moved.map((it) => it.id));
  });

  it('two ways out for the water are not mixed into one that is neither', () => {
    const mine = ground({ outlet: { kind: 'drain', bore: 0.02, height: 0.03 } });
    const theirs = ground({ outlet: { kind: 'siphon', diameter: 0.02, at: { x: 0.1, y: 0.1 } } });
    const { design, clashes } = mergeDesigns(base, mine, theirs);
    expect(design.ground.outlet).toEqual(theirs.ground.outlet);
    expect(clashes).toEqual([
      { path: ['ground', 'outlet'], mine: mine.ground.outlet, theirs: theirs.ground.outlet },
    ]);
  });

  it('where the two together could not be read, theirs stands and all of mine is told', () => {
    const same = { ...leaf, id: 'one' } as typeof leaf;
    const region = (id: string, layer: typeof leaf): Design['ground']['regions'][number] => ({
      id,
      name: id,
      outline: [
        { x: 0, y: 0 },
        { x: 0.1, y: 0 },
        { x: 0.1, y: 0.1 },
      ],
      replaces: 'topping',
      moistShare: null,
      layers: [layer],
    });
    const mine = ground({ regions: [region('a', same)] });
    const theirs = ground({ regions: [region('b', same)] });
    expect([refusalIn(mine), refusalIn(theirs)]).toEqual([null, null]);
    const { design, clashes } = mergeDesigns(base, mine, theirs);
    expect(design).toEqual(theirs);
    expect(clashes.map((it) => [it.path, it.mine])).toEqual([
      [['ground', 'regions', '#a'], mine.ground.regions[0]],
    ]);
  });

  const calls: readonly EditCall[] = [
    room(17),
    room(25),
    name('One'),
    name('Two'),
    note('n'),
    { edit: 'setCount', change: { count: 4 } },
    { edit: 'setStage', change: { stage: 'inhabited', since: '2026-01-05' } },
    { edit: 'setWaterDepth', change: { depth: 0.011 } },
    { edit: 'removeLayer', change: { layer: leaf.id } },
    { edit: 'removeLayer', change: { layer: layers[1]!.id } },
  ];
  const some = fc.subarray([...calls]);
  const seeded = { seed: 20, numRuns: 300 };

  it('one side alone is taken as it is; nothing either did is lost without a word', () => {
    fc.assert(
      fc.property(some, some, (ours, others) => {
        const [mine, theirs] = [on(base, ...ours), on(base, ...others)];
        expect(mergeDesigns(base, mine, base)).toEqual({ design: mine, clashes: [] });
        expect(mergeDesigns(base, base, theirs)).toEqual({ design: theirs, clashes: [] });
        const { design, clashes } = mergeDesigns(base, mine, theirs);
        expect(refusalIn(design)).toBeNull();
        // Each clash taken after all gives a document in which my value stands at that field.
        for (const it of clashes)
          expect(valueAt(withValue(design, it.path, it.mine), it.path)).toEqual(it.mine);
        // The other way round the same fields clash, and all else is the same.
        const back = mergeDesigns(base, theirs, mine);
        expect(new Set(back.clashes.map((it) => it.path.join()))).toEqual(
          new Set(clashes.map((it) => it.path.join())),
        );
      }),
      seeded,
    );
  });
});
