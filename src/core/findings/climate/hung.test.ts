import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { assess } from '../../assess';
import { formatMessage, METRIC, US } from '../../units';

describe('lamps that hang free', () => {
  const tall = firstDesign('testudo-hermanni', 'middle', [
    { edit: 'setEnclosure', change: { width: 2, depth: 1.2, height: 2.1, build: 'walk-in' } },
    { edit: 'proposeClimate', change: {} },
  ]);
  const hung = assess(tall, catalogue).findings.filter((it) => it.code === 'lamp-hung');

  it('are told once, with how they are hung and who wires them', () => {
    expect(hung).toHaveLength(1);
    expect(hung[0]).toMatchObject({ severity: 'note', basis: 'practice' });
    const said = formatMessage(hung[0]!.because, { prefs: METRIC, locale: 'en' });
    expect(said).toContain('never by its cord');
    expect(said).toContain('licensed electrician');
  });

  it('say how far under the top, in the reader’s units', () => {
    const lamp = tall.climate.devices.find((it) => it.at.z < 1.8)!;
    const one = {
      ...tall,
      climate: { ...tall.climate, devices: [{ ...lamp, at: { ...lamp.at, z: 0.6 } }] },
    };
    const [only] = assess(one, catalogue).findings.filter((it) => it.code === 'lamp-hung');
    const told = (prefs: typeof METRIC): string =>
      formatMessage(only!.what, { prefs, locale: 'en' }).replaceAll('\u00a0', ' ');
    expect(told(METRIC)).toBe(`${lamp.name} hangs free, 150 cm under the top.`);
    expect(told(US)).toBe(`${lamp.name} hangs free, 59.1 in under the top.`);
  });

  it('are none where lamps stand over the lid', () => {
    const low = assess(firstDesign('correlophus-ciliatus'), catalogue);
    expect(low.findings.some((it) => it.code === 'lamp-hung')).toBe(false);
  });
});
