import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { assess } from '../assess';
import type { Design, Enclosure } from '../document';
import { applyEdit } from './edits';
import { turnedSides, usuallyInFront } from '../enclosure';
import { whatTurns } from './turn';

/** A tank of 90 × 35 × 45 cm that opens above, with a hole for a drain in its floor and one in its front. */
const tank = (): Design => {
  const design = firstDesign('dendrobates-tinctorius', 'middle', [], {
    size: { width: 0.9, depth: 0.35, height: 0.45 },
  });
  const bore = (id: string, wall: 'bottom' | 'front', across: number, up: number) => ({
    id,
    use: 'drain' as const,
    wall,
    across,
    up,
    diameter: 0.02,
  });
  const enclosure: Enclosure = {
    ...design.enclosure,
    front: 'fixed',
    top: 'open',
    watertightHeight: 0.45,
    made: {
      ...design.enclosure.made,
      ventLow: 0,
      bores: [bore('a', 'bottom', 0.8, 0.1), bore('b', 'front', 0.2, 0.3)],
    },
  };
  // A log of 60 cm along its back, which 35 cm have no room for.
  const logged = applyEdit(
    { ...design, enclosure },
    { edit: 'addPiece', change: { kind: 'log' } },
    catalogue,
  );
  const log = logged.scape.pieces.at(-1)!;
  const change = {
    name: 'Long log',
    body: { shape: 'rod', run: { x: 0.6, y: 0 }, rise: 0, diameter: 0.06, wall: null },
  } as const;
  return applyEdit(logged, { edit: 'setPiece', change: { piece: log.id, change } }, catalogue);
};
const turn = (design: Design, change = {}): Design =>
  applyEdit(design, { edit: 'turnEnclosure', change }, catalogue);

describe('a tank stood on its end', () => {
  const before = tank();
  const after = turn(before, { pieces: 'out' });

  it('has its lid in front, a door there with air above and below, and a sill that holds 13.5 cm', () => {
    expect(usuallyInFront(before.enclosure)).toBe('lid');
    expect(after.enclosure).toMatchObject({
      width: 0.35,
      depth: 0.45,
      height: 0.9,
      stands: 'on-end',
      front: 'doors',
      top: 'solid',
    });
    expect(after.enclosure.watertightHeight).toBeCloseTo(0.135, 9);
    expect(after.enclosure.made).toMatchObject({ doors: 'hinged', ventLow: 0.02, ventHigh: 0.02 });
  });

  it('its holes stay in their panes: that of the floor is behind, that of the front on the left', () => {
    // By hand, over the right side: (x, y, z) comes to (y, 0.45 − z, 0.9 − x). The one in the floor was at (0.1, 0.1, 0).
    expect(after.enclosure.made.bores).toMatchObject([
      { id: 'a', wall: 'back', across: expect.closeTo(0.35 - 0.1, 9), up: expect.closeTo(0.8, 9) },
      { id: 'b', wall: 'left', across: expect.closeTo(0.3, 9), up: expect.closeTo(0.7, 9) },
    ]);
    expect(turn(after).enclosure).toMatchObject({ width: 0.9, depth: 0.35, height: 0.45, front: 'fixed' });
    expect(turn(after).enclosure.made.bores).toMatchObject([
      { wall: 'bottom', across: expect.closeTo(0.8, 9), up: expect.closeTo(0.1, 9) },
      { wall: 'front', across: expect.closeTo(0.2, 9), up: expect.closeTo(0.3, 9) },
    ]);
  });

  it('what does not fit is told before, and comes out where that is chosen', () => {
    const told = whatTurns(before, 'lid', catalogue);
    expect(told.unfit.map((it) => it.name)).toEqual(['Long log']);
    const kept = turn(before, { pieces: 'keep' });
    expect(kept.scape.pieces).toHaveLength(before.scape.pieces.length);
    expect(after.scape.pieces.map((it) => it.id).sort()).toEqual(
      before.scape.pieces
        .filter((it) => !told.unfit.some((out) => out.id === it.id))
        .map((it) => it.id)
        .sort(),
    );
    for (const it of assess(after, catalogue).scape.pieces) {
      expect(it.sticksOut, it.placed.piece.name).toBeLessThan(0.0016);
      expect(it.goesIn, it.placed.piece.name).toBe(true);
    }
    // The bar over 90 cm is as long as 35 cm let it be, and it is told.
    expect(told.tooLong).not.toEqual([]);
    for (const it of told.tooLong) expect(it.most).toBeCloseTo(0.95 * 0.35, 9);
  });

  it('laid out afresh nothing of its hardscape is severe', () => {
    const { findings } = assess(turn(before, { pieces: 'afresh' }), catalogue);
    expect(
      findings.filter((it) => it.severity === 'severe' && it.place.at === 'scape').map((it) => it.code),
    ).toEqual([]);
  });
});

describe('a box with doors stood on its end', () => {
  it('keeps them in front; its meshed lid is its right side, and its back stays its back', () => {
    const design = applyEdit(
      firstDesign('goniurosaurus-hainanensis'),
      { edit: 'addVent', change: { wall: 'left', where: 'high' } },
      catalogue,
    );
    expect(usuallyInFront(design.enclosure)).toBe('front');
    const { width, depth, height } = design.enclosure;
    expect(turnedSides(design.enclosure, 'front')).toEqual({ width: height, depth, height: width });
    const turned = turn(design);
    expect(turned.enclosure).toMatchObject({ top: 'solid', screened: ['right'], front: 'doors' });
    expect(turned.enclosure.made.doors).toBe('hinged');
    // What was in the left wall is in the lid now: as high as can be.
    const [vent] = turned.climate.vents;
    expect(vent?.wall).toBe('back');
    expect(vent?.height).toBeCloseTo(width - Math.sqrt(design.climate.vents[0]!.area) / 2, 9);
  });
});
