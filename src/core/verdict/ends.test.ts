import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { marksOf, type Factors } from '../climate';
import type { Design } from '../document';
import { judgeDesign, yearFindings } from '.';

const limestone = demoDesigns(catalogue).find((it) => it.id === 'demo-limestone');
if (!limestone) throw new Error('no demo');

/** The box calibrated to what it is drawn as, with so much left open. */
function calibrated(intervals: Readonly<Record<keyof Factors, [number, number]>>): Design {
  if (!limestone) throw new Error('no demo');
  const calibration = {
    on: '2026-11-01',
    file: 'shelf.csv',
    since: '2026-10-01',
    until: '2026-10-20',
    exchange: 1,
    wetness: 1,
    gain: 1,
    intervals,
    left: { temperature: 0.4, humidity: 0.03 },
    marks: { ...marksOf(limestone) },
  };
  return { ...limestone, climate: { ...limestone.climate, calibration } };
}
const judged = (design: Design) => {
  const verdict = judgeDesign({ design, catalogue, alone: true });
  if (!verdict) throw new Error('nothing to judge by');
  return { verdict, codes: yearFindings(verdict, design, catalogue).map((it) => it.code) };
};
const narrow = { exchange: [0.98, 1.02], wetness: [0.98, 1.02], gain: [0.98, 1.02] } as const;
const open = (gain: [number, number]) =>
  judged(calibrated({ exchange: [...narrow.exchange], wetness: [...narrow.wetness], gain }));

describe('what the readings of a calibrated box leave open', () => {
  it('changes nothing where it is little, and is not asked of one that is not calibrated', () => {
    const plain = judged(limestone);
    expect(plain.verdict.ends).toBeNull();
    expect(plain.verdict.answer).toBe('holds');
    const little = open([...narrow.gain]);
    expect(little.verdict).toMatchObject({ ends: [], answer: 'holds' });
    expect(little.codes).toEqual(plain.codes);
  });
  it('where an end of it does harm it holds no longer without a but, and says at which end, and what', () => {
    const { verdict, codes } = open([0.98, 6]);
    expect(verdict.answer).toBe('holds-but');
    expect(verdict.ends?.map((it) => it.end)).toEqual(['warm']);
    const warmer = verdict.ends?.[0]?.places.filter((it) => it.measure === 'temperature') ?? [];
    expect(warmer.length).toBeGreaterThan(0);
    for (const it of warmer) expect(it.over).toBeGreaterThan(it.under);
    expect(codes).toContain('calibration-open-warm');
    expect(codes).not.toContain('calibration-open-cool');
    // The middle is as it was.
    expect(verdict.places).toEqual(judged(limestone).verdict.places);
  });
  it('is gone with a calibration that no longer holds', () => {
    const design = calibrated({ exchange: [1, 1], wetness: [1, 1], gain: [0.98, 6] });
    const calibration = design.climate.calibration;
    const other = {
      ...design,
      climate: {
        ...design.climate,
        calibration: calibration && { ...calibration, marks: { shell: '', heat: '', ground: '' } },
      },
    };
    expect(judged(other).verdict).toMatchObject({ ends: null, answer: 'holds' });
  });
});
