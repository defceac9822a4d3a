import { readDecimal } from './decimal';
import { UNITS, type Dimension, type Unit, type UnitId } from './units';

export type Parsed =
  | { readonly ok: true; readonly si: number }
  | {
      readonly ok: false;
      /** Zero-based position of the first character that could not be read. */
      readonly at: number;
      readonly message: string;
    };

export interface ParseOptions {
  readonly dimension: Dimension;
  /** Unit of a number written without one. */
  readonly fallback: UnitId;
  /** What a bare "qt" or "quart" means; bagged goods are sold by the dry quart. Default: dry. */
  readonly quart?: 'dry' | 'liquid';
  /** Whose marks of decimals and groups are read; without one what can be read two ways is refused. */
  readonly locale?: string;
}

const NAMES: Record<Dimension, string> = {
  length: 'a length, such as 18 in or 45 cm',
  area: 'an area, such as 2 m² or 20 sq ft',
  volume: 'a volume, such as 10 L or 0.75 cu ft',
  mass: 'a mass, such as 12 kg or 26 lb',
  temperature: 'a temperature, such as 24 C or 75 F',
  difference: 'a difference, such as 2 C or 4 F',
  percent: 'a percentage, such as 60',
  pressure: 'a load, such as 1.5 kN/m² or 30 psf',
  density: 'a density, such as 0.4 kg/L',
  areal: 'a mass of an area, such as 20 kg/m²',
  speed: 'a speed, such as 0.5 m/s',
  flow: 'a flow, such as 300 L/h or 80 gal/h',
  flux: 'a power of an area, such as 150 W/m²',
  number: 'a number, such as 3',
};

const VULGAR: Record<string, number> = {
  '¼': 1 / 4,
  '½': 1 / 2,
  '¾': 3 / 4,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
};

/** Spellings of every unit, longest first, so that "dry qt" wins over "d…" and "cm" over "c". */
const SPELLINGS: readonly (readonly [string, UnitId])[] = (Object.keys(UNITS) as UnitId[])
  .flatMap((id) => UNITS[id].spellings.map((spelling) => [spelling, id] as const))
  .sort((a, b) => b[0].length - a[0].length);

const byDimension = new Map<Dimension, typeof SPELLINGS>();
/** Spellings with those of a dimension first: a C may be a temperature or a difference of two. */
function spellingsOf(dimension: Dimension): typeof SPELLINGS {
  let made = byDimension.get(dimension);
  if (!made) {
    const own = SPELLINGS.filter(([, id]) => UNITS[id].dimension === dimension);
    made = [...own, ...SPELLINGS.filter((it) => !own.includes(it))];
    byDimension.set(dimension, made);
  }
  return made;
}

const QUART = ['quarts', 'quart', 'qts', 'qt'];

/**
 * Reads what people write: `18`, `18 in`, `18"`, `1' 6"`, `3 1/2 in`, `45,5 cm`, `4 qt`, `0.75 cu ft`, `85 F`.
 * Returns the value in SI (temperature in °C, percent as a fraction), or the position of the fault.
 * Marks of decimals and groups are those of the locale; without one "1,500" is refused: it can be read two ways.
 */
export function parseQuantity(text: string, options: ParseOptions): Parsed {
  const fault = (at: number, message: string): Parsed => ({ ok: false, at, message });
  let at = skip(text, 0);
  if (at >= text.length) return fault(at, `Write ${NAMES[options.dimension]}.`);

  let total = 0;
  let terms = 0;
  let negative = false;
  let previous: Unit | undefined;
  while (at < text.length) {
    if (terms === 0 && /[-−+]/.test(text.charAt(at))) {
      negative = text.charAt(at) !== '+';
      at = skip(text, at + 1);
    }
    const number = readNumber(text, at, options.locale);
    if ('message' in number) return fault(number.at, number.message);
    at = skip(text, number.end);

    const found = readUnit(text, at, options);
    if (found === undefined && at < text.length) {
      return fault(
        at,
        `“${text.slice(at).trim()}” is not a unit of ${NAMES[options.dimension].split(',')[0]}.`,
      );
    }
    // After feet, a bare number is inches: people write 1' 6.
    const unit: Unit = found?.unit ?? (previous === UNITS.ft ? UNITS.in : UNITS[options.fallback]);
    if (unit.dimension !== options.dimension) {
      return fault(at, `${unit.symbol} does not measure this. Write ${NAMES[options.dimension]}.`);
    }
    if (previous && (unit.dimension === 'temperature' || unit.factor >= previous.factor)) {
      return fault(number.start, 'Only one number fits here.');
    }
    total += toSi(negative ? -number.value : number.value, unit);
    terms += 1;
    previous = unit;
    at = skip(text, found ? found.end : at);
  }
  return { ok: true, si: total };
}

