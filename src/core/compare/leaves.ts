import type { Catalogue } from '../catalogue';
import type { Design } from '../document';
import type { Message } from '../units';
import { differencesOf, ORDER_OF_WORK, type Difference } from './differences';
import { fieldValue, memberName, spelt } from './fields';

/** One value of a design, by what it is called: told apart from its like by its number. */
interface Leaf {
  readonly where: Difference['where'];
  readonly what: string;
  readonly said: Message;
}

const SECTIONS = ['brief', 'enclosure', 'ground', 'scape', 'living', 'climate'] as const;

/** What is no value of a box: how it is called, stored and put in order. */
const NO_VALUE = /^(id|name|note|putAway|file|on|tag|pictures?)$/;
/** Said in one line already, with all that it is. */
const SAID: readonly RegExp[] = [
  /^brief\.(animal|count|since|room\.(kind|temperature|humidity))$/,
  /^enclosure\.(width|depth|height|material|top|topCover|panels.*|screened|made\.ventLow)$/,
  /^ground\.(method|(layers|regions\.[^.]+\.layers)\.[^.]+\.(kind|material|thickness\..*|mix\.parts.*|mix\.recipe))$/,
  /^scape\.(pieces\.[^.]+\.kind|backgrounds\.[^.]+\.kind)$/,
  /^living\.(plants\.[^.]+\.kind|crew\.[^.]+\.(kind|count))$/,
  /^climate\.(devices\.[^.]+\.(kind|power|dim|tank|guarded|at\.z|(thermostat|humidistat)\.(day|night)|duty.*)|mist\.(by|everyDays)|day\.(on|off)|watering.*|vents\..*|seasons\..*)$/,
];
const isSaid = (path: string): boolean => SAID.some((it) => it.test(path));

const isThing = (it: unknown): it is Readonly<Record<string, unknown>> =>
  typeof it === 'object' && it !== null && !Array.isArray(it);

/** All values of a design by their paths; members of lists by what they are, so that those of two designs meet. */
function leavesOf(design: Design, catalogue: Catalogue): ReadonlyMap<string, Leaf> {
  const found = new Map<string, Leaf>();
  const walk = (
    value: unknown,
    path: readonly string[],
    words: readonly string[],
    where: Difference['where'],
  ): void => {
    const key = path.at(-1) ?? '';
    if (path.length > 1 && (NO_VALUE.test(key) || path.join('.') === 'brief.place')) return;
    if (Array.isArray(value) && value.length > 0 && value.every(isThing)) {
      const seen = new Map<string, number>();
      const list: readonly Readonly<Record<string, unknown>>[] = value;
      list.forEach((it, index) => {
        // What has neither kind nor material is told apart by its place in the order.
        const own = it.kind ?? it.material ?? it.name;
        const id = typeof own === 'string' ? own : `${index + 1}`;
        const n = (seen.get(id) ?? 0) + 1;
        seen.set(id, n);
        const name =
          typeof own === 'string' ? memberName(it, id, catalogue) : `${spelt(key)} ${String(index + 1)}`;
        walk(it, [...path, `${id}~${n}`], [...words, n === 1 ? name : `${name} ${n}`], where);
      });
      return;
    }
    if (isThing(value)) {
      for (const [own, inner] of Object.entries(value)) {
        const member = Array.isArray(inner) && inner.length > 0 && inner.every(isThing);
        walk(inner, [...path, own], member ? words : [...words, spelt(own)], where);
      }
      return;
    }
    const id = path.join('.');
    if (isSaid(id)) return;
    found.set(id, {
      where,
      what: words.join(', '),
      said: Array.isArray(value) ? [JSON.stringify(value)] : fieldValue(path, value, catalogue),
    });
  };
  for (const section of SECTIONS) walk(design[section], [section], [], section);
  return found;
}

/**
 * All that several designs do not have alike, value for value: first what is told in a line of its own, then every other value,
 * so that what is alike in words is alike in all.
 */
export function allDifferencesOf(designs: readonly Design[], catalogue: Catalogue): readonly Difference[] {
  const lines = differencesOf(designs, catalogue);
  const all = designs.map((it) => leavesOf(it, catalogue));
  const ids = [...new Set(all.flatMap((it) => [...it.keys()]))];
  const planned = designs.some((it) => it.brief.stage === 'planned');
  const rest = ids.flatMap((id): Difference[] => {
    if (planned && id === 'brief.stage') return [];
    const sides = all.map((it) => it.get(id));
    // What is missing on one side with the thing it belongs to is told by that thing.
    if (sides.some((it) => it === undefined)) return [];
    const known = sides.filter((it) => it !== undefined);
    if (new Set(known.map((it) => JSON.stringify(it.said))).size === 1) return [];
    const first = known[0];
    if (!first) return [];
    const what = first.what.charAt(0).toUpperCase() + first.what.slice(1);
    return [{ where: first.where, what, sides: known.map((it) => it.said) }];
  });
  return ORDER_OF_WORK.flatMap((where) => [...lines, ...rest].filter((it) => it.where === where));
}
