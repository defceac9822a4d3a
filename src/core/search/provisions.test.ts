import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { careRules } from '../care';
import { yearFindings } from '../verdict';
import { proposeWhatHolds } from '.';

describe('what a proposal takes its keeper to bring', () => {
  it('is planned, played and asked for: water for soil that nothing drains, a fogger that lasts the day', () => {
    const { design, verdict } = proposeWhatHolds(firstDesign('dyscophus-guineti', 'dry'), catalogue);
    expect(design.ground.method).toBe('none');
    expect(verdict!.answer).toBe('holds');
    const { watering } = design.climate;
    expect(watering!.length).toBeGreaterThan(0);
    // 0.1 to 0.6 L a week: so much dries off a box of 60 by 40 cm (common practice).
    const week = watering!.reduce((sum, it) => sum + (7000 * it.amount) / it.everyDays, 0);
    expect(week).toBeGreaterThan(0.1);
    expect(week).toBeLessThan(0.6);
    expect(careRules(design, catalogue).map((it) => it.id)).toContain('watering-1');
    const told = yearFindings(verdict!, design, catalogue).map((it) => it.code);
    for (const code of ['soil-watering', 'soil-dries-out', 'soil-stands-wet'])
      expect(told).not.toContain(code);
    for (const { bottles } of verdict!.days)
      for (const it of bottles) expect(it.days ?? 9).toBeGreaterThanOrEqual(1);
  });
});
