/**
 * Units a builder writes, as exact factors to SI.
 *
 * Source of the exact factors: NIST SP 811 (2008), appendix B, and NIST Handbook 44, appendix C.
 * The dry quart (1/32 US bushel) is what bagged soil is sold by; the liquid gallon and quart are what tanks
 * are sold by. Where a person writes only "qt", the caller says which is meant.
 */
export type Dimension = 'length' | 'volume' | 'mass' | 'temperature' | 'percent';

export interface Unit {
  /** Printed after a number. */
  readonly symbol: string;
  readonly dimension: Dimension;
  /** SI value = (written + offset) × factor. */
  readonly factor: number;
  readonly offset: number;
  /** Decimal places a person would write. */
  readonly decimals: number;
  /** Accepted spellings, lower case, without dots. */
  readonly spellings: readonly string[];
}

const unit = (
  symbol: string,
  dimension: Dimension,
  factor: number,
  decimals: number,
  spellings: string[],
  offset = 0,
): Unit => ({ symbol, dimension, factor, offset, decimals, spellings });

export const UNITS = {
  mm: unit('mm', 'length', 0.001, 0, ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters']),
  cm: unit('cm', 'length', 0.01, 1, ['cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters']),
  m: unit('m', 'length', 1, 2, ['m', 'metre', 'metres', 'meter', 'meters']),
  in: unit('in', 'length', 0.0254, 2, ['in', 'inch', 'inches', '"', '″', '”']),
  ft: unit('ft', 'length', 0.3048, 2, ['ft', 'foot', 'feet', "'", '′', '’']),

  mL: unit('mL', 'volume', 1e-6, 0, ['ml', 'millilitre', 'millilitres', 'milliliter', 'milliliters']),
  L: unit('L', 'volume', 0.001, 1, ['l', 'litre', 'litres', 'liter', 'liters']),
  m3: unit('m³', 'volume', 1, 3, ['m3', 'm³', 'cu m', 'cubic metre', 'cubic metres', 'cubic meter']),
  gal: unit('gal', 'volume', 0.003785411784, 1, ['gal', 'gallon', 'gallons', 'us gal']),
  liquidQuart: unit('qt', 'volume', 0.000946352946, 1, ['liquid qt', 'liquid quart', 'liquid quarts']),
  dryQuart: unit('dry qt', 'volume', 0.001101220942715, 1, ['dry qt', 'dry quart', 'dry quarts']),
  cuFt: unit('cu ft', 'volume', 0.028316846592, 2, [
    'cu ft',
    'cuft',
    'ft3',
    'ft³',
    'cf',
    'cubic foot',
    'cubic feet',
  ]),

  g: unit('g', 'mass', 0.001, 0, ['g', 'gram', 'grams', 'gramme', 'grammes']),
  kg: unit('kg', 'mass', 1, 1, ['kg', 'kilo', 'kilos', 'kilogram', 'kilograms']),
  lb: unit('lb', 'mass', 0.45359237, 1, ['lb', 'lbs', 'pound', 'pounds']),
  oz: unit('oz', 'mass', 0.028349523125, 1, ['oz', 'ounce', 'ounces']),

  C: unit('°C', 'temperature', 1, 1, ['c', '°c', 'celsius', 'degc']),
  F: unit('°F', 'temperature', 5 / 9, 1, ['f', '°f', 'fahrenheit', 'degf'], -32),

  percent: unit('%', 'percent', 0.01, 0, ['%', 'percent', 'per cent', 'pct']),
} as const satisfies Record<string, Unit>;

export type UnitId = keyof typeof UNITS;

/** The units one person reads and writes in; `tank` is for water and boxes, `bag` for anything bagged. */
export interface UnitPrefs {
  readonly length: 'mm' | 'cm' | 'in';
  readonly tank: 'L' | 'gal';
  readonly bag: 'L' | 'dryQuart' | 'cuFt';
  readonly mass: 'kg' | 'lb';
  readonly temperature: 'C' | 'F';
}

export const METRIC: UnitPrefs = { length: 'cm', tank: 'L', bag: 'L', mass: 'kg', temperature: 'C' };
export const US: UnitPrefs = { length: 'in', tank: 'gal', bag: 'dryQuart', mass: 'lb', temperature: 'F' };
