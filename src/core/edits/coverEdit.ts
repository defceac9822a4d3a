import type { Design } from '../document/schema';
import { partAt } from '../document/seasonal';
import type { EditCall } from './edits';

/** The edit that covers so much of the top at a moment: where a part of the year has a cover of its own, it is that one. */
export function coverEdit(design: Design, when: string | number, topCover: number): EditCall {
  const part = partAt(design, when);
  return part && part.topCover !== null
    ? { edit: 'setSeason', change: { ...part, topCover } }
    : { edit: 'setEnclosure', change: { topCover } };
}
