import { prose } from './prose';
import { formatQuantity, number, type FormatOptions, type Quantity } from './format';

/** A sentence that still knows its numbers, so that it can be read in any unit. */
export type Message = readonly (string | Quantity)[];

/** Template tag: message`The bed holds ${tank(0.004)} up to the mesh.` A number is written as the reader’s country writes it. */
export function message(
  strings: TemplateStringsArray,
  ...values: (string | number | Quantity | Message)[]
): Message {
  return strings.flatMap((text, index) => {
    const value = values[index];
    const written: Message =
      value === undefined
        ? []
        : typeof value === 'number'
          ? [number(value)]
          : typeof value === 'object' && !('kind' in value)
            ? value
            : [value];
    return text === '' ? written : [text, ...written];
  });
}

/** A sentence, or one of a table with its amounts in metric. */
export const asMessage = (said: Message | string): Message => (typeof said === 'string' ? prose(said) : said);

/** Writes a sentence out in the person's units. */
export function formatMessage(said: Message, options: FormatOptions): string {
  return said.map((part) => (typeof part === 'string' ? part : formatQuantity(part, options))).join('');
}
