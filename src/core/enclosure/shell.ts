import type { Enclosure, Panel, Side } from '../document/schema';

export type Solid = Panel['material'];
/** What a closed wall is made of, m thick. */
export interface Made {
  readonly material: Solid;
  readonly thickness: number;
}

export const SIDES = ['left', 'right', 'back', 'front'] as const satisfies readonly Side[];

const panelOf = ({ panels }: Enclosure, wall: Panel['wall']): Panel | undefined =>
  panels.find((it) => it.wall === wall);

/** Whether air goes through a side: gauze in a frame, of its own or as the whole box is. */
export const isGauze = (box: Enclosure, side: Side): boolean =>
  box.screened.includes(side) || (box.material === 'mesh' && !panelOf(box, side));

/** What a side is made of where it is closed; null: it is gauze. */
export function sideOf(box: Enclosure, side: Side): Made | null {
  if (isGauze(box, side)) return null;
  const panel = panelOf(box, side);
  if (panel) return { material: panel.material, thickness: panel.thickness };
  return box.material === 'mesh' ? null : { material: box.material, thickness: box.wallThickness };
}

/** What floor and sills are made of; null: a tray in a frame of gauze. */
export const floorOf = ({ material, wallThickness }: Enclosure): Made | null =>
  material === 'mesh' ? null : { material, thickness: wallThickness };

/** What a closed top is made of, and the cover that lies on an open one: glass where nothing else is said of a cage. */
export function lidOf(box: Enclosure): Made {
  const { material, wallThickness } = box;
  const panel = panelOf(box, 'top');
  if (panel) return { material: panel.material, thickness: panel.thickness };
  return { material: material === 'mesh' ? 'glass' : material, thickness: wallThickness };
}

/** Length of the sides that are gauze, seen from above, m. */
export const gauzeRun = (box: Enclosure): number =>
  SIDES.reduce((sum, side) => sum + (isGauze(box, side) ? runOf(box, side) : 0), 0);

/** Length of a side seen from above, inside, m. */
export const runOf = ({ width, depth }: Pick<Enclosure, 'width' | 'depth'>, side: Side): number =>
  side === 'left' || side === 'right' ? depth : width;
