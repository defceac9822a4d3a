import { UNITS, type Dimension, type Unit, type UnitId, type UnitPrefs } from './units';

/** A number with what it measures, in SI; how it is written is decided where it is read. */
export interface Quantity {
  readonly kind: 'quantity';
  readonly measure: Measure;
  readonly si: number;
  /** Decimals it is always written with. */
  readonly decimals?: number;
  /** Roughly so much, written in this unit: kept as written for readers of its system, rounded as roughly for others. */
  readonly about?: UnitId;
  /** Without its unit: the first end of a range. */
  readonly bare?: boolean;
}

/** `tank` and `bag` are both volumes, told apart because they are sold in different units. */
export type Measure =
  | 'length'
  | 'altitude'
  | 'area'
  | 'patch'
  | 'tank'
  | 'bag'
  | 'mass'
  | 'light'
  | 'fine'
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

const of =
  (measure: Measure) =>
  (si: number, decimals?: number): Quantity => ({
    kind: 'quantity',
    measure,
    si,
    ...(decimals === undefined ? {} : { decimals }),
  });

/** m */
export const length = of('length');
/** m above the sea */
export const altitude = of('altitude');
/** m² */
export const area = of('area');
/** m² of a hole or a tub: always in small units */
export const patch = of('patch');
/** m³ of water or box */
export const tank = of('tank');
/** m³ of anything bagged */
export const bag = of('bag');
/** kg */
export const mass = of('mass');
/** kg of what is weighed on a kitchen scale: written in grams or ounces */
export const light = of('light');
/** m of what is smaller than a fingernail: written in millimetres or inches */
export const fine = of('fine');
/** °C */
export const temperature = of('temperature');
/** K between two temperatures */
export const difference = of('difference');
/** fraction, 0 to 1 */
export const percent = of('percent');
/** Pa of load on a floor */
export const pressure = of('pressure');
/** kg/m³ */
export const density = of('density');
/** kg/m² */
export const areal = of('areal');
/** m/s */
export const speed = of('speed');
/** m³/s */
export const flow = of('flow');
/** W/m² */
export const flux = of('flux');
/** A bare number, written as the reader’s country writes it. */
export const number = of('number');

/** Whether a person reads lengths, areas and what is made of them in inches, feet and pounds. */
const isUs = (prefs: UnitPrefs): boolean => prefs.length === 'in';

const DIMENSION: Record<Measure, Dimension> = {
  length: 'length',
  altitude: 'length',
  area: 'area',
  patch: 'area',
  tank: 'volume',
  bag: 'volume',
  mass: 'mass',
  light: 'mass',
  fine: 'length',
  temperature: 'temperature',
  difference: 'difference',
  percent: 'percent',
  pressure: 'pressure',
  density: 'density',
  areal: 'areal',
  speed: 'speed',
  flow: 'flow',
  flux: 'flux',
  number: 'number',
};

export function dimensionOf(measure: Measure): Dimension {
  return DIMENSION[measure];
}

/** Unit of a column or of a bare number that is typed. */
export function unitFor(measure: Measure, prefs: UnitPrefs): UnitId {
  const us = isUs(prefs);
  switch (measure) {
    case 'length':
    case 'tank':
    case 'bag':
    case 'mass':
    case 'temperature':
      return prefs[measure];
    case 'altitude':
      return us ? 'ft' : 'm';
    case 'area':
      return us ? 'ft2' : 'm2';
    case 'patch':
      return us ? 'in2' : 'cm2';
    case 'areal':
      return us ? 'lbSqFt' : 'kgM2';
    case 'fine':
      return prefs.length === 'in' ? 'in' : 'mm';
    case 'light':
      return prefs.mass === 'kg' ? 'g' : 'oz';
    case 'difference':
      return prefs.temperature === 'F' ? 'dF' : 'dC';
    case 'percent':
      return 'percent';
    case 'pressure':
      return us ? 'psf' : 'kPa';
    case 'density':
      return prefs.mass === 'kg' ? 'kgL' : 'lbCuFt';
    case 'speed':
      return us ? 'fts' : 'ms';
    case 'flow':
      return prefs.tank === 'L' ? 'Lh' : 'galH';
    case 'flux':
      return us ? 'WSqFt' : 'Wm2';
    case 'number':
      return 'one';
  }
}

