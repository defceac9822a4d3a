import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { assess } from '../assess';
import { likeness, unsuitableNamed } from '.';

describe('what is sold for enclosures and harms in them', () => {
  it.each([
    ['Calcium sand', 'blocks the gut'],
    ['Calci-Sand, white', 'blocks the gut'],
    ['Crushed walnut shell', 'sharp'],
    ['Corn cob granules', 'moulds'],
    ['corncob', 'moulds'],
    ['Cedar shavings', 'lungs'],
    ['Pine shavings', 'lungs'],
    ['Dried oleander leaves', 'poisonous'],
    ['Clumping cat litter', 'Scents'],
  ])('%s is known by its name', (name, why) => expect(unsuitableNamed(name)).toContain(why));

  it('nothing that ships is, nor what only sounds like it', () => {
    for (const { name } of [
      ...catalogue.materials,
      ...catalogue.living.litters.map((it) => ({ name: it.english })),
    ])
      expect(unsuitableNamed(name), name).toBeNull();
    for (const name of [
      'Washed sand',
      'Pine bark, seasoned',
      'Oyster shell',
      'Popcorn plant soil',
      'Yard soil',
    ])
      expect(unsuitableNamed(name), name).toBeNull();
  });

  it('in the ground of an enclosure it is to be fixed, and named', () => {
    const sand = catalogue.materials.find((it) => it.id === 'washed-sand')!;
    const own = likeness(sand, 'just as fine', { id: 'mine', name: 'Calcium sand' });
    const design = firstDesign('pogona-vitticeps');
    const swapped = JSON.parse(JSON.stringify(design).replaceAll('"washed-sand"', '"mine"')) as typeof design;
    const codes = (of: typeof design) =>
      assess(of, { ...catalogue, materials: [...catalogue.materials, own] }).findings.filter(
        (it) => it.code === 'material-harms',
      );
    expect(codes(design)).toEqual([]);
    expect(codes(swapped).map((it) => [it.severity, it.what.join('')])).toEqual([
      ['severe', 'Calcium sand does not belong into an enclosure.'],
    ]);
  });
});
