import { NumberParser } from '@internationalized/number';

/** What is typed as one number: figures with marks between them. */
const TOKEN = /^(?:\p{Nd}+(?:[.,'’٫٬\u00a0\u202f ]\p{Nd}+)*|[.,٫]\p{Nd}+)/u;

interface Marks {
  readonly decimal: string;
  readonly group: string;
  readonly parser: NumberParser;
}
const known = new Map<string, Marks>();

function marksOf(locale: string): Marks {
  let made = known.get(locale);
  if (!made) {
    const parts = new Intl.NumberFormat(locale).formatToParts(1234567.8);
    const of = (type: 'decimal' | 'group', otherwise: string): string =>
      parts.find((it) => it.type === type)?.value ?? otherwise;
    made = {
      decimal: of('decimal', '.'),
      group: of('group', ','),
      parser: new NumberParser(locale, { maximumFractionDigits: 20 }),
    };
    known.set(locale, made);
  }
  return made;
}

const isSpace = (mark: string): boolean => /\s/.test(mark);
const sameMark = (a: string, b: string): boolean =>
  a === b || (isSpace(a) && isSpace(b)) || (/['’]/.test(a) && /['’]/.test(b));

export type Decimal =
  { readonly value: number; readonly end: number } | { readonly at: number; readonly message: string };

/**
 * Reads a decimal number that begins a text, as people of a country write it: grouped in threes by its mark (`1,500` in
 * English, `1.500` in German), decimals after a comma or a point. One mark that is no grouping is a decimal mark, whichever
 * it is: `1.5` is one and a half in German too. Without a locale what can be read two ways is refused.
 * @returns the value and the position after it, or the position of the fault
 */
export function readDecimal(text: string, locale?: string): Decimal {
  const marks = locale === undefined ? null : marksOf(locale);
  let token = TOKEN.exec(text)?.[0];
  if (token === undefined) return { at: 0, message: 'A number is expected here.' };
  // A space or an apostrophe is part of a number only where it groups: elsewhere it parts it from a fraction, or is a foot.
  const apart = token.search(/[\s'’]/);
  const spaced = /^\p{Nd}{1,3}(?:[\s'’]\p{Nd}{3})+(?!\p{Nd})/u.test(token);
  if (apart >= 0 && !(marks && spaced && sameMark(token.charAt(apart), marks.group)))
    token = token.slice(0, apart);
  const parser = marks?.parser ?? marksOf('en').parser;
  const plain = (it: string): number =>
    parser.parse(it.replace(/[,٫]/, '.').replace('.', marks?.decimal ?? '.'));
  const pieces = token.split(/[^\p{Nd}]/u);
  const between = [...token.replaceAll(/\p{Nd}/gu, '')];
  const grouped = (groups: readonly string[]): boolean =>
    /^(?!0)\p{Nd}{1,3}$/u.test(groups[0] ?? '') && groups.slice(1).every((it) => /^\p{Nd}{3}$/u.test(it));
  const [first] = between;
  if (first === undefined) return { value: plain(token), end: token.length };
  if (between.length === 1 && !marks && first === ',' && grouped(pieces))
    return {
      at: token.indexOf(','),
      message: 'This comma can be read two ways. Leave it out, or write a decimal point.',
    };
  const whole = between.every((it) => marks && sameMark(it, marks.group)) && grouped(pieces);
  const withDecimals =
    marks !== null &&
    between.length > 1 &&
    sameMark(between.at(-1) ?? '', marks.decimal) &&
    between.slice(0, -1).every((it) => sameMark(it, marks.group)) &&
    grouped(pieces.slice(0, -1));
  if (whole) return { value: plain(pieces.join('')), end: token.length };
  if (withDecimals)
    return { value: plain(`${pieces.slice(0, -1).join('')}.${pieces.at(-1) ?? ''}`), end: token.length };
  if (between.length === 1 && /[.,٫]/.test(first)) return { value: plain(token), end: token.length };
  const second =
    token.search(/[^\p{Nd}]/u) + 1 + token.slice(token.search(/[^\p{Nd}]/u) + 1).search(/[^\p{Nd}]/u);
  return { at: second, message: 'A second decimal mark stands here.' };
}

/** A bare number as it was typed, with a sign or none; null: it is none, or more stands there. */
export function parseNumber(text: string, locale?: string): number | null {
  const trimmed = text.trim();
  const sign = /^[-−+]/.exec(trimmed)?.[0] ?? '';
  const rest = trimmed.slice(sign.length).trimStart();
  const read = readDecimal(rest, locale);
  if ('message' in read || read.end < rest.length || !Number.isFinite(read.value)) return null;
  return sign !== '' && sign !== '+' ? -read.value : read.value;
}
