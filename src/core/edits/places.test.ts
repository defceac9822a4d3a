import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { assess } from '../assess';
import type { Design } from '../document';
import { METRIC, formatMessage } from '../units';
import { applyEdit, type EditCall } from './edits';

const edited = (design: Design, ...calls: EditCall[]): Design =>
  calls.reduce((it, call) => applyEdit(it, call, catalogue), design);
const found = (design: Design, code: string) =>
  assess(design, catalogue).findings.filter((it) => it.code === code);
const TALL = firstDesign('rhacodactylus-auriculatus', 'middle', [], {
  size: { width: 0.45, depth: 0.45, height: 0.6 },
});

describe('branches from wall to wall', () => {
  const three = [0.02, 0.03, 0.02].reduce<Design>(
    (it, diameter) => edited(it, { edit: 'addPerch', change: { diameter } }),
    TALL,
  );
  const added = three.scape.pieces.slice(-3);

  it('run through nothing, each at a place of its own', () => {
    expect(found(three, 'pieces-clash')).toEqual([]);
    const places = added.map(({ at, support }) => `${at.y} ${support.on === 'wall' ? support.height : ''}`);
    expect(new Set(places).size).toBe(3);
  });

  it('are cut to the width between the walls', () => {
    for (const { at, body } of added) {
      expect(at.x).toBe(0);
      expect(body).toMatchObject({ shape: 'rod', run: { x: 0.45, y: 0 }, rise: 0 });
    }
    expect(found(three, 'pole-too-short')).toEqual([]);
    expect(found(three, 'piece-outside')).toEqual([]);
  });

  it('one that is too short by 12 cm is told so, and its fix lets it reach the wall itself', () => {
    const perch = added[0];
    const short = edited(three, {
      edit: 'setPiece',
      change: {
        piece: perch!.id,
        change: { body: { shape: 'rod', run: { x: 0.33, y: 0 }, rise: 0, diameter: 0.02, wall: null } },
      },
    });
    const [told] = found(short, 'pole-too-short');
    expect(formatMessage(told!.what, { prefs: METRIC, locale: 'en-GB' })).toMatch(
      /ends 12\scm short of the right wall/,
    );
    const mended = edited(short, told!.remedies[0]!.call!);
    expect(mended.scape.pieces.find((it) => it.id === perch!.id)!.body).toMatchObject({
      run: { x: 0.45, y: 0 },
    });
    expect(found(mended, 'pole-too-short')).toEqual([]);
    expect(found(mended, 'piece-outside')).toEqual([]);
  });

  it('between the faces of a background, where one is on the side', () => {
    const backed = edited(
      firstDesign('rhacodactylus-auriculatus', 'middle', [], {
        size: { width: 0.45, depth: 0.45, height: 0.6 },
      }),
      { edit: 'addBackground', change: { wall: 'left', kind: 'cork-tile' } },
      { edit: 'addPerch', change: { diameter: 0.02 } },
    );
    const back = backed.scape.backgrounds.find((it) => it.wall === 'left')!;
    const { at, body } = backed.scape.pieces.at(-1)!;
    expect(at.x).toBeCloseTo(back.thickness + back.gap, 6);
    expect(body.shape === 'rod' && body.run.x).toBeCloseTo(0.45 - at.x, 6);
  });
});

describe('pieces that stand in each other', () => {
  const DRAGONS = firstDesign('physignathus-cocincinus', 'middle', [], {
    size: { width: 2.4, depth: 1.4, height: 2.2 },
  });

  it('the lighter one is moved by one button to where there is room', () => {
    const tub = DRAGONS.scape.pieces.find((it) => it.kind === 'soaking-tub')!;
    const wide = edited(DRAGONS, {
      edit: 'setPiece',
      change: {
        piece: tub.id,
        change: { body: { ...tub.body, width: 0.8, depth: 0.6, height: 0.2 } as typeof tub.body },
      },
    });
    const clashes = found(wide, 'pieces-clash');
    expect(clashes.length).toBeGreaterThan(0);
    const mended = edited(wide, clashes[0]!.remedies[0]!.call!);
    expect(found(mended, 'pieces-clash')).toHaveLength(clashes.length - 1);
    expect(mended.scape.pieces.find((it) => it.id === tub.id)!.at).toEqual(
      wide.scape.pieces.find((it) => it.id === tub.id)!.at,
    );
  });
});

describe('dishes and tubs', () => {
  const BOX = firstDesign('eublepharis-macularius', 'middle', [{ edit: 'clearScape', change: {} }]);
  const tub = (height: number): Design =>
    edited(
      BOX,
      { edit: 'addPiece', change: { kind: 'soaking-tub' } },
      {
        edit: 'setPiece',
        change: {
          piece: 'piece-1',
          change: {
            body: { shape: 'block', form: 'box', width: 0.3, depth: 0.2, height, turn: 0, wall: 0.004 },
          },
        },
      },
      { edit: 'setSupport', change: { piece: 'piece-1', support: { on: 'ground', sunk: 0.02 } } },
    );

  it('weigh with their water, four fifths full', () => {
    const { holds, mass, placed } = assess(tub(0.12), catalogue).scape.pieces[0]!;
    // 29.2 × 19.2 × 11.6 cm inside.
    expect(holds * 1000).toBeCloseTo(0.8 * 2.92 * 1.92 * 1.16, 1);
    expect(mass).toBeCloseTo(placed.solid.stuff * 950 + holds * 998, 2);
  });

  it('tall enough, are let in to the floor as they are', () => {
    const down = edited(tub(0.3), { edit: 'standOnFloor', change: { piece: 'piece-1' } });
    expect(down.scape.pieces[0]!.support).toEqual({ on: 'floor' });
    expect(down.scape.pieces[0]!.body).toMatchObject({ height: 0.3 });
    // A shallow one would lie under the soil: it is built up to its rim.
    const shallow = edited(tub(0.06), { edit: 'standOnFloor', change: { piece: 'piece-1' } });
    const { placed } = assess(shallow, catalogue).scape.pieces[0]!;
    expect(placed.solid.bounds.z1 - placed.ground).toBeGreaterThanOrEqual(0.02);
  });
});

describe('what people call a piece', () => {
  it.each([
    ['hide', 'pot-hide'],
    ['hollow', 'hollow-log'],
    ['pot', 'clay-cave'],
    ['stepping stone', 'flat-stone'],
    ['spawning', 'floating-tube'],
  ])('%s finds %s', (word, id) => {
    expect(catalogue.scape.pieces.find((it) => it.id === id)?.words).toContain(word);
  });
});
