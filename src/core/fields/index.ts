import { z } from 'zod';

/** Longest length a design may hold, m. */
export const MAX_LENGTH = 10;
/** m, from nothing up */
export const metres = z.number().finite().min(0).max(MAX_LENGTH);
/** m, either way */
export const offset = z.number().finite().min(-MAX_LENGTH).max(MAX_LENGTH);
/** m, of something that has an extent */
export const extent = z.number().finite().min(0.001).max(MAX_LENGTH);
export const share = z.number().finite().min(0).max(1);
export const id = z.string().min(1).max(80);
export const text = z.string().max(200);

/** A place of the floor: x to the right from the left wall, y to the back from the front, m. */
export const Point = z.strictObject({ x: metres, y: metres });
export type Point = z.infer<typeof Point>;
