import type { ZodType } from 'zod';
import { refusalOf } from '@/core/document';

/** Said of something that is not written, since it could not be read again; names the field, and what is wrong there. */
export class RefusedWrite extends Error {}

/** A value as it is written down: what its schema would not read again is refused. */
export function written<T>(schema: ZodType<T>, value: unknown): T {
  const read = schema.safeParse(value);
  if (read.success) return read.data;
  const { place, message } = refusalOf(read.error.issues[0]);
  throw new RefusedWrite(`at ${place}: ${message}`);
}
