import equal from 'fast-deep-equal';
import { refusalIn } from './refusal';
import type { Design } from './schema';

/**
 * The way to a field of a document: keys, and `#id` for the member of a list that is told apart by an id. `#` alone is
 * the order of such a list.
 */
export type FieldPath = readonly string[];

/** A field that two sides set differently. undefined: it is not there on that side. */
export interface FieldClash {
  readonly path: FieldPath;
  readonly mine: unknown;
  /** What stands in the merged document. */
  readonly theirs: unknown;
}

/** Names a field, to be chosen by. */
export const fieldKey = (clash: FieldClash): string => JSON.stringify(clash.path);

export interface MergedDesign {
  readonly design: Design;
  readonly clashes: readonly FieldClash[];
}

type Fields = Readonly<Record<string, unknown>>;

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What the members of a list may be told apart by. */
const NAMES = ['id', 'material', 'kind', 'step', 'rule', 'device'] as const;

/** By what all members of all these lists are told apart; undefined where they are not. */
function nameOf(lists: readonly (readonly unknown[])[]): (typeof NAMES)[number] | undefined {
  return NAMES.find((name) =>
    lists.every((list) => {
      const own = list.map((it) => (isFields(it) ? it[name] : undefined));
      return own.every((it) => typeof it === 'string') && new Set(own).size === own.length;
    }),
  );
}

/** Whether values can be mixed: those of two kinds (a drain, a siphon) have other fields, and cannot. */
function ofOneKind(sides: readonly (Fields | undefined)[]): boolean {
  const told = sides.filter((it) => it !== undefined);
  const [kinds, keys] = [new Set<string>(), new Set<string>()];
  for (const it of told) {
    kinds.add(JSON.stringify([it.kind, it.on, it.by, it.shape]));
    keys.add(Object.keys(it).sort().join());
  }
  return kinds.size <= 1 || keys.size <= 1;
}

interface Merging {
  readonly clashes: FieldClash[];
}

function mergeValue(base: unknown, mine: unknown, theirs: unknown, path: FieldPath, to: Merging): unknown {
  if (equal(mine, theirs) || equal(mine, base)) return theirs;
  if (equal(theirs, base)) return mine;
  if (isFields(mine) && isFields(theirs)) {
    const own = isFields(base) ? base : undefined;
    if (ofOneKind([own, mine, theirs])) return mergeFields(own ?? {}, mine, theirs, path, to);
  }
  if (Array.isArray(mine) && Array.isArray(theirs)) {
    const own: readonly unknown[] = Array.isArray(base) ? base : [];
    const name = nameOf([own, mine, theirs]);
    if (name)
      return mergeList(
        own as Fields[],
        mine as Fields[],
        theirs as Fields[],
        (it) => String(it[name]),
        path,
        to,
      );
  }
  to.clashes.push({ path, mine, theirs });
  return theirs;
}

function mergeFields(base: Fields, mine: Fields, theirs: Fields, path: FieldPath, to: Merging): Fields {
  const merged: Record<string, unknown> = {};
  for (const key of new Set([...Object.keys(theirs), ...Object.keys(mine)])) {
    const value = mergeValue(base[key], mine[key], theirs[key], [...path, key], to);
    if (value !== undefined) merged[key] = value;
  }
  return merged;
}

function mergeList(
  base: readonly Fields[],
  mine: readonly Fields[],
  theirs: readonly Fields[],
  keyOf: (it: Fields) => string,
  path: FieldPath,
  to: Merging,
): readonly unknown[] {
  const by = (list: readonly Fields[]) => new Map(list.map((it) => [keyOf(it), it]));
  const [old, own, other] = [by(base), by(mine), by(theirs)];
  const values = new Map<string, unknown>();
  for (const key of new Set([...own.keys(), ...other.keys()])) {
    const value = mergeValue(old.get(key), own.get(key), other.get(key), [...path, `#${key}`], to);
    if (value !== undefined) values.set(key, value);
  }
  // Those that all three have tell which side put them in another order.
  const shared = (list: ReadonlyMap<string, unknown>): string[] =>
    [...list.keys()].filter((key) => old.has(key) && own.has(key) && other.has(key));
  const before = shared(old);
  const [ordered, changed] = [shared(own), shared(other)];
  const isMine = !equal(ordered, before) && equal(changed, before);
  if (!isMine && !equal(ordered, before) && !equal(ordered, changed))
    to.clashes.push({ path: [...path, '#'], mine: [...own.keys()], theirs: [...other.keys()] });
  const [lead, rest] = isMine ? [own, other] : [other, own];
  return inserted([...lead.keys()], [...rest.keys()])
    .filter((key) => values.has(key))
    .map((key) => values.get(key));
}

