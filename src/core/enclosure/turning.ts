import type { Enclosure } from '../document/schema';

/** What is in front once a box is turned: what was its lid, or what was its front. */
export type InFront = 'lid' | 'front';

/** What comes to the front: a tank that opens above gets a door where its lid was, a box with doors keeps them there. */
export const usuallyInFront = ({ stands, screened, front }: Enclosure): InFront =>
  (stands === 'on-end' ? screened.includes('right') : front === 'doors') ? 'front' : 'lid';

/** Sides of a box once it is turned, or laid back down, m. */
export function turnedSides(box: Enclosure, front: InFront): Pick<Enclosure, 'width' | 'depth' | 'height'> {
  const { width, depth, height, stands } = box;
  if (front === 'front') return { width: height, depth, height: width };
  return stands === 'upright'
    ? { width: depth, depth: height, height: width }
    : { width: height, depth: width, height: depth };
}
