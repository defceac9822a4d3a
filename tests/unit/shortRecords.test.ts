import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { atOnce } from '@/core/climate';
import { diagnose, playingFaults, usualDays, type Diagnosis } from '@/core/diagnosis';
import { cut } from '@/core/readings';
import { BOXES, casePoints } from './faultyCases';
import type { Fault } from './faultyBoxes';

const DAY = 86_400_000;
/** Days that are known, the last of them with the fault in it. */
const KNOWN = 4;

/** What is said of a box that is new: four days of readings, a fault since the day before the last. */
function tellNew(of: number, fault: Fault, seed: number): Diagnosis {
  const box = BOXES[of];
  if (!box) throw new Error(`no box ${of}`);
  const { points, isDay, now } = casePoints(box, fault, 24, seed);
  const late = points.map((it) => ({ ...it, track: cut(it.track, now - KNOWN * DAY, now + 1) }));
  const usual = usualDays(late, isDay, box.design);
  const yardstick = atOnce(playingFaults(box.design, catalogue, 61, ['warm', 'cool', 'room'], usual));
  return diagnose({ design: box.design, catalogue, points: late, log: [], seen: [], isDay, now, yardstick });
}

describe('a box of which four days are known', () => {
  it.each([
    [0, 'room-hot', 3],
    [0, 'room-hot', 8],
    [2, 'heat-stuck', 3],
    [2, 'heat-stuck', 8],
  ] as const)(
    'box %d, %s since yesterday, seed %d: named, and nothing is said that its forecast denies',
    (of, fault, seed) => {
      const found = tellNew(of, fault, seed);
      expect(found.verdict).toBe('named');
      const [first] = found.causes;
      expect(first?.id).toBe(fault);
      const words = (first?.evidence ?? []).map((it) => it.words.join(''));
      expect(words.join('; ')).not.toMatch(/no warmer/);
      expect(words.join('; ')).toMatch(/warmer than at these hours before/);
    },
  );
});
