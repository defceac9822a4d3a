import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { findAnimal } from '../catalogue';
import { applyEdit } from '../edits';
import { type Design } from '../document';
import { layGround } from '../ground';
import { criteriaIn, FINE, JUDGING, measure, playYear, swingsOf } from './year';

/** A small dry enclosure with a fogger that a humidistat holds at 36 % by day, its output turned up so far. */
function fogged(dim: number): Design {
  const start = firstDesign('chalcides-ocellatus', 'dry', [], {
    // Smaller, it swings whatever the last figure of a wall’s heat; at 60 cm that tips it over.
    size: { width: 0.45, depth: 0.3, height: 0.25 },
  });
  const dry = {
    ...start,
    climate: { ...start.climate, mist: { ...start.climate.mist, times: [], everyDays: 1 } },
  };
  const added = applyEdit(dry, { edit: 'addDevice', change: { kind: 'fogger' } }, catalogue);
  const { width, depth, height } = start.enclosure;
  return {
    ...added,
    climate: {
      ...added.climate,
      devices: added.climate.devices.map((it) =>
        it.kind === 'fogger'
          ? {
              ...it,
              dim,
              timer: { by: 'always' as const },
              at: { x: width * 0.25, y: depth * 0.85, z: height * 0.8 },
              humidistat: {
                day: 0.36,
                night: 0.56,
                probe: { x: width / 2, y: depth * 0.4, z: height * 0.5 },
              },
            }
          : it,
      ),
    },
  };
}

describe('a humidistat whose fogger is strong', () => {
  const animal = findAnimal(catalogue, 'chalcides-ocellatus')!;
  const played = (dim: number) => {
    const design = fogged(dim);
    const ground = layGround(design, catalogue);
    const winter = { seasons: ['winter'], seeds: [11], days: 3 } as const;
    const year = playYear(design, catalogue, ground, { ...JUDGING, ...winter });
    const fine = swingsOf(year, design, catalogue, ground, animal, { ...FINE, ...winter });
    const day = (of: NonNullable<typeof fine>) =>
      measure(of, animal, criteriaIn(animal, of)).find(
        (it) => it.criterion.id === 'humidity-day' && it.season === 'winter',
      )!;
    return { coarse: day(year), fine: fine && day(fine) };
  };
  it('swings, and is judged by its swings: long steps tell of the mean between them', () => {
    const { coarse, fine } = played(1);
    expect(coarse.inside).toBeGreaterThan(0.9);
    expect(fine).not.toBeNull();
    expect(fine!.inside).toBeLessThan(coarse.inside - 0.05);
    // The same mean, within 3 points, and a wider span.
    expect(Math.abs(fine!.mean - coarse.mean)).toBeLessThan(0.03);
    expect(fine!.high).toBeGreaterThan(coarse.high);
  });
  it('with its output turned down it does not, and what was played stands', () => {
    const { coarse, fine } = played(0.4);
    expect(coarse.inside).toBeGreaterThan(0.9);
    expect(fine).toBeNull();
  });
  it('without a fogger on a humidistat nothing is played again', () => {
    const design = firstDesign('chalcides-ocellatus', 'dry');
    const ground = layGround(design, catalogue);
    const year = playYear(design, catalogue, ground, {
      ...JUDGING,
      seasons: ['winter'],
      seeds: [11],
    });
    expect(swingsOf(year, design, catalogue, ground, animal)).toBeNull();
  });
});
