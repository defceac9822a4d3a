import type { Basis } from './basis';

/** How many values of some rows are published, practice, from memory, or one's own. */
export type BasisCount = Readonly<Record<Basis, number>>;

/** Counts every value that says where it comes from, however deep it lies. */
export function countBasis(rows: unknown): BasisCount {
  const count: Record<Basis, number> = { published: 0, practice: 0, memory: 0, own: 0 };
  const look = (value: unknown): void => {
    if (typeof value !== 'object' || value === null) return;
    if ('basis' in value && 'value' in value) count[value.basis as Basis] += 1;
    else for (const part of Object.values(value)) look(part);
  };
  look(rows);
  return count;
}
