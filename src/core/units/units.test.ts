import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  altitude,
  area,
  areal,
  bag,
  density,
  difference,
  editableText,
  flow,
  formatQuantity,
  length,
  light,
  mass,
  METRIC,
  number,
  parseNumber,
  parseQuantity,
  spanned,
  patch,
  pressure,
  message,
  tank,
  formatMessage,
  temperature,
  US,
  UNITS,
  type Dimension,
  type ParseOptions,
  type UnitId,
} from '.';

const read = (text: string, dimension: Dimension, fallback: UnitId, quart?: ParseOptions['quart']) =>
  parseQuantity(text, { dimension, fallback, quart });
const si = (
  text: string,
  dimension: Dimension = 'length',
  fallback: UnitId = 'cm',
  quart?: ParseOptions['quart'],
) => {
  const parsed = read(text, dimension, fallback, quart);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.message}`);
  return parsed.si;
};

describe('exact conversions, NIST SP 811 appendix B and Handbook 44 appendix C', () => {
  it.each([
    ['1 in', 'length', 0.0254],
    ['1 ft', 'length', 0.3048],
    ['1 lb', 'mass', 0.45359237],
    ['1 oz', 'mass', 0.028349523125],
    ['1 gal', 'volume', 3.785411784e-3],
    ['1 liquid qt', 'volume', 0.946352946e-3],
    ['1 dry qt', 'volume', 1.101220942715e-3],
    ['1 cu ft', 'volume', 28.316846592e-3],
    ['1 L', 'volume', 1e-3],
  ] as const)('%s', (text, dimension, value) => {
    expect(si(text, dimension, dimension === 'mass' ? 'kg' : 'L')).toBeCloseTo(value, 15);
  });

  it('SP 811 B.8: a gallon is 231 cubic inches, a cubic foot 1728, a bushel of 32 dry quarts 2150.42', () => {
    const cubicInch = 0.0254 ** 3;
    expect(UNITS.gal.factor / cubicInch).toBeCloseTo(231, 9);
    expect(UNITS.cuFt.factor / cubicInch).toBeCloseTo(1728, 9);
    expect((32 * UNITS.dryQuart.factor) / cubicInch).toBeCloseTo(2150.42, 9);
    expect((4 * UNITS.liquidQuart.factor) / UNITS.gal.factor).toBeCloseTo(1, 12);
  });

  it('SP 811 B.8: °C = (°F − 32)/1.8', () => {
    expect(si('212 F', 'temperature', 'C')).toBeCloseTo(100, 12);
    expect(si('32 F', 'temperature', 'C')).toBeCloseTo(0, 12);
    expect(si('-40 F', 'temperature', 'C')).toBeCloseTo(-40, 12);
    expect(si('85 F', 'temperature', 'C')).toBeCloseTo(29.4444, 4);
  });
});

describe('what people write', () => {
  it.each([
    ['18', 0.18],
    ['18 in', 0.4572],
    ['18"', 0.4572],
    ['18in', 0.4572],
    [`1' 6"`, 0.4572],
    [`1'6"`, 0.4572],
    ['1 ft 6', 0.4572],
    ['3 1/2 in', 0.0889],
    ['3-1/2"', 0.0889],
    ['3½ in', 0.0889],
    ['1/2"', 0.0127],
    ['45,5 cm', 0.455],
    ['.5 m', 0.5],
    ['0,125 m', 0.125],
    [' 450 mm ', 0.45],
    ['12 Inches', 0.3048],
  ])('%s', (text, metres) => expect(si(text)).toBeCloseTo(metres, 12));

  it('a quart is dry for bags and liquid for tanks, unless it says', () => {
    expect(si('4 qt', 'volume', 'L')).toBeCloseTo(4.404884e-3, 9);
    expect(si('4 qt', 'volume', 'L', 'liquid')).toBeCloseTo(3.785412e-3, 9);
    expect(si('4 dry qt', 'volume', 'L', 'liquid')).toBeCloseTo(4.404884e-3, 9);
    expect(si('0.75 cu. ft.', 'volume', 'L')).toBeCloseTo(21.237634944e-3, 12);
  });

  it.each([
    ['', 'length', 0],
    ['wide', 'length', 0],
    ['18 elbows', 'length', 3],
    ['12 kg', 'length', 3],
    ['1,500', 'length', 1],
    ['1.2.3', 'length', 3],
    ['3 1/0 in', 'length', 4],
    ['10 cm 20 cm', 'length', 6],
    ['20 C 5', 'temperature', 5],
    ['6 in 1 ft', 'length', 5],
  ] as const)('refuses “%s” and says where', (text, dimension, at) => {
    const parsed = read(text, dimension, dimension === 'length' ? 'cm' : 'C');
    expect(parsed).toMatchObject({ ok: false, at });
    if (!parsed.ok) expect(parsed.message.length).toBeGreaterThan(10);
  });

  it.each([
    ['1,500', 'en', 1500],
    ['1.500', 'en', 1.5],
    ['1,5', 'en', 1.5],
    ['1,234,567.25', 'en', 1234567.25],
    ['1.500', 'de', 1500],
    ['1,500', 'de', 1.5],
    ['1.5', 'de', 1.5],
    ['1.234.567,25', 'de', 1234567.25],
    ['1 500', 'fr', 1500],
    ['1\u202f500,5', 'fr', 1500.5],
    ['1’500.5', 'de-CH', 1500.5],
    ['0.125', 'de', 0.125],
    ['٣٫٥', 'ar-EG', 3.5],
    ['-2,5', 'de', -2.5],
    ['−2', 'en', -2],
  ])('“%s” as it is meant in %s', (text, locale, value) => {
    expect(parseNumber(text, locale)).toBeCloseTo(value, 9);
  });

  it.each([
    ['', 'en'],
    ['1,500', undefined],
    ['1.2.3', 'en'],
    ['1.50,5', 'de'],
    ['12 apples', 'en'],
    ['1 50', 'fr'],
    ['--2', 'en'],
  ])('“%s” is no number in %s', (text, locale) => expect(parseNumber(text, locale)).toBeNull());

  it('a quantity by the marks of the locale', () => {
    expect(parseQuantity('1.500 mm', { dimension: 'length', fallback: 'cm', locale: 'de' })).toEqual({
      ok: true,
      si: 1.5,
    });
    expect(parseQuantity('1,500 mm', { dimension: 'length', fallback: 'cm', locale: 'en' })).toEqual({
      ok: true,
      si: 1.5,
    });
    expect(parseQuantity('45,5', { dimension: 'length', fallback: 'cm', locale: 'en' })).toMatchObject({
      ok: true,
    });
  });

  it('a number written for a reader reads back in every locale', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -9_999_999, max: 9_999_999 }),
        fc.constantFrom('en', 'de', 'fr', 'de-CH', 'es', 'sv', 'pt-BR', 'hi'),
        (thousandths, locale) => {
          const value = thousandths / 1000;
          const text = formatQuantity(number(value, 2), { prefs: METRIC, locale });
          return Math.abs((parseNumber(text, locale) ?? NaN) - value) <= 0.00501;
        },
      ),
    );
  });

  it('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 30 }), (text) => {
        const parsed = read(text, 'length', 'cm');
        return parsed.ok ? Number.isFinite(parsed.si) : parsed.at >= 0 && parsed.at <= text.length;
      }),
      { numRuns: 2000 },
    );
  });
});

