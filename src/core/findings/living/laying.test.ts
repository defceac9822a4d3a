import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { assess } from '../../assess';
import type { Design } from '../../document';
import { applyEdit } from '../../edits';

const kept = (
  animal: string,
  males: number,
  females: number,
  deepest: number,
  ageMonths: number | null = null,
) => {
  const design = applyEdit(firstDesign(animal), { edit: 'setSoilDepth', change: { deepest } }, catalogue);
  const { company } = design.living;
  return applyEdit(
    design,
    { edit: 'setLiving', change: { company: { ...company, males, females, ageMonths } } },
    catalogue,
  );
};
const found = (design: Design) =>
  assess(design, catalogue).findings.find((it) => it.code === 'nest-too-shallow');

describe('somewhere to lay', () => {
  it('is asked for a female that lays without a mate too, to the depth she digs, and no deeper', () => {
    // A veiled chameleon lays in 25 cm; a proposal is as deep already.
    expect(found(kept('chamaeleo-calyptratus', 0, 1, 0.15))).toMatchObject({ severity: 'look' });
    expect(found(kept('chamaeleo-calyptratus', 0, 1, 0.25))).toBeUndefined();
    expect(found(kept('chamaeleo-calyptratus', 1, 0, 0.15))).toBeUndefined();
    expect(found(kept('chamaeleo-calyptratus', 0, 1, 0.15, 3))).toBeUndefined();
  });
  it('of one that lays only with a mate, where there is one', () => {
    expect(found(kept('uromastyx-geyri', 0, 2, 0.1))).toBeUndefined();
    expect(found(kept('uromastyx-geyri', 1, 2, 0.1))).toMatchObject({ severity: 'look' });
  });
  it('is mended by its remedy, and none is asked of those that bury nothing', () => {
    const shallow = kept('pogona-vitticeps', 0, 1, 0.1);
    const mended = applyEdit(shallow, found(shallow)!.remedies[0]!.call!, catalogue);
    expect(found(mended)).toBeUndefined();
    expect(assess(mended, catalogue).findings.some((it) => it.code === 'too-shallow-to-dig')).toBe(false);
    expect(found(kept('eublepharis-macularius', 1, 3, 0.05))).toBeUndefined();
    expect(found(kept('dendrobates-tinctorius', 1, 1, 0.05))).toBeUndefined();
  });
  it('every depth is one an enclosure can hold, and those that bear live young have none', () => {
    const rows = catalogue.animals.flatMap((it) => (it.growing?.laying ? [it] : []));
    expect(rows).toHaveLength(31);
    for (const { english, growing } of rows) {
      expect(growing!.young.value, english).toBe('eggs');
      expect(growing!.laying!.value.depth, english).toBeGreaterThanOrEqual(0.03);
      expect(growing!.laying!.value.depth, english).toBeLessThanOrEqual(0.25);
    }
  });
});
