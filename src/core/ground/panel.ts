import type { Ground } from '../document/schema';
import type { Rect } from './floor';

export interface Legs {
  readonly count: number;
  /** In rows of so many across and so many deep. */
  readonly across: number;
  readonly deep: number;
  /** m² of floor they stand on. */
  readonly area: number;
}

/** Legs in a grid under a panel, one at each corner and none further apart than the stated spacing. */
export function legsUnder(field: Rect, panel: Ground['panel']): Legs {
  const inOneRow = (length: number): number => Math.max(1, Math.ceil(length / panel.spacing - 1e-9)) + 1;
  const across = inOneRow(field.x1 - field.x0);
  const deep = inOneRow(field.y1 - field.y0);
  const count = across * deep;
  return { count, across, deep, area: (count * Math.PI * panel.leg ** 2) / 4 };
}