describe('what people read', () => {
  it('prints in the unit of the reader', () => {
    const metric = { prefs: METRIC, locale: 'en' };
    const us = { prefs: US, locale: 'en' };
    expect(formatQuantity(length(0.4572), metric)).toBe('45.7\u00a0cm');
    expect(formatQuantity(length(0.4572), us)).toBe('18\u00a0in');
    expect(formatQuantity(bag(0.0101), metric)).toBe('10.1\u00a0L');
    expect(formatQuantity(tank(0.03785411784), us)).toBe('10.0\u00a0gal');
    expect(formatQuantity(mass(0), metric)).toBe('0\u00a0kg');
    expect(formatQuantity(light(0.000013), metric)).toBe('13\u00a0mg');
    expect(formatQuantity(light(0.0112), metric)).toBe('11.2\u00a0g');
    expect(formatQuantity(light(0.45), metric)).toBe('450\u00a0g');
    expect(formatQuantity(light(0.0283495), { prefs: US, locale: 'en' })).toBe('1.00\u00a0oz');
    expect(formatQuantity(temperature(24), us)).toBe('75.2\u00a0°F');
    expect(formatQuantity(length(0.455), { prefs: METRIC, locale: 'de' })).toBe('45,5\u00a0cm');
    expect(formatMessage(message`Keep ${length(0.01)} clear, ${2} times.`, metric)).toBe(
      'Keep 1\u00a0cm clear, 2 times.',
    );
  });

  it('small things in small units, a column in its own', () => {
    const metric = { prefs: METRIC, locale: 'en' };
    const us = { prefs: US, locale: 'en' };
    const feet = { prefs: { ...US, bag: 'cuFt' } as const, locale: 'en' };
    expect(formatQuantity(mass(0.003), metric)).toBe('3.0\u00a0g');
    expect(formatQuantity(mass(0.003), us)).toBe('0.11\u00a0oz');
    expect(formatQuantity(tank(0.00005), metric)).toBe('50\u00a0mL');
    expect(formatQuantity(tank(0.00005), us)).toBe('1.7\u00a0fl\u00a0oz'.replace('fl\u00a0oz', 'fl oz'));
    expect(formatQuantity(bag(0.00031), feet)).toBe('0.3\u00a0dry qt');
    expect(formatQuantity(bag(0.00003), feet)).toBe('1.8\u00a0cu in');
    expect(formatQuantity(mass(0.003), { ...metric, bare: true })).toBe('0.0');
    expect(formatQuantity(area(0.0004), metric)).toBe('4.0\u00a0cm²');
    expect(formatQuantity(area(0.36), us)).toBe('3.9\u00a0sq ft');
    expect(formatQuantity(light(0.0001), us)).toBe('0.004\u00a0oz');
    expect(formatQuantity(light(0), us)).toBe('0\u00a0oz');
    expect(formatQuantity(altitude(1609.344), us)).toBe('5,280\u00a0ft');
    expect(formatQuantity(altitude(0), us)).toBe('0\u00a0ft');
    expect(formatQuantity(altitude(350), metric)).toBe('350\u00a0m');
    expect(formatQuantity(patch(0.006), metric)).toBe('60\u00a0cm²');
    expect(formatQuantity(areal(20), us)).toBe('4.1\u00a0lb/sq ft');
  });

  it('a difference has no nought of its own, and loads, densities and flows have units of their own', () => {
    const metric = { prefs: METRIC, locale: 'en' };
    const us = { prefs: US, locale: 'en' };
    expect(formatQuantity(difference(5), us)).toBe('9\u00a0°F');
    expect(formatQuantity(difference(1.5), metric)).toBe('1.5\u00a0°C');
    expect(formatQuantity(pressure(1500), metric)).toBe('1.5\u00a0kN/m²');
    expect(formatQuantity(pressure(1915), us)).toBe('40\u00a0lb/sq ft');
    expect(formatQuantity(density(1000), us)).toBe('62\u00a0lb/cu ft');
    expect(formatQuantity(flow(0.3 / 3600), us)).toBe('79\u00a0gal/h');
    expect(formatQuantity(number(1234.5, 1), { prefs: METRIC, locale: 'de' })).toBe('1.234,5');
    expect(formatQuantity(number(3), metric)).toBe('3');
  });

  it('what stands in a field reads back as the value, in every unit', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 10, noNaN: true }),
        fc.constantFrom(METRIC, US, { ...METRIC, length: 'mm' } as const),
        (metres, prefs) => {
          const text = editableText(length(metres), prefs);
          return Math.abs(si(text, 'length', prefs.length) - metres) <= 0.00013;
        },
      ),
    );
  });
});

describe('a range', () => {
  const write = (kg: number): string => formatQuantity(mass(kg), { prefs: METRIC, locale: 'en', trim: true });
  it('has the unit of both its ends once, or each its own', () => {
    expect(spanned(write(0.012), write(0.025))).toBe('12 to 25\u00a0g');
    expect(spanned(write(0.05), write(1.2))).toBe('50\u00a0g to 1.2\u00a0kg');
    expect(spanned('30', '40')).toBe('30 to 40');
  });
});