/** Units that little is written in, by the unit it would be nothing in, and below how many of those. */
const SMALLER: Partial<Record<UnitId, { readonly unit: UnitId; readonly below: number }>> = {
  L: { unit: 'mL', below: 0.1 },
  gal: { unit: 'flOz', below: 0.1 },
  cuFt: { unit: 'dryQuart', below: 0.1 },
  dryQuart: { unit: 'in3', below: 0.1 },
  kg: { unit: 'g', below: 0.1 },
  g: { unit: 'mg', below: 0.1 },
  lb: { unit: 'oz', below: 0.25 },
  m2: { unit: 'cm2', below: 0.01 },
  ft2: { unit: 'in2', below: 0.5 },
};

/** Unit an amount is written in: small things in small units, so that an animal of 3 g is never 0.0 kg. */
export function unitOf({ measure, si }: Quantity, prefs: UnitPrefs): UnitId {
  let id = unitFor(measure, prefs);
  for (let smaller = SMALLER[id]; smaller && si !== 0; smaller = SMALLER[id]) {
    if (Math.abs(fromSi(si, UNITS[id])) >= smaller.below) break;
    id = smaller.unit;
  }
  return id;
}

/** SI to the number a person would write in `unit`, unrounded. */
export function fromSi(si: number, unit: Unit): number {
  return si / unit.factor - unit.offset;
}

export interface FormatOptions {
  readonly prefs: UnitPrefs;
  readonly locale?: string;
  /** Overrides the decimals of the unit. */
  readonly decimals?: number;
  /** Leaves the unit off, for columns that name it in their head. */
  readonly bare?: boolean;
  /** Leaves off a fraction of nothing but zeros; columns keep it so that their points align. */
  readonly trim?: boolean;
}

/** Two decimals of an inch and of a cubic foot are noise on a tape; the eye wants fewer on large numbers. */
function decimalsFor(unit: Unit, written: number, bare: boolean): number {
  // A brick of 0.65 kg is no brick of 0.7; in a column the points stay aligned.
  if (
    unit.dimension === 'mass' &&
    unit.decimals === 1 &&
    !bare &&
    Math.abs(written) >= 0.05 &&
    Math.abs(written) < 2
  )
    return 2;
  if (unit.symbol === 'cu ft') return 2;
  if (unit.symbol === 'L' && !bare && Math.abs(written) < 1 && written !== 0) return 2;
  if (unit.symbol === 'mL' || unit.symbol === 'cm²') return Math.abs(written) < 10 ? 1 : 0;
  if (unit.symbol === 'm²' && Math.abs(written) >= 10) return 1;
  if (unit.symbol === 'g' || unit.symbol === 'oz') return Math.abs(written) < 100 ? 1 : 0;
  if ((unit.symbol === 'm' || unit.symbol === 'ft') && Math.abs(written) >= 10) return 0;
  if (unit.symbol === 'in') return Math.abs(written) < 10 ? 2 : 1;
  if (unit.decimals === 1 && Math.abs(written) >= 100) return 0;
  return unit.decimals;
}

const SMALL: ReadonlySet<Dimension> = new Set(['mass', 'volume', 'area']);

/** Decimals that leave something of what is not nothing, which itself is 0 and not 0.0. A column keeps its own. */
const enough = (unit: Unit, written: number, places: number, bare: boolean): number =>
  bare || !SMALL.has(unit.dimension) || Math.abs(written) >= 0.5 * 10 ** -places
    ? places
    : written === 0
      ? 0
      : Math.min(6, Math.ceil(-Math.log10(Math.abs(written))));

const formatters = new Map<string, Intl.NumberFormat>();

/** Making a formatter takes longer than everything else here: each kind is made once. */
function formatter(locale: string | undefined, least: number, most: number): Intl.NumberFormat {
  const key = `${locale ?? ''} ${least} ${most}`;
  let made = formatters.get(key);
  if (!made) {
    made = new Intl.NumberFormat(locale, { minimumFractionDigits: least, maximumFractionDigits: most });
    formatters.set(key, made);
  }
  return made;
}

/**
 * A price as the reader's country writes it, with as many decimals as its currency has; without one a bare number of two.
 * @param currency ISO 4217; null: none was told
 */
