/**
 * Units a builder writes, as exact factors to SI.
 *
 * Source of the exact factors: NIST SP 811 (2008), appendix B, and NIST Handbook 44, appendix C.
 * The dry quart (1/32 US bushel) is what bagged soil is sold by; the liquid gallon and quart are what tanks
 * are sold by. Where a person writes only "qt", the caller says which is meant.
 */
export type Dimension =
  | 'length'
  | 'area'
  | 'volume'
  | 'mass'
  | 'temperature'
  | 'difference'
  | 'percent'
  | 'pressure'
  | 'density'
  | 'areal'
  | 'speed'
  | 'flow'
  | 'flux'
  | 'number';

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

  cm2: unit('cm²', 'area', 1e-4, 0, ['cm2', 'cm²', 'sq cm']),
  m2: unit('m²', 'area', 1, 2, ['m2', 'm²', 'sq m']),
  in2: unit('sq in', 'area', 0.0254 ** 2, 0, ['sq in', 'in2', 'in²']),
  ft2: unit('sq ft', 'area', 0.3048 ** 2, 1, ['sq ft', 'ft2', 'ft²']),

  mL: unit('mL', 'volume', 1e-6, 0, ['ml', 'millilitre', 'millilitres', 'milliliter', 'milliliters']),
  L: unit('L', 'volume', 0.001, 1, ['l', 'litre', 'litres', 'liter', 'liters']),
  m3: unit('m³', 'volume', 1, 3, ['m3', 'm³', 'cu m', 'cubic metre', 'cubic metres', 'cubic meter']),
  gal: unit('gal', 'volume', 0.003785411784, 1, ['gal', 'gallon', 'gallons', 'us gal']),
  liquidQuart: unit('qt', 'volume', 0.000946352946, 1, ['liquid qt', 'liquid quart', 'liquid quarts']),
  in3: unit('cu in', 'volume', 0.0254 ** 3, 1, ['cu in', 'in3', 'in³', 'cubic inch', 'cubic inches']),
  flOz: unit('fl oz', 'volume', 29.5735295625e-6, 1, ['fl oz', 'fluid ounce', 'fluid ounces']),
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

  mg: unit('mg', 'mass', 1e-6, 0, ['mg', 'milligram', 'milligrams']),
  g: unit('g', 'mass', 0.001, 0, ['g', 'gram', 'grams', 'gramme', 'grammes']),
  kg: unit('kg', 'mass', 1, 1, ['kg', 'kilo', 'kilos', 'kilogram', 'kilograms']),
  lb: unit('lb', 'mass', 0.45359237, 1, ['lb', 'lbs', 'pound', 'pounds']),
  oz: unit('oz', 'mass', 0.028349523125, 1, ['oz', 'ounce', 'ounces']),

  C: unit('°C', 'temperature', 1, 1, ['c', '°c', 'celsius', 'degc']),
  F: unit('°F', 'temperature', 5 / 9, 1, ['f', '°f', 'fahrenheit', 'degf'], -32),

  // A difference of temperature has no nought of its own: 1 K is 1.8 °F.
  dC: unit('°C', 'difference', 1, 1, ['k', 'c', '°c']),
  dF: unit('°F', 'difference', 5 / 9, 1, ['f', '°f']),

  percent: unit('%', 'percent', 0.01, 0, ['%', 'percent', 'per cent', 'pct']),

  kPa: unit('kN/m²', 'pressure', 1000, 1, ['kn/m²', 'kpa']),
  psf: unit('lb/sq ft', 'pressure', 47.88026, 0, ['lb/sq ft', 'psf']),
  kgL: unit('kg/L', 'density', 1000, 2, ['kg/l']),
  lbCuFt: unit('lb/cu ft', 'density', 16.01846, 0, ['lb/cu ft']),
  kgM2: unit('kg/m²', 'areal', 1, 1, ['kg/m²', 'kg/m2']),
  lbSqFt: unit('lb/sq ft', 'areal', 0.45359237 / 0.3048 ** 2, 1, ['lb/sq ft']),
  ms: unit('m/s', 'speed', 1, 2, ['m/s']),
  fts: unit('ft/s', 'speed', 0.3048, 1, ['ft/s']),
  Lh: unit('L/h', 'flow', 0.001 / 3600, 0, ['l/h']),
  galH: unit('gal/h', 'flow', 0.003785411784 / 3600, 0, ['gal/h', 'gph']),
  Wm2: unit('W/m²', 'flux', 1, 0, ['w/m²', 'w/m2']),
  WSqFt: unit('W/sq ft', 'flux', 1 / 0.3048 ** 2, 1, ['w/sq ft']),

  one: unit('', 'number', 1, 2, []),
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