/** A list with what another has besides, each behind the one it stands behind there. */
function inserted(lead: readonly string[], rest: readonly string[]): readonly string[] {
  const all = [...lead];
  const known = new Set(lead);
  rest.forEach((key, at) => {
    if (known.has(key)) return;
    known.add(key);
    const before = rest[at - 1];
    all.splice(before === undefined ? 0 : all.indexOf(before) + 1, 0, key);
  });
  return all;
}

/** Fields that differ between two values, as far down as they can be told apart. */
function changesBetween(before: unknown, after: unknown, path: FieldPath): readonly FieldPath[] {
  if (equal(before, after)) return [];
  if (isFields(before) && isFields(after) && ofOneKind([before, after]))
    return [...new Set([...Object.keys(before), ...Object.keys(after)])].flatMap((key) =>
      changesBetween(before[key], after[key], [...path, key]),
    );
  if (Array.isArray(before) && Array.isArray(after)) {
    const name = nameOf([before, after]);
    if (name) {
      const by = (list: readonly Fields[]) => new Map(list.map((it) => [String(it[name]), it]));
      const [old, own] = [by(before as Fields[]), by(after as Fields[])];
      const keys = [...new Set([...old.keys(), ...own.keys()])];
      return keys.flatMap((key) => changesBetween(old.get(key), own.get(key), [...path, `#${key}`]));
    }
  }
  return [path];
}

/**
 * Merges what two sides made of one document. What only one of them changed is taken from it; of a field that both set
 * differently, `theirs` stands and the clash is told. Where the two together could not be read again, all of theirs
 * stands, and everything that mine changed is told as a clash.
 * @param base what both came from
 */
export function mergeDesigns(base: Design, mine: Design, theirs: Design): MergedDesign {
  const to: Merging = { clashes: [] };
  const design = mergeValue(base, mine, theirs, [], to) as Design;
  if (refusalIn(design) === null) return { design, clashes: to.clashes };
  return {
    design: theirs,
    clashes: changesBetween(base, mine, [])
      .map((path) => ({ path, mine: valueAt(mine, path), theirs: valueAt(theirs, path) }))
      .filter((it) => !equal(it.mine, it.theirs)),
  };
}

/** The member of a list with this `#id`, and where it stands; −1 where it is not there. */
function placeIn(list: readonly unknown[], step: string): number {
  const key = step.slice(1);
  const name = nameOf([list]);
  return list.findIndex(
    (it) => isFields(it) && (name ? [it[name]] : NAMES.map((own) => it[own])).includes(key),
  );
}

/** What stands at a field; undefined where there is none. For the order of a list, the names of its members. */
export function valueAt(value: unknown, path: FieldPath): unknown {
  const [step, ...rest] = path;
  if (step === undefined) return value;
  if (Array.isArray(value)) {
    const list: readonly unknown[] = value;
    if (step === '#') {
      const name = nameOf([list]);
      return list.map((it) => (name && isFields(it) ? it[name] : undefined));
    }
    return valueAt(list[placeIn(list, step)], rest);
  }
  return isFields(value) ? valueAt(value[step], rest) : undefined;
}

/** A document with another value at one field; undefined takes the field, or the member of a list, away. */
export const withValue = (design: Design, path: FieldPath, value: unknown): Design =>
  setAt(design, path, value) as Design;

function setAt(into: unknown, path: FieldPath, value: unknown): unknown {
  const [step, ...rest] = path;
  if (step === undefined) return value;
  if (Array.isArray(into)) {
    const list: readonly unknown[] = into;
    if (step === '#') return inOrder(list, value as readonly string[]);
    const at = placeIn(list, step);
    const next = setAt(list[at], rest, value);
    if (at < 0) return next === undefined ? list : [...list, next];
    return next === undefined ? list.toSpliced(at, 1) : list.with(at, next);
  }
  const fields = isFields(into) ? into : {};
  const next = setAt(fields[step], rest, value);
  return Object.fromEntries(
    [
      ...Object.entries(fields).map(([key, own]) => [key, key === step ? next : own] as const),
      ...(step in fields ? [] : [[step, next] as const]),
    ].filter(([, own]) => own !== undefined),
  );
}

function inOrder(list: readonly unknown[], order: readonly string[]): readonly unknown[] {
  const name = nameOf([list]);
  if (!name) return list;
  const rank = (it: unknown): number => {
    const at = order.indexOf(String((it as Fields)[name]));
    return at < 0 ? order.length : at;
  };
  return [...list].sort((a, b) => rank(a) - rank(b));
}
