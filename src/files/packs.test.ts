import { describe, expect, it } from 'vitest';
import { PACK_FORMATS, packFormatOf, READING_FILES } from '.';

describe('formats of readings', () => {
  it('are told by how a file begins; what is none of them is a table', () => {
    expect(packFormatOf('\n [{"n":"a"}]')?.id).toBe('senml');
    expect(packFormatOf('time,Temp(C)\n2026-01-01 00:00,21')).toBeNull();
    expect(packFormatOf('')).toBeNull();
  });
  it('are offered by the file dialog', () => {
    expect(READING_FILES.split(',')).toEqual(['.csv', '.txt', '.tsv', '.json', '.senml']);
  });
  it('SenML: gives its readings and counts what is none (RFC 8428, section 5.1.2, with a mass beside)', () => {
    const text = JSON.stringify([
      { bn: 'urn:dev:1/', bt: 1_320_067_464, n: 'voltage', u: 'V', v: 120.1 },
      { n: 'temperature', u: 'Cel', v: 23.1 },
      { n: 'animal', u: 'kg', v: 0.045 },
    ]);
    const read = PACK_FORMATS[0]!.read(text, 0);
    expect(read).toEqual({
      ok: true,
      value: {
        records: 3,
        readings: [
          { name: 'urn:dev:1/temperature', at: 1_320_067_464_000, quantity: 'temperature', value: 23.1 },
          { name: 'urn:dev:1/animal', at: 1_320_067_464_000, quantity: 'mass', value: 0.045 },
        ],
      },
    });
  });
  it('say where a broken file is broken', () => {
    expect(PACK_FORMATS[0]!.read('[{"n":1}]', 0)).toMatchObject({ ok: false });
  });
});