export function formatMoney(value: number, currency: string | null, locale?: string): string {
  if (currency === null) return formatter(locale, 2, 2).format(value);
  const key = `money ${locale ?? ''} ${currency}`;
  let made = formatters.get(key);
  if (!made) {
    made = new Intl.NumberFormat(locale, { style: 'currency', currency });
    formatters.set(key, made);
  }
  return made.format(value);
}

/** Writes a quantity in the person's unit, with a no-break space before the symbol. */
export function formatQuantity(quantity: Quantity, options: FormatOptions): string {
  if (quantity.about !== undefined) return formatAbout(quantity, quantity.about, options);
  const { prefs, bare = false } = options;
  const unit: Unit = UNITS[bare ? unitFor(quantity.measure, prefs) : unitOf(quantity, prefs)];
  const written = fromSi(quantity.si, unit);
  const told = quantity.decimals ?? options.decimals;
  const places = told ?? enough(unit, written, decimalsFor(unit, written, bare), bare);
  const trimmed =
    quantity.decimals === undefined &&
    (options.trim ?? (TRIMMED.has(unit.dimension) && !(bare && unit.dimension === 'length')));
  const text = formatter(options.locale, trimmed ? 0 : places, places).format(
    Math.abs(written) < 0.5 * 10 ** -places ? 0 : written,
  );
  return bare || unit.symbol === '' ? text : `${text}\u00a0${unit.symbol}`;
}

/** Two written quantities as a range: the unit once where both have it, “12 to 25 g”, else with each, “800 g to 1.2 kg”. */
export function spanned(low: string, high: string): string {
  const cut = low.lastIndexOf('\u00a0');
  const isSame = cut >= 0 && low.slice(cut) === high.slice(high.lastIndexOf('\u00a0'));
  return `${isSame ? low.slice(0, cut) : low} to ${high}`;
}

const US_UNITS: ReadonlySet<UnitId> = new Set([
  ...([
    'in',
    'ft',
    'in2',
    'ft2',
    'gal',
    'flOz',
    'liquidQuart',
    'dryQuart',
    'cuFt',
    'in3',
    'oz',
    'lb',
  ] as const),
  ...(['F', 'dF', 'psf', 'lbCuFt', 'lbSqFt', 'fts', 'galH', 'WSqFt'] as const),
]);

/** A rough amount: as it was written for who reads its system, else to the half inch, the degree, or two figures. */
function formatAbout(quantity: Quantity, about: UnitId, { prefs, locale }: FormatOptions): string {
  const other = US_UNITS.has(unitOf(quantity, prefs));
  const unit: Unit = UNITS[other ? unitOf(quantity, prefs) : about];
  const exact = fromSi(quantity.si, unit);
  const rounded = other ? roughly(exact, unit) : Number(exact.toPrecision(6));
  const text = formatter(locale, 0, 3).format(rounded);
  return quantity.bare ? text : `${text}\u00a0${unit.symbol}`;
}

function roughly(value: number, unit: Unit): number {
  const size = Math.abs(value);
  const to = (step: number): number => Math.round(value / step) * step;
  if (unit.dimension === 'temperature') return to(1);
  if (unit.dimension === 'difference') return size >= 2 ? to(1) : to(0.5);
  if (unit.symbol === 'in' && size >= 0.4) return to(size >= 20 ? 1 : size >= 2 ? 0.5 : 0.25);
  return Number(value.toPrecision(size < 0.4 ? 1 : 2));
}

const TRIMMED: ReadonlySet<Dimension> = new Set(['temperature', 'difference', 'length', 'number']);

/** What an input holds while it is edited: the reader's decimal mark, no grouping, enough digits to read back the value. */
export function editableText(quantity: Quantity, prefs: UnitPrefs, locale?: string): string {
  const unit: Unit = UNITS[unitOf(quantity, prefs)];
  const places =
    unit.symbol === 'in' || unit.symbol === 'cu ft' ? 3 : unit.symbol === 'cm' ? 2 : unit.decimals + 1;
  return plainNumber(fromSi(quantity.si, unit), places, locale);
}

/** A number as it is typed: the reader's decimal mark, no grouping, no more decimals than it has. */
export function plainNumber(value: number, places: number, locale?: string): string {
  const key = `plain ${locale ?? ''} ${places}`;
  let made = formatters.get(key);
  if (!made) {
    made = new Intl.NumberFormat(locale, { maximumFractionDigits: places, useGrouping: false });
    formatters.set(key, made);
  }
  return made.format(value).replace('\u2212', '-');
}
