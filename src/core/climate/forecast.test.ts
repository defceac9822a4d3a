import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { layGround } from '../ground';
import { meanDaysOf, readyOf, settled } from './forecast';
import { dayOfSeason } from './roomProfile';
import { simulate } from './simulate';

describe('mean days', () => {
  const base = firstDesign('testudo-hermanni', 'middle');
  const misted = (everyDays: number) => {
    const design = {
      ...base,
      climate: {
        ...base.climate,
        mist: { by: 'hand' as const, times: [{ at: 540, seconds: 60 }], everyDays, bottle: null },
      },
    };
    const from = dayOfSeason('winter', design.climate.room.latitude);
    return readyOf(design, catalogue, from, layGround(design, catalogue));
  };
  const quick = { looser: 4, every: 1800, most: 15, from: null };

  it('are one where it is misted every day: the day the box came to rest with', () => {
    const { runs, rest } = meanDaysOf(misted(1), quick);
    expect(runs).toHaveLength(1);
    expect(runs[0]!.run.days).toBe(1);
    expect(runs[0]!.run.end).toEqual(rest);
  });

  it.each([
    [2, [2]],
    [3, [2, 1]],
    [7, [2, 1, 1, 1, 1, 1]],
  ])(
    'are a whole cycle where it is misted every %i days, the last of them told by the third',
    (days, lengths) => {
      const ready = misted(days);
      const { runs } = meanDaysOf(ready, quick);
      expect(runs.map(({ run }) => run.days)).toEqual(lengths);
      // Mist runs in the first of them alone, and each is told with its own plan.
      const drawn = runs.map(({ run }) => run.drawn.reduce((sum, it) => sum + it, 0) > 1e-4);
      expect(drawn).toEqual(lengths.map((_, i) => i === 0));
      expect(runs.at(-1)!.plan(0)).toEqual(ready.plan(lengths.length > 1 ? 2 : 0));
    },
  );

  it('tell what a whole cycle played day by day tells, within 2 points and 0.3 K', () => {
    const ready = misted(7);
    const whole = simulate({
      box: ready.box,
      weather: ready.weather(8, null),
      plan: ready.plan,
      days: 7,
      every: 1800,
      start: settled(ready, 1),
      looser: 1,
    });
    const { runs } = meanDaysOf(ready, quick);
    for (const [name, near] of [
      ['rh0', 0.02],
      ['rh2', 0.02],
      ['air0', 0.3],
      ['ground1', 0.3],
    ] as const) {
      const all = runs.flatMap(({ run }) => [...run.series[name].subarray(1)]);
      const mean = (values: readonly number[]): number =>
        values.reduce((sum, it) => sum + it, 0) / values.length;
      expect(all).toHaveLength(7 * 48);
      expect(Math.abs(mean(all) - mean([...whole.series[name].subarray(1)])), name).toBeLessThan(near);
    }
  });
});
