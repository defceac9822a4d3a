// @vitest-environment happy-dom
import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns, demoReadings } from '@/catalogue/demo';
import { HOUR } from '@/core/readings';
import { draw } from '@/ui/testing/render';
import { Alarms } from './Alarms';
import type { Standing } from './useAlarms';

const designs = demoDesigns(catalogue);
const now = Date.now();
const { series } = demoReadings(designs, now)[0]!;
const design = designs.find((it) => it.id === series.design)!;
const alarm = {
  series: series.id,
  side: 'high',
  from: now - 20 * HOUR,
  to: null,
  worst: 31.5,
  harm: true,
} as const;
const oddity = { kind: 'stuck', from: now - 20 * HOUR, to: now } as const;
const said = (standing: Partial<Standing>): string => {
  draw(<Alarms standing={[{ design, series, alarm: null, oddity: null, ...standing }]} named />);
  return screen.getByRole('listitem').textContent ?? '';
};

describe('an alarm', () => {
  it('says the harm first, and the doubt second', () => {
    const text = said({ alarm, oddity });
    expect(text).toMatch(new RegExp(`^${design.name}: ${series.name} too high`));
    expect(text).toMatch(
      /31\.5\s°C at worst.*more than it bears\. Measure by hand: since .* one and the same value/,
    );
  });

  it('of a probe that reads well and moves no more is of the probe', () => {
    expect(said({ oddity })).toMatch(/not to be trusted.*Since .* one and the same value for hours/);
  });
});
