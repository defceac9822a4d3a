import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import type { Design } from '@/core/document';

/** States a design is remembered to have been in. */
const REMEMBERED = 60;
/** Of the hash, in hex: 64 bits tell the states of one enclosure apart. */
const LENGTH = 16;
const MARK = /^[0-9a-f]{16}$/;

const inOrder = (_: string, value: unknown): unknown =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
    ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
    : value;

/** Tells a state of a design, whatever the order its keys stand in. */
export const markOf = (design: Design): string =>
  bytesToHex(sha256(utf8ToBytes(JSON.stringify(design, inOrder)))).slice(0, LENGTH);

/** Those of what is stored as a trail that are marks. */
export const marksIn = (trail: unknown): readonly string[] =>
  Array.isArray(trail) ? trail.filter((it): it is string => typeof it === 'string' && MARK.test(it)) : [];

/** The states a design has been in, the latest first, once it has gone on to others. */
export const trailOn = (trail: unknown, ...marks: readonly string[]): readonly string[] =>
  [...new Set([...marks, ...marksIn(trail)])].slice(0, REMEMBERED);
