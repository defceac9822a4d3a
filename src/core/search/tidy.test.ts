import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { assess } from '../assess';
import { applyEdit } from '../edits';
import { firstDesign } from '@/catalogue/testing';
import { withoutOwnFindings } from './tidy';

/** Told and not mended: a box is as heavy as it is, and a walk-in's far corner as far. */
const STAY = new Set(['empty-too-heavy', 'out-of-hand']);

const pressing = (design: ReturnType<typeof firstDesign>): readonly string[] =>
  assess(design, catalogue)
    .findings.filter((it) => it.severity === 'severe' || it.severity === 'look')
    .map((it) => it.code);

describe('a first design', () => {
  it('of every species carries no finding of its own making; what was asked for is not changed', () => {
    for (const { id } of catalogue.animals) {
      const first = firstDesign(id, 'middle');
      const tidied = withoutOwnFindings(first, catalogue);
      expect(
        pressing(tidied).filter((it) => !STAY.has(it)),
        id,
      ).toEqual([]);
      expect(tidied.brief).toEqual(first.brief);
      expect(tidied.enclosure).toEqual(first.enclosure);
    }
  });
  it('takes over the remedies of its problems, and nothing where there are none', () => {
    const laid = firstDesign('pleurodeles-waltl', 'middle');
    const soil = laid.ground.regions[0]!.layers.find((it) => it.kind === 'substrate')!;
    const newt = applyEdit(
      laid,
      { edit: 'useRecipe', change: { layer: soil.id, recipe: 'forest-floor' } },
      catalogue,
    );
    expect(pressing(newt)).toContain('soil-airless');
    expect(pressing(withoutOwnFindings(newt, catalogue))).not.toContain('soil-airless');
    const sound = firstDesign('correlophus-ciliatus', 'dry');
    expect(pressing(sound)).toEqual([]);
    expect(withoutOwnFindings(sound, catalogue)).toBe(sound);
  });
});
