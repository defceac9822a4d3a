import type { Design, Device } from '../document/schema';

/** Forms that reach along a side of the box: all others hang at one place. */
const LONG: ReadonlySet<string> = new Set(['tube', 'panel']);
/** m a tube or panel may reach out without touching more than a hand notices. */
const NOTHING = 0.003;

type Hung = Pick<Device, 'at' | 'length' | 'along'>;

/** m that something long inside the box reaches through its walls; 0: it does not, or lies over the lid. */
export function reachesOut({ width, depth, height }: Design['enclosure'], it: Hung, form: string): number {
  if (!LONG.has(form) || it.at.z >= height) return 0;
  const [middle, span] = it.along === 'x' ? [it.at.x, width] : [it.at.y, depth];
  const out = Math.max(0, it.length / 2 - middle, middle + it.length / 2 - span);
  return out > NOTHING ? out : 0;
}

/** The same where it is within the walls: moved along, turned if it fits only the other way, shortened if it fits neither. */
export function withinWalls<T extends Hung>(enclosure: Design['enclosure'], it: T, form: string): T {
  if (reachesOut(enclosure, it, form) === 0) return it;
  const { width, depth } = enclosure;
  const spans = { x: width, y: depth };
  const other = it.along === 'x' ? 'y' : 'x';
  const along = it.length > spans[it.along] && it.length <= spans[other] ? other : it.along;
  const length = Math.min(it.length, spans[along]);
  const middle = Math.min(spans[along] - length / 2, Math.max(length / 2, it.at[along]));
  return { ...it, along, length, at: { ...it.at, [along]: Math.round(middle * 1000) / 1000 } };
}
