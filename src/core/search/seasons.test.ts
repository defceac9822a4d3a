import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { findAnimal } from '../catalogue';
import { Design as DesignSchema, type Design } from '../document';
import { firstDesign } from '@/catalogue/testing';
import { GLANCE } from '../verdict';
import { NO_LOCKS, perform } from '.';
import { partOf, seasonMoves } from './seasons';

describe('settings for a part of the year', () => {
  const part = (from: number, until: number, id = `own-${from}`) => ({
    id,
    name: id,
    from,
    until,
    topCover: 0.5,
    mist: null,
    devices: [],
  });
  const start = firstDesign('correlophus-ciliatus', 'middle');
  const withParts = (...parts: readonly ReturnType<typeof part>[]): Design => ({
    ...start,
    climate: { ...start.climate, seasons: [...parts] },
  });
  const months = (design: Design, season: 'winter' | 'summer') => {
    const found = partOf(design, season);
    return found && [found.id, found.from, found.until];
  };
  it('usual months, half a year on in the south; one that is told already is that one', () => {
    expect(months(start, 'summer')).toEqual(['summer', 6, 9]);
    expect(months(start, 'winter')).toEqual(['winter', 11, 3]);
    const south = {
      ...start,
      climate: { ...start.climate, room: { ...start.climate.room, latitude: -30 } },
    };
    expect(months(south, 'summer')).toEqual(['summer', 12, 3]);
    expect(months(withParts(part(5, 8)), 'summer')).toEqual(['own-5', 5, 8]);
  });
  it('never holds a month another part holds, nor takes its id, nor is a fifth', () => {
    expect(months(withParts(part(4, 6)), 'summer')).toEqual(['summer', 7, 9]);
    expect(months(withParts(part(12, 12), part(2, 3)), 'winter')).toEqual(['winter', 1, 1]);
    expect(months(withParts(part(3, 4, 'summer')), 'summer')).toEqual(['summer-2', 6, 9]);
    expect(months(withParts(part(3, 3), part(4, 4), part(5, 5), part(10, 10)), 'summer')).toBeNull();
  });
  it('what is found with it is a whole document', () => {
    const design = withParts(part(4, 6));
    const animal = findAnimal(catalogue, 'correlophus-ciliatus')!;
    const look = perform({ ask: 'look', design, playing: GLANCE, strict: 0.5, near: {} }, catalogue);
    const measured = look.of === 'look' ? look.seen!.measured : [];
    const night = measured.find((it) => it.criterion.id === 'night' && it.season === 'summer')!;
    const moves = seasonMoves(
      { design, animal, catalogue, locks: NO_LOCKS },
      { it: night, way: 'over', by: 2 },
    );
    expect(moves.length).toBeGreaterThan(0);
    for (const move of moves)
      expect(DesignSchema.safeParse(move.design).error?.issues ?? [], move.id).toEqual([]);
    expect(
      seasonMoves(
        { design, animal, catalogue, locks: { ...NO_LOCKS, seasons: true } },
        { it: night, way: 'over', by: 2 },
      ),
    ).toEqual([]);
  });
});
