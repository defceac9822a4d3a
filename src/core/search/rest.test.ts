import { expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { applyEdit } from '../edits';
import { GLANCE, JUDGING } from '../verdict/year';
import { perform } from './look';

it('a first look asks of a box in which its animal rests in winter what the verdict asks', () => {
  const design = applyEdit(
    firstDesign('eublepharis-macularius'),
    {
      edit: 'setLiving',
      change: { rest: { from: '12-10', weeks: 8, place: 'here', since: null } },
    },
    catalogue,
  );
  const seen = perform({ ask: 'look', design, playing: GLANCE, strict: 0, near: {} }, catalogue);
  const judged = perform({ ask: 'judge', design, playing: JUDGING }, catalogue);
  if (seen.of !== 'look' || judged.of !== 'judge') throw new Error('not played');
  const asked = (season: string) =>
    seen
      .seen!.measured.filter((own) => own.season === season)
      .map((own) => [own.criterion.id, own.criterion.wanted.low]);
  const verdict = (season: string) =>
    judged
      .verdict!.places.filter((own) => own.season === season)
      .map((own) => [own.criterion, own.wanted.low]);
  for (const season of ['winter', 'summer']) expect(asked(season), season).toEqual(verdict(season));
  // It rests at 14 to 19 °C, and wants 29 on its warm side awake.
  expect(Object.fromEntries(asked('winter'))).toMatchObject({ warm: 14, night: 14 });
  expect(Object.fromEntries(asked('summer'))).toMatchObject({ warm: 29, night: 19 });
});
