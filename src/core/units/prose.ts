import type { Measure, Quantity } from './format';
import type { Message } from './message';
import { UNITS, type UnitId } from './units';

/** Units that prose is written in, as they are spelt in it, and what they measure. */
const WRITTEN: Readonly<Record<string, { readonly unit: UnitId; readonly measure: Measure }>> = {
  mm: { unit: 'mm', measure: 'length' },
  cm: { unit: 'cm', measure: 'length' },
  m: { unit: 'm', measure: 'length' },
  'cm²': { unit: 'cm2', measure: 'area' },
  'm²': { unit: 'm2', measure: 'area' },
  mL: { unit: 'mL', measure: 'tank' },
  L: { unit: 'L', measure: 'tank' },
  mg: { unit: 'mg', measure: 'light' },
  g: { unit: 'g', measure: 'light' },
  kg: { unit: 'kg', measure: 'mass' },
  '°C': { unit: 'C', measure: 'temperature' },
  K: { unit: 'dC', measure: 'difference' },
  'kg/L': { unit: 'kgL', measure: 'density' },
  'kN/m²': { unit: 'kPa', measure: 'pressure' },
  'L/h': { unit: 'Lh', measure: 'flow' },
  'm/s': { unit: 'ms', measure: 'speed' },
  'W/m²': { unit: 'Wm2', measure: 'flux' },
};

const AMOUNT =
  /(\d+(?:\.\d+)?)(?:( to | or | and |–|-)(\d+(?:\.\d+)?))?[ \u00a0](mm|cm²|cm|m²|m\/s|mL|mg|m|kg\/L|kg|kN\/m²|L\/h|L|g|°C|K|W\/m²)(?![\p{L}\d²³/]|-\p{L})/gu;

/**
 * A sentence of a table or of the catalogue, written with metric amounts, with those amounts as quantities: they are read
 * in the reader’s units, rounded as roughly as they were written.
 */
export function prose(text: string): Message {
  const parts: (string | Quantity)[] = [];
  let from = 0;
  for (const found of text.matchAll(AMOUNT)) {
    const [whole, first = '', between, second, spelt = ''] = found;
    const kind = WRITTEN[spelt];
    if (!kind) continue;
    const unit = UNITS[kind.unit];
    const amount = (written: string, bare: boolean): Quantity => ({
      kind: 'quantity',
      measure: kind.measure,
      si: (Number(written) + unit.offset) * unit.factor,
      about: kind.unit,
      ...(bare ? { bare } : {}),
    });
    if (found.index > from) parts.push(text.slice(from, found.index));
    if (between !== undefined && second !== undefined)
      parts.push(amount(first, true), between, amount(second, false));
    else parts.push(amount(first, false));
    from = found.index + whole.length;
  }
  if (from < text.length) parts.push(text.slice(from));
  return parts;
}
