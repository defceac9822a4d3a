import type { ShelfMove } from '@/core/shelf';

const day = (date: string): number => Date.parse(`${date}T09:00:00Z`);
const line = (
  id: string,
  date: string,
  kind: ShelfMove['kind'],
  material: string,
  amount: number,
  label: string,
  told: Partial<ShelfMove> = {},
): ShelfMove => ({
  id: `demo-${id}`,
  at: day(date),
  batch: `demo-${id}`,
  kind,
  material,
  amount,
  label,
  design: null,
  opened: null,
  bestBefore: null,
  undone: false,
  ...told,
});

/** The book of the nature room's shelf, loose m³. */
export const DEMO_SHELF: readonly ShelfMove[] = [
  line('1', '2026-09-12', 'receipt', 'charcoal', 0.005, 'one bag', { opened: '2026-10-03' }),
  line('2', '2026-09-12', 'receipt', 'washed-sand', 0.015, 'one bag', { opened: '2026-10-03' }),
  line('3', '2026-10-03', 'use', 'charcoal', 0.0015, 'Limestone', { design: 'demo-limestone' }),
  line('4', '2026-10-03', 'use', 'washed-sand', 0.005, 'Limestone', {
    design: 'demo-limestone',
    batch: 'demo-3',
  }),
  line('5', '2026-10-31', 'receipt', 'oak-litter', 0.004, 'Swept up in the school yard, baked'),
  line('6', '2026-09-20', 'receipt', 'flake-soil', 0.005, 'one bag, for the beetle culture', {
    opened: '2026-09-21',
    bestBefore: '2026-12-15',
  }),
  line('7', '2026-11-07', 'count', 'flake-soil', 0.002, 'Counted'),
];
