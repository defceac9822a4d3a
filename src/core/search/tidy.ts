import { assess } from '../assess';
import { applyEdit } from '../edits';
import { type Design } from '../document';
import type { Catalogue } from '../catalogue';
import type { Finding } from '../findings';

/** Findings mended one after the other at the most. */
const MOST = 6;

const pressing = (design: Design, catalogue: Catalogue): readonly Finding[] =>
  assess(design, catalogue).findings.filter((it) => it.severity === 'severe' || it.severity === 'look');

/** What was asked for, and is not the proposal's to change: the box, the animal, the room. */
const ASKED: readonly Finding['place']['at'][] = ['brief', 'enclosure'];

const nameOf = ({ code, place }: Finding): string => JSON.stringify([code, place]);

/**
 * A first design without findings of its own making: remedies that clear what they are for and bring nothing new are
 * taken over. What has none, as a box that is heavy to carry, stays told.
 */
export function withoutOwnFindings(first: Design, catalogue: Catalogue): Design {
  let design = first;
  let open = pressing(design, catalogue);
  const tried = new Set<string>();
  for (let n = 0; n < MOST; n += 1) {
    const next = open
      .filter((it) => !ASKED.includes(it.place.at))
      .flatMap((it) => it.remedies.map(({ call }) => ({ it, call })));
    const taken = next.find(({ it, call }) => {
      const key = `${nameOf(it)} ${JSON.stringify(call)}`;
      if (!call || call.edit === 'setEnclosure' || tried.has(key)) return false;
      tried.add(key);
      const mended = applyEdit(design, call, catalogue);
      const left = pressing(mended, catalogue);
      const known = new Set(open.map(nameOf));
      if (left.some((own) => nameOf(own) === nameOf(it) || !known.has(nameOf(own)))) return false;
      design = mended;
      open = left;
      return true;
    });
    if (!taken) break;
  }
  return design;
}
