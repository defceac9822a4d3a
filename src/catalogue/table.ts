import type { Range } from '@/core/catalogue';
import { range } from './basis';

/**
 * Rows of a table written as lines of cells with “|” between them; each row reads its cells by number.
 * Throws on a line with another number of cells, naming it: a table out of step is a broken build.
 */
export function readTable(text: string, cells: number): readonly ((cell: number) => string)[] {
  return text
    .trim()
    .split('\n')
    .map((line) => {
      const row = line.split('|').map((it) => it.trim());
      // Empty cells at the end of a line go with its trailing blanks.
      while (row.length < cells && row.length >= cells - 3) row.push('');
      if (row.length !== cells) throw new Error(`${row.length} cells instead of ${cells}: ${line}`);
      return (cell) => row[cell] ?? '';
    });
}

/** A range written low-high, or one number for both; both scaled. A minus sign may stand before the low end. */
export function within(text: string, scale = 1): Range {
  const found = /^(-?[\d.]+)(?:-([\d.]+))?$/.exec(text);
  if (!found?.[1]) throw new Error(`not a range: “${text}”`);
  const scaled = (it: string): number => Math.round(Number(it) * scale * 1e9) / 1e9;
  return range(scaled(found[1]), scaled(found[2] ?? found[1]));
}
