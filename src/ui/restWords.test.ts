import { expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { applyEdit } from '@/core/edits';
import { restWords } from './restWords';

it('says of who lives there where in its rest it is, and nothing of who is awake or not there yet', () => {
  const animal = catalogue.animals.find((it) => it.id === 'eublepharis-macularius');
  const rest = { from: '12-10', weeks: 8, place: 'here', since: null } as const;
  const planned = applyEdit(
    firstDesign('eublepharis-macularius'),
    { edit: 'setLiving', change: { rest } },
    catalogue,
  );
  const lived = {
    ...planned,
    brief: { ...planned.brief, stage: 'inhabited' as const, since: '2026-01-01' },
  };
  const on = (day: string): string | null => restWords(lived, animal, day);
  expect(on('2026-11-20')).toBeNull();
  expect(on('2026-12-01')).toMatch(/^not fed, winter rest begins .*10/);
  expect(on('2026-12-12')).toMatch(/^being cooled for winter rest, until .*17/);
  expect(on('2027-01-10')).toMatch(/^at winter rest until .*4/);
  expect(on('2027-02-06')).toMatch(/^waking from winter rest, fed from .*11/);
  expect(restWords(lived, animal, '2027-01-10', true)).toBe('resting');
  expect(restWords(planned, animal, '2027-01-10')).toBeNull();
});
