import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { applyEdit } from '@/core/edits';
import { Design } from '@/core/document';
import { proposeDesign } from '@/core/propose';
import { givenBoxes } from './given';

describe('enclosures that are given', () => {
  const all = givenBoxes();
  it('are forty, from 20 cm cubes to rooms, of glass, gauze, timber and plastic, the same each time', () => {
    expect(all).toHaveLength(40);
    expect(new Set(all.map((it) => it.what)).size).toBe(40);
    expect(all.filter((it) => it.size.width === 0.2)).toHaveLength(5);
    expect(all.filter((it) => it.what.includes('walk-in'))).toHaveLength(5);
    expect(givenBoxes()).toEqual(all);
    expect(new Set(all.map((it) => it.animal)).size).toBeGreaterThanOrEqual(15);
  });
  it('each is a whole design of that size and make', () => {
    for (const { animal, size, edits, what } of all) {
      const design = edits.reduce(
        (own, call) => applyEdit(own, call, catalogue),
        proposeDesign(
          {
            id: 'x',
            name: 'x',
            animal,
            count: 1,
            size,
            room: { kind: 'dry', temperature: null, humidity: null },
          },
          catalogue,
        ),
      );
      expect(Design.safeParse(design).error?.issues ?? [], what).toEqual([]);
      expect(design.enclosure).toMatchObject(size);
      expect(design.brief.animal).toBe(animal);
    }
  });
});
