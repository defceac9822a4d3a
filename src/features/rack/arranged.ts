import type { Design } from '@/core/document';
import type { Severity } from '@/core/findings';
import { byName, byPlace } from '@/ui/placeOrder';
import type { seek } from '@/ui/seek';
import { STAGE_WORD } from '@/ui/words';

/** An enclosure of the rack with what it is looked for and put in order by. */
export interface RackRow {
  readonly design: Design;
  /** What lives there, as it is told; empty: nobody. */
  readonly species: string;
  /** Other words it goes by: scientific and everyday names of its species. */
  readonly also: readonly string[];
  /** Names of its animals. */
  readonly animals: readonly string[];
  /** Things to be done today, and how many of them should have been before; undefined: not worked out yet. */
  readonly due: { readonly now: number; readonly late: number } | undefined;
  /** The gravest of what is found in it; undefined: nothing, or not worked out yet. */
  readonly worst: Severity | undefined;
}

export const SORTS = ['name', 'due', 'problem', 'species', 'room', 'size', 'age', 'own'] as const;
export type Sort = (typeof SORTS)[number];
export const GROUPS = ['none', 'room', 'shelf', 'species', 'stage'] as const;
export type Group = (typeof GROUPS)[number];
export const ONLY = ['all', 'due', 'late', 'fix', 'lived', 'building'] as const;
export type Only = (typeof ONLY)[number];

export interface Wanted {
  readonly text: string;
  readonly sort: Sort;
  readonly group: Group;
  readonly only: Only;
  /** Ids in the keeper’s own order; what is in none of it comes after. */
  readonly order: readonly string[];
}

/** Enclosures that stand together under one heading. */
export interface RackGroup {
  /** Empty where nothing is grouped. */
  readonly title: string;
  readonly rows: readonly RackRow[];
}

const RANK: Readonly<Record<Severity, number>> = { severe: 0, look: 1, note: 2, fine: 3 };
const LAST = 4;

const isWanted: Readonly<Record<Only, (row: RackRow) => boolean>> = {
  all: () => true,
  due: ({ due }) => (due?.now ?? 0) > 0,
  late: ({ due }) => (due?.late ?? 0) > 0,
  fix: ({ worst }) => worst === 'severe',
  lived: ({ design }) => design.brief.stage === 'inhabited',
  building: ({ design }) => design.brief.stage !== 'inhabited',
};

const floor = ({ enclosure }: Design): number => enclosure.width * enclosure.depth * enclosure.height;
/** What is not told comes last. */
const told = (text: string): string => (text === '' ? '\uffff' : text);

const titleOf: Readonly<Record<Exclude<Group, 'none'>, (row: RackRow) => string>> = {
  room: ({ design }) => design.brief.place.room || 'No room told',
  shelf: ({ design: { brief } }) =>
    [brief.place.room, brief.place.shelf].filter((it) => it !== '').join(', ') || 'No room told',
  species: ({ species }) => species || 'No animal yet',
  stage: ({ design }) => STAGE_WORD[design.brief.stage],
};

const wordsOf = ({ design, species, also, animals }: RackRow): readonly string[] => [
  design.name,
  species,
  ...also,
  ...animals,
  design.brief.place.room,
  design.brief.place.shelf,
  design.brief.note,
];

/** Those that hold every word as it is written; where none does, those that are near. */
function foundBy(rows: readonly RackRow[], text: string, near: typeof seek | null): readonly RackRow[] {
  const words = text
    .toLowerCase()
    .split(/\s+/)
    .filter((it) => it !== '');
  const exact = rows.filter((row) => {
    const all = wordsOf(row).join('\n').toLowerCase();
    return words.every((it) => all.includes(it));
  });
  return exact.length > 0 || !near ? exact : near(rows, text, wordsOf);
}

/**
 * Enclosures that are wanted, in the order that is, by groups. Ties stand by name.
 * @param near forgives slips of spelling; null: what is looked for must be written as it is
 */
export function arranged(
  rows: readonly RackRow[],
  wanted: Wanted,
  locale: string | undefined,
  near: typeof seek | null = null,
): readonly RackGroup[] {
  const named = byName(locale);
  const placed = byPlace(locale);
  const places = new Map(wanted.order.map((id, at) => [id, at]));
  const compare: Readonly<Record<Sort, (a: RackRow, b: RackRow) => number>> = {
    name: () => 0,
    due: (a, b) => (b.due?.late ?? 0) - (a.due?.late ?? 0) || (b.due?.now ?? 0) - (a.due?.now ?? 0),
    problem: (a, b) => (a.worst ? RANK[a.worst] : LAST) - (b.worst ? RANK[b.worst] : LAST),
    species: (a, b) => named(told(a.species), told(b.species)),
    room: (a, b) => placed(a.design, b.design),
    size: (a, b) => floor(b.design) - floor(a.design),
    // The longest kept first.
    age: (a, b) => told(a.design.brief.since ?? '').localeCompare(told(b.design.brief.since ?? '')),
    own: (a, b) => (places.get(a.design.id) ?? Infinity) - (places.get(b.design.id) ?? Infinity) || 0,
  };
  const found = foundBy(rows, wanted.text, near).filter(isWanted[wanted.only]);
  const sorted = [...found].sort((a, b) => compare[wanted.sort](a, b) || named(a.design.name, b.design.name));
  if (wanted.group === 'none') return sorted.length > 0 ? [{ title: '', rows: sorted }] : [];
  const groups = new Map<string, RackRow[]>();
  const title = titleOf[wanted.group];
  for (const row of sorted) groups.set(title(row), [...(groups.get(title(row)) ?? []), row]);
  return [...groups]
    .map(([name, own]): RackGroup => ({ title: name, rows: own }))
    .sort((a, b) => groupKey(a, named, b));
}

const NOT_TOLD: ReadonlySet<string> = new Set(['No room told', 'No animal yet']);
const groupKey = (a: RackGroup, named: (a: string, b: string) => number, b: RackGroup): number =>
  Number(NOT_TOLD.has(a.title)) - Number(NOT_TOLD.has(b.title)) || named(a.title, b.title);

/** Ids in a new order: one is put where another stands. */
export function movedBefore(order: readonly string[], id: string, to: number): readonly string[] {
  const rest = order.filter((it) => it !== id);
  const at = Math.min(Math.max(to, 0), rest.length);
  return [...rest.slice(0, at), id, ...rest.slice(at)];
}
