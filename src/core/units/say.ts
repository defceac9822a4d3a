import { formatQuantity, type FormatOptions, type Quantity } from './format';

/** A sentence that still knows its numbers, so that it can be read in any unit. */
export type Said = readonly (string | Quantity)[];

/** Template tag: say`The bed holds ${tank(0.004)} up to the mesh.` */
export function say(strings: TemplateStringsArray, ...values: (string | number | Quantity)[]): Said {
  return strings.flatMap((text, index) => {
    const value = values[index];
    const written = value === undefined ? [] : [typeof value === 'number' ? String(value) : value];
    return text === '' ? written : [text, ...written];
  });
}

/** Writes a sentence out in the person's units. */
export function tell(said: Said, options: FormatOptions): string {
  return said.map((part) => (typeof part === 'string' ? part : formatQuantity(part, options))).join('');
}
