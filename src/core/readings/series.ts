import { z } from 'zod';

/** What is measured, each kept in whole steps: finer than any instrument in a box tells. */
export const QUANTITIES = ['temperature', 'humidity', 'uvIndex', 'soilWater', 'mass'] as const;
export const ReadQuantity = z.enum(QUANTITIES);
export type ReadQuantity = z.infer<typeof ReadQuantity>;

/** Size of a step: °C, share, UV index, m³/m³, kg. */
export const STEP: Record<ReadQuantity, number> = {
  temperature: 0.01,
  humidity: 0.0001,
  uvIndex: 0.01,
  soilWater: 0.001,
  mass: 0.00001,
};

/** What no instrument in a living box can truly read. Outside it a value is set aside, never kept. */
export const POSSIBLE: Record<ReadQuantity, readonly [number, number]> = {
  temperature: [-40, 90],
  humidity: [0, 1.05],
  uvIndex: [0, 30],
  soilWater: [0, 1],
  mass: [0, 1000],
};

/** Where in the box: it tells which band of the animal a reading is judged by. */
export const PLACES = ['warm', 'cool', 'basking', 'canopy', 'hide', 'soil', 'room', 'scale'] as const;

const id = z.string().min(1).max(120);
const metres = z.number().finite().min(0).max(20);

/** A measuring point: a named place, what is read there and by what. Readings hang on its id. */
export const Series = z.strictObject({
  id,
  design: id,
  name: z.string().min(1).max(80),
  quantity: ReadQuantity,
  place: z.enum(PLACES),
  /** m from the left front lower corner inside; null: not shown on the drawing. */
  at: z.strictObject({ x: metres, y: metres, z: metres }).nullable(),
  /** What reads it: “probe 2”, “hand meter”. */
  instrument: z.string().max(80),
  /** Name it goes by on the wire or in a file, where it is one. */
  source: z.string().max(200).nullable(),
  /** What it alarms outside of, in the quantity’s unit; null: by the animal. */
  alarm: z
    .strictObject({
      on: z.boolean(),
      low: z.number().finite().nullable(),
      high: z.number().finite().nullable(),
    })
    .nullable(),
  /** ms since 1970 */
  changed: z.number().int().min(0),
  gone: z.boolean(),
});
export type Series = z.infer<typeof Series>;
export type MeasuringPlace = Series['place'];