const toSi = (written: number, unit: Unit): number => (written + unit.offset) * unit.factor;

function skip(text: string, from: number): number {
  let at = from;
  while (at < text.length && /\s/.test(text.charAt(at))) at += 1;
  return at;
}

type Num = { value: number; start: number; end: number } | { at: number; message: string };

/** A decimal, a fraction (`1/2`), a mixed number (`3 1/2`, `3½`). */
function readNumber(text: string, start: number, locale?: string): Num {
  const rest = text.slice(start);
  const vulgarOnly = VULGAR[rest.charAt(0)];
  if (vulgarOnly !== undefined) return { value: vulgarOnly, start, end: start + 1 };

  const fraction = /^(\d+)\s*\/\s*(\d+)/.exec(rest);
  if (fraction) return ratio(fraction[1], fraction[2], start, start + fraction[0].length);

  const decimal = readDecimal(rest, locale);
  if ('message' in decimal) return { at: start + decimal.at, message: decimal.message };
  const { value } = decimal;
  let end = start + decimal.end;
  const written = text.slice(start, end);
  if (/[.,]/.test(text.charAt(end))) return { at: end, message: 'A second decimal mark stands here.' };

  const after = text.slice(end);
  const mixed = /^(\s+|-)(\d+)\s*\/\s*(\d+)/.exec(after);
  if (mixed && !/[.,]/.test(written)) {
    const part = ratio(mixed[2], mixed[3], end, end + mixed[0].length);
    return 'message' in part ? part : { value: value + part.value, start, end: part.end };
  }
  const vulgar = VULGAR[after.trimStart().charAt(0)];
  if (vulgar !== undefined && !/[.,]/.test(written)) {
    end += after.length - after.trimStart().length + 1;
    return { value: value + vulgar, start, end };
  }
  return { value, start, end };
}

function ratio(top: string | undefined, bottom: string | undefined, start: number, end: number): Num {
  const below = Number(bottom);
  if (below === 0) return { at: end - String(bottom).length, message: 'A fraction cannot be over nothing.' };
  return { value: Number(top) / below, start, end };
}

function readUnit(text: string, at: number, options: ParseOptions): { unit: Unit; end: number } | undefined {
  const rest = text.slice(at).toLowerCase();
  const boundary = (length: number, spelling: string): boolean =>
    !/[a-z]$/.test(spelling) || !/^[a-z]/.test(rest.slice(length));
  for (const spelling of QUART) {
    if (rest.startsWith(spelling) && boundary(spelling.length, spelling)) {
      const id = options.quart === 'liquid' ? 'liquidQuart' : 'dryQuart';
      return { unit: UNITS[id], end: at + spelling.length };
    }
  }
  const dotless = /^(cu|dry|liquid|us)\.?\s*/.exec(rest);
  const candidates = [{ body: rest, shift: 0 }];
  if (dotless) {
    const word = dotless[1] ?? '';
    candidates.push({
      body: `${word} ${rest.slice(dotless[0].length)}`,
      shift: dotless[0].length - word.length - 1,
    });
  }
  for (const { body, shift } of candidates) {
    for (const [spelling, id] of spellingsOf(options.dimension)) {
      if (!body.startsWith(spelling)) continue;
      const tail = body.slice(spelling.length);
      if (/[a-z]$/.test(spelling) && /^[a-z]/.test(tail)) continue;
      let end = at + spelling.length + shift;
      if (text.charAt(end) === '.') end += 1;
      return { unit: UNITS[id], end };
    }
  }
  return undefined;
}
