import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { careNow } from '../care';
import { allDifferencesOf } from '../compare/leaves';
import { Design } from '../document';
import { variantOf } from './copies';

describe('a copy to be made otherwise and compared', () => {
  it.each(demoDesigns(catalogue).map((it) => [it.name, it] as const))(
    '%s: as it is built, and yet planned: nothing is due in it, and as a box it is alike',
    (_, design) => {
      const copy = variantOf(design, 'copy', 'A copy');
      expect(Design.safeParse(copy).success).toBe(true);
      expect(copy.brief).toMatchObject({ stage: 'planned', since: null, animal: design.brief.animal });
      expect(careNow(copy, catalogue)).toEqual([]);
      expect(copy.plan.marks).toEqual([]);
      expect(allDifferencesOf([design, copy], catalogue)).toEqual([]);
    },
  );

  it('two that are lived in since other days are told apart by that', () => {
    const [bog] = demoDesigns(catalogue);
    const later = { ...bog!, id: 'b', brief: { ...bog!.brief, since: '2020-01-01' } };
    expect(allDifferencesOf([bog!, later], catalogue).map((it) => it.what)).toEqual(['Since']);
  });
});
