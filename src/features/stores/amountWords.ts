import type { Material } from '@/core/catalogue';
import { counted, bag, length } from '@/core/units';
import type { Reader } from '@/ui/units';

/** How much of a thing there is, in what it is counted by. */
export function amountWords(row: Material, amount: number, write: Reader['write']): string {
  const form = row.packs[0]?.form;
  if (form === 'sheet') return `${counted(amount, 'sheet')}`;
  return form === 'roll' || form === 'pipe' ? write(length(amount)) : write(bag(amount));
}
