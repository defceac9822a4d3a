import { describe, expect, it } from 'vitest';
import { animalRecord, homeOf, leave, linesAbout, livedIn, moveTo } from '.';

const fig = animalRecord('fig', 'bog', null, { name: 'Fig' });
const moved = moveTo(fig, 'hedge', '2026-05-10');
const line = (design: string, day: string, animal: string | null = null) => ({
  design,
  animal,
  at: Date.parse(`${day}T12:00:00Z`),
});
const dayOf = ({ at }: { readonly at: number }): string => new Date(at).toISOString().slice(0, 10);

describe('where an animal lived', () => {
  it('is told by its homes; on the day it moved it lived in both', () => {
    expect(homeOf(moved)).toBe('hedge');
    const lived = (design: string, ...days: readonly string[]) =>
      days.map((it) => livedIn(moved, design, it));
    expect(lived('bog', '2020-01-01', '2026-05-10', '2026-05-11')).toEqual([true, true, false]);
    expect(lived('hedge', '2026-05-09', '2026-05-10', '2027-01-01')).toEqual([false, true, true]);
    expect(lived('wash', '2026-05-10')).toEqual([false]);
  });
  it('ends on the day it died or was given away', () => {
    const gone = leave(moved, '2026-08-01');
    expect(homeOf(gone)).toBeNull();
    expect(gone).toMatchObject({ left: '2026-08-01', homes: [{ to: '2026-05-10' }, { to: '2026-08-01' }] });
    expect([livedIn(gone, 'hedge', '2026-08-01'), livedIn(gone, 'hedge', '2026-08-02')]).toEqual([
      true,
      false,
    ]);
  });
  it('its lines are those that name it, wherever, and those of a box in the days it lived there', () => {
    const log = [
      line('bog', '2026-05-01'),
      line('bog', '2026-06-01'),
      line('hedge', '2026-05-01'),
      line('hedge', '2026-06-01'),
      line('hedge', '2026-06-02', 'ivy'),
      line('bog', '2026-06-03', 'fig'),
    ];
    expect(linesAbout(moved, log, dayOf)).toEqual([log[0], log[3], log[5]]);
  });
});
