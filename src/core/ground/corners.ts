import type { Corners } from '../document/schema';

/** A surface over the floor, given at the four corners, m above the floor; bilinear between them. */
export const CORNERS = ['frontLeft', 'frontRight', 'backLeft', 'backRight'] as const;
export type Corner = (typeof CORNERS)[number];
export type Edge = 'front' | 'back' | 'left' | 'right';

/** The two corners at each end of the section one looks at. */
export const EDGE_CORNERS: Record<Edge, readonly [Corner, Corner]> = {
  front: ['frontLeft', 'frontRight'],
  back: ['backLeft', 'backRight'],
  left: ['frontLeft', 'backLeft'],
  right: ['frontRight', 'backRight'],
};

export const level = (height: number): Corners => ({
  frontLeft: height,
  frontRight: height,
  backLeft: height,
  backRight: height,
});

export const sloped = (front: number, back: number): Corners => ({
  frontLeft: front,
  frontRight: front,
  backLeft: back,
  backRight: back,
});

export const map = (corners: Corners, change: (value: number, corner: Corner) => number): Corners => ({
  frontLeft: change(corners.frontLeft, 'frontLeft'),
  frontRight: change(corners.frontRight, 'frontRight'),
  backLeft: change(corners.backLeft, 'backLeft'),
  backRight: change(corners.backRight, 'backRight'),
});

export const add = (a: Corners, b: Corners): Corners => map(a, (value, corner) => value + b[corner]);

const values = (corners: Corners): number[] => CORNERS.map((corner) => corners[corner]);
export const lowest = (corners: Corners): number => Math.min(...values(corners));
export const highest = (corners: Corners): number => Math.max(...values(corners));

/** Mean height; exact for a bilinear surface, so volume = floor area × mean. */
export const mean = (corners: Corners): number =>
  (corners.frontLeft + corners.frontRight + corners.backLeft + corners.backRight) / 4;

/** Mean along one edge of the floor. */
export const edgeMean = (corners: Corners, edge: Edge): number => {
  const [a, b] = EDGE_CORNERS[edge];
  return (corners[a] + corners[b]) / 2;
};
