import type { PageBlock } from '@/files';

const words = (element: Element): string => (element.textContent ?? '').replace(/\s+/g, ' ').trim();
const cellsOf = (row: HTMLTableRowElement): readonly string[] => [...row.cells].map(words);

/** What stands on a sheet, as blocks of a page: the same words, in the same order. */
export function pageBlocks(sheet: Element): readonly PageBlock[] {
  return [...sheet.children].flatMap((it): readonly PageBlock[] => {
    if (it.tagName === 'HEADER' || it.tagName === 'SVG') return [];
    if (it.tagName === 'H3') return [{ is: 'heading', text: words(it) }];
    if (it.tagName === 'UL') return [{ is: 'list', items: [...it.children].map(words) }];
    if (it instanceof HTMLTableElement) {
      const head = it.tHead?.rows[0];
      return [
        {
          is: 'table',
          head: head ? cellsOf(head) : [],
          rows: [...it.tBodies].flatMap((body) => [...body.rows].map(cellsOf)),
        },
      ];
    }
    // Drawings and lines to write on have no words of their own to keep.
    const text = words(it);
    return text === '' || it.querySelector('svg') ? [] : [{ is: 'text', text }];
  });
}
