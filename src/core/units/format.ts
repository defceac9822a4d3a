import { UNITS, type Dimension, type Unit, type UnitId, type UnitPrefs } from './units';

/** A number with what it measures, in SI; how it is written is decided where it is read. */
export interface Quantity {
  readonly kind: 'quantity';
  readonly measure: Measure;
  readonly si: number;
}

/** `tank` and `bag` are both volumes, told apart because they are sold in different units. */
export type Measure = 'length' | 'tank' | 'bag' | 'mass' | 'light' | 'temperature' | 'percent';

const of =
  (measure: Measure) =>
  (si: number): Quantity => ({ kind: 'quantity', measure, si });

/** m */
export const length = of('length');
/** m³ of water or box */
export const tank = of('tank');
/** m³ of anything bagged */
export const bag = of('bag');
/** kg */
export const mass = of('mass');
/** kg of what is weighed on a kitchen scale: written in grams or ounces */
export const light = of('light');
/** °C */
export const temperature = of('temperature');
/** fraction, 0 to 1 */
export const percent = of('percent');

const DIMENSION: Record<Measure, Dimension> = {
  length: 'length',
  tank: 'volume',
  bag: 'volume',
  mass: 'mass',
  light: 'mass',
  temperature: 'temperature',
  percent: 'percent',
};

export function dimensionOf(measure: Measure): Dimension {
  return DIMENSION[measure];
}

export function unitFor(measure: Measure, prefs: UnitPrefs): UnitId {
  if (measure === 'percent') return 'percent';
  if (measure === 'light') return prefs.mass === 'kg' ? 'g' : 'oz';
  return prefs[measure];
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
  if (unit.symbol === 'g' || unit.symbol === 'oz') return Math.abs(written) < 100 ? 1 : 0;
  if (unit.symbol === 'in') return Math.abs(written) < 10 ? 2 : 1;
  if (unit.decimals === 1 && Math.abs(written) >= 100) return 0;
  return unit.decimals;
}

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

/** Writes a quantity in the person's unit, with a no-break space before the symbol. */
export function formatQuantity(quantity: Quantity, options: FormatOptions): string {
  const unit: Unit = UNITS[unitFor(quantity.measure, options.prefs)];
  const written = fromSi(quantity.si, unit);
  const places = options.decimals ?? decimalsFor(unit, written, options.bare === true);
  const trimmed =
    options.trim ?? (unit.dimension === 'temperature' || (unit.dimension === 'length' && !options.bare));
  const number = formatter(options.locale, trimmed ? 0 : places, places).format(
    Math.abs(written) < 0.5 * 10 ** -places ? 0 : written,
  );
  return options.bare ? number : `${number}\u00a0${unit.symbol}`;
}

/** What an input holds while it is edited: no grouping, a decimal point, enough digits to read back the value. */
export function editableText(quantity: Quantity, prefs: UnitPrefs): string {
  const unit: Unit = UNITS[unitFor(quantity.measure, prefs)];
  const places =
    unit.symbol === 'in' || unit.symbol === 'cu ft' ? 3 : unit.symbol === 'cm' ? 2 : unit.decimals + 1;
  return String(Number(fromSi(quantity.si, unit).toFixed(places)));
}
