import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { assess } from '../assess';
import { chamberOf } from '../climate/hides';
import { applyEdit } from '../edits';
import { planOf } from '../plan';
import { formatMessage, METRIC } from '../units';
import { mixNeed } from './mix';
import { fillOf } from './filled';

const bare = firstDesign('heterodon-nasicus', 'middle');
const tube = applyEdit(bare, { edit: 'addPiece', change: { kind: 'cork-tube' } }, catalogue);
const { id } = tube.scape.pieces.at(-1)!;
const filled = applyEdit(
  tube,
  { edit: 'setPiece', change: { piece: id, change: { filled: true, moist: true } } },
  catalogue,
);
const read = (design: typeof bare) => assess(design, catalogue);
const of = (design: typeof bare) => read(design).scape.pieces.find((it) => it.placed.piece.id === id)!;

describe('a hollow full of soil', () => {
  it('takes what it encloses, by hand: π/4 · (d − 2 · wall)² · length', () => {
    const { body } = tube.scape.pieces.at(-1)!;
    if (body.shape !== 'rod' || body.wall === null) throw new Error('no tube');
    const { solid } = of(filled).placed;
    expect(of(tube).fill).toBe(0);
    expect(of(filled).fill).toBeCloseTo(solid.encloses, 9);
    expect(of(filled).fill).toBeGreaterThan(5e-4);
    expect(of(filled).mass - of(tube).mass).toBeCloseTo(of(filled).fill * 800, 6);
  });

  it('its soil is on the list, ingredient by ingredient, as any of that mix', () => {
    const mix = fillOf(filled)!;
    const due = mixNeed(mix, of(filled).fill, catalogue).ingredients;
    const need = (design: typeof bare, material: string): number =>
      read(design).lists.buy.find((it) => it.material === material)?.need.amount ?? 0;
    expect(due.length).toBeGreaterThan(0);
    for (const part of due)
      expect(need(filled, part.material) - need(tube, part.material), part.material).toBeCloseTo(
        part.loose,
        9,
      );
  });

  it('so is that of a planter on a wall, which displaces none', () => {
    const potted = applyEdit(bare, { edit: 'addPiece', change: { kind: 'wall-planter' } }, catalogue);
    const takes = read(potted).scape.pieces.at(-1)!.fill;
    const sum = (design: typeof bare): number =>
      read(design).lists.buy.reduce((all, it) => all + (it.need.unit === 'volume' ? it.need.amount : 0), 0);
    expect(takes).toBeCloseTo(0.0002894, 6);
    expect(sum(potted) - sum(bare)).toBeCloseTo(mixNeed(fillOf(bare)!, takes, catalogue).loose, 9);
  });

  it('the plan says how much goes in', () => {
    const { steps } = planOf(filled, read(filled), catalogue, '2026-06-01');
    const said = steps.flatMap(({ step }) =>
      step.amounts.map((it) => formatMessage(it, { prefs: METRIC, locale: 'en' })),
    );
    expect(said.some((it) => /, filled with [\d.]+.L of soil$/.test(it))).toBe(true);
  });

  it('its den has a quarter of the air, and moist soil that lasts', () => {
    const [empty, den] = [of(tube), of(filled)].map((it) => chamberOf(it.placed, 0)!);
    expect(den!.air).toBeCloseTo(0.25 * empty!.air, 9);
    expect(den!.holds / (1000 * of(filled).fill)).toBeLessThanOrEqual(0.15);
    expect(den!.holds).toBeGreaterThan(0.05);
    const dry = applyEdit(
      filled,
      { edit: 'setPiece', change: { piece: id, change: { moist: false } } },
      catalogue,
    );
    expect(chamberOf(of(dry).placed, 0)).toMatchObject({ wet: 0, holds: 0 });
  });
});
