import { parseNumber, UNITS } from '../units';
import type { Draft, EntryKind, EntryValues } from './entry';

export interface QuickPlace {
  readonly id: string;
  readonly name: string;
  /** The room it stands in; empty or left out: not told. */
  readonly room?: string;
  /** Animals that live there, by their names. */
  readonly animals?: readonly QuickAnimal[];
  /** Lamps that are replaced by their age. */
  readonly lamps?: readonly QuickLamp[];
}

export interface QuickLamp {
  readonly device: string;
  readonly name: string;
  /** The care that asks for a new one. */
  readonly rule: string;
}

export interface QuickAnimal {
  readonly id: string;
  readonly name: string;
}

/** What a part of a quick line was understood as. */
export interface QuickEntry {
  readonly source: string;
  readonly place: QuickPlace | null;
  /** The animal it is about, where one is named, or can only be the one that lives there. */
  readonly animal: QuickAnimal | null;
  readonly draft: Draft | null;
  /** Why it cannot be written as it stands. */
  readonly wrong: string | null;
}

const VERBS: readonly (readonly [RegExp, EntryKind])[] = [
  [/^(mist(ed)?|spray(ed)?)\b/i, 'mist'],
  [/^(fed|feed|food|ate)\b/i, 'feed'],
  [/^(refused|off food|no food)\b/i, 'feed'],
  [/^(clean(ed)?|spot)\b/i, 'clean'],
  [/^(poo|dropping(s)?|urate(s)?)\b/i, 'droppings'],
  [/^(shed|sloughed)\b/i, 'shed'],
  [/^(mou?ld)\b/i, 'mould'],
  [/^(pest(s)?|mite(s)?|gnat(s)?)\b/i, 'pests'],
  [/^(crew|springtails|isopods)\b/i, 'crew'],
  [/^(eggs?)\b/i, 'eggs'],
  [/^(laid|laying)\b/i, 'laying'],
  [/^(hatched)\b/i, 'hatching'],
  [/^(born)\b/i, 'birth'],
  [/^(died|dead)\b/i, 'death'],
  [/^(handled)\b/i, 'handling'],
  [/^(moved)\b/i, 'move'],
  [/^(repaired|repair|broken|replaced)\b/i, 'repair'],
  [/^(weight|weighed|weighs)\b/i, 'weight'],
];

const DIGITS = String.raw`\d(?:[\d.,]*\d)?`;
const find = (text: string, unit: string, locale: string | undefined): number | null => {
  const found = new RegExp(`(-?${DIGITS})\\s*(?:${unit})(?![a-z])`, 'i').exec(text);
  return found?.[1] === undefined ? null : parseNumber(found[1], locale);
};
const plain = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .toLowerCase()
    .trim();

/** The place whose name, or the beginning of it, the words begin with; and the words after it. */
function placeIn(
  text: string,
  places: readonly QuickPlace[],
): { readonly place: QuickPlace; readonly rest: string } | { readonly unclear: readonly string[] } | null {
  const words = text.trim().split(/\s+/);
  for (let count = Math.min(4, words.length); count > 0; count -= 1) {
    const said = plain(words.slice(0, count).join(' '));
    if (said.length < 2) continue;
    const whole = places.filter((it) => plain(it.name) === said);
    const begun = places.filter((it) => plain(it.name).startsWith(said));
    const found = whole.length > 0 ? whole : begun;
    const [only] = found;
    if (only && found.length === 1) return { place: only, rest: words.slice(count).join(' ') };
    if (found.length > 1) return { unclear: found.map((it) => it.name) };
  }
  return null;
}

/** All places, or those of a room, where the words begin with either; and the words after it. */
function manyIn(
  text: string,
  places: readonly QuickPlace[],
): { readonly of: readonly QuickPlace[]; readonly rest: string } | null {
  const words = text.trim().split(/\s+/);
  if (/^(all|everyone|everything|everywhere)$/i.test(words[0] ?? ''))
    return { of: places, rest: words.slice(1).join(' ') };
  for (let count = Math.min(6, words.length); count > 0; count -= 1) {
    const said = plain(words.slice(0, count).join(' '));
    const of = places.filter((it) => plain(it.room ?? '') === said);
    // What is called like a room is meant by its name.
    if (of.length > 0 && !places.some((it) => plain(it.name) === said))
      return { of, rest: words.slice(count).join(' ') };
  }
  return null;
}

/** Lines that are of one animal: where only one lives, of that one. */
const OF_ONE: ReadonlySet<EntryKind> = new Set(['weight', 'shed', 'death']);

interface NamedAnimal {
  readonly animal: QuickAnimal;
  /** What is said of it: the words without its name. */
  readonly rest: string;
}

/** The animal that is named in a text, by its whole name; null where none is. The longer name is meant first. */
function animalIn(text: string, animals: readonly QuickAnimal[]): NamedAnimal | null {
  const words = text.split(/\s+/);
  const said = words.map((it) => plain(it).replace(/[,.:]+$/, ''));
  const longest = [...animals].sort((a, b) => b.name.length - a.name.length);
  for (const animal of longest) {
    const name = plain(animal.name).split(/\s+/);
    const at = said.findIndex((_, i) => name.every((it, k) => said[i + k] === it));
    const rest = words.toSpliced(at, name.length).join(' ');
    if (at >= 0 && rest !== '') return { animal, rest };
  }
  return null;
}

/** Readings in a text: °C or °F, %, UV index. */
function readingIn(text: string, locale: string | undefined): Partial<EntryValues> {
  const celsius = find(text, '°\\s?C|C', locale);
  const fahrenheit = find(text, '°\\s?F|F', locale);
  const humidity = find(text, '%', locale);
  const uv = new RegExp(String.raw`\buvi?\s*(${DIGITS})`, 'i').exec(text)?.[1];
  return {
    ...(celsius !== null
      ? { temperature: celsius }
      : fahrenheit !== null
        ? { temperature: ((fahrenheit - 32) * 5) / 9 }
        : {}),
    ...(humidity !== null ? { humidity: humidity / 100 } : {}),
    ...(uv !== undefined ? { uvIndex: parseNumber(uv, locale) } : {}),
  };
}

/** What weights are written in, the longer spelling first. */
const WEIGHTS = [
  ['kg', UNITS.kg],
  ['g|grams?', UNITS.g],
  ['lbs?|pounds?', UNITS.lb],
  ['oz|ounces?', UNITS.oz],
] as const;

/** One part as an entry; what no rule knows is a note. Says what is impossible rather than write it. */
function draftOf(
  text: string,
  locale: string | undefined,
): { readonly draft: Draft } | { readonly wrong: string } {
  const verb = VERBS.find(([pattern]) => pattern.test(text));
  const kind = verb?.[1];
  const after = verb ? text.replace(verb[0], '').trim() : text;
  const mass = WEIGHTS.reduce<number | null>((known, [spelt, unit]) => {
    const found = known === null ? find(text, spelt, locale) : null;
    return found === null ? known : found * unit.factor;
  }, null);
  if (kind === 'mist') {
    const minutes = find(text, 'min', locale);
    const seconds = find(text, 's|sec|seconds?', locale) ?? (minutes === null ? null : minutes * 60);
    return { draft: { kind, values: { seconds }, text: seconds === null ? after : '' } };
  }
  if (kind === 'feed') {
    const refused = /refused|off food|no food|nothing taken/i.test(text);
    const left = /(\d(?:[\d.,]*\d)?)\s+(?:left|over)\b/i.exec(text)?.[1];
    const given = /^(\d(?:[\d.,]*\d)?)\s*(.*)$/.exec(
      after.replace(/,?\s*\d(?:[\d.,]*\d)?\s+(?:left|over)\b/i, ''),
    );
    const count = given?.[1] === undefined ? null : parseNumber(given[1], locale);
    const leftOver = left === undefined ? null : parseNumber(left, locale);
    if (count !== null && leftOver !== null && leftOver > count)
      return { wrong: `${leftOver} left of ${count} given` };
    return {
      draft: {
        kind,
        values: { count, left: leftOver, refused: refused ? true : null },
        text: (given?.[2] ?? (refused ? '' : after)).replace(/[,\s]+$/, '').trim(),
      },
    };
  }
  if (
    kind === 'weight' ||
    (kind === undefined && mass !== null && /^[\d.,]+\s*(?:k?g|oz|lbs?)\b/i.test(text))
  ) {
    return mass === null
      ? { wrong: 'how much it weighs is missing, such as 42 g or 1.5 oz' }
      : { draft: { kind: 'weight', values: { mass }, text: '' } };
  }
  if (kind === 'eggs' || kind === 'hatching' || kind === 'birth' || kind === 'death') {
    const count = /\d+/.exec(text)?.[0];
    return {
      draft: {
        kind,
        values: { count: count === undefined ? null : Number(count) },
        // Its number is said by itself.
        text: after.replace(/^\d+\s*[,:]?\s*/, ''),
      },
    };
  }
  if (kind !== undefined) return { draft: { kind, values: {}, text: after } };
  const reading = readingIn(text, locale);
  if (Object.keys(reading).length > 0) {
    const { temperature = null, humidity = null } = reading;
    if (humidity !== null && (humidity < 0 || humidity > 1))
      return { wrong: 'humidity lies between 0 and 100 %' };
    if (temperature !== null && (temperature < -60 || temperature > 120))
      return { wrong: 'no thermometer in an enclosure reads that' };
    const point = text
      .replace(new RegExp(`-?${DIGITS}\\s*(?:°?\\s?[CF]\\b|%)|\\buvi?\\s*[\\d.,]+`, 'gi'), '')
      .replace(/[,\s]+/g, ' ')
      .trim();
    return {
      draft: {
        kind: 'reading',
        values: { ...reading, point: point === '' ? null : point.slice(0, 80) },
        text: '',
      },
    };
  }
  return { draft: { kind: 'note', values: {}, text } };
}

const LAMP = /\b(lamps?|tubes?|bulbs?|uv[ab]?)\b/i;
/** What belongs to a lamp and is none: a new holder makes no new lamp. */
const OF_A_LAMP =
  /\b(holders?|guards?|sockets?|fittings?|cables?|timers?|meters?|reflectors?|hoods?|batter(y|ies))\b/i;

/** A line with what it changes besides the log: a new lamp, one less that lives there, or some more. */
function withEffect(draft: Draft, place: QuickPlace, said: string): Draft | { readonly wrong: string } {
  const by = draft.values.count ?? 1;
  if (draft.kind === 'death')
    return { ...draft, effect: draft.animal ? { does: 'left' } : { does: 'count', by: -by } };
  // Young are taken out by most: that they stay is said.
  if ((draft.kind === 'birth' || draft.kind === 'hatching') && /\b(stay|stays|stayed|kept)\b/i.test(said))
    return { ...draft, effect: { does: 'count', by } };
  const lamps = place.lamps ?? [];
  if (draft.kind !== 'repair' || !/^replaced\b/i.test(said) || OF_A_LAMP.test(said) || lamps.length === 0)
    return draft;
  const named = lamps.filter((it) => plain(said).includes(plain(it.name)));
  const [lamp, ...others] = named.length > 0 ? named : LAMP.test(said) ? lamps : [];
  if (!lamp) return draft;
  if (others.length > 0) return { wrong: `Which one: ${lamps.map((it) => it.name).join(' or ')}?` };
  return { ...draft, rule: lamp.rule, effect: { does: 'lamp', device: lamp.device } };
}

/**
 * A line typed in a hurry, such as “bog mist 20s; fed 3 crickets, 1 left; 23.4 C 81 %”: parts by semicolons, each with
 * the place named before it, or the one that is open; “all” and the name of a room mean every one of them; an animal that lives there may be named in it. What is not understood is kept as a note; what cannot be is said.
 * @param open the enclosure that is meant where none is named; null: one must be named, unless there is only one
 * @param locale whose marks of decimals and groups its numbers have
 */
export function quickEntries(
  line: string,
  places: readonly QuickPlace[],
  open: QuickPlace | null,
  locale?: string,
): readonly QuickEntry[] {
  // Who keeps one enclosure means that one.
  let place = open ?? (places.length === 1 ? (places[0] ?? null) : null);
  return line
    .split(/;|\n/)
    .map((it) => it.trim())
    .filter((it) => it !== '')
    .flatMap((source): readonly QuickEntry[] => {
      const many = manyIn(source, places);
      // Each of them says for itself what it makes of the words.
      return many && many.rest !== ''
        ? many.of.flatMap((it) => quickEntries(many.rest, [it], it, locale))
        : [understood(source)];
    });

  function understood(source: string): QuickEntry {
    const wrong = (why: string): QuickEntry => ({ source, place, animal: null, draft: null, wrong: why });
    const found = placeIn(source, places);
    if (found && 'unclear' in found) {
      const why = `Which one: ${found.unclear.join(' or ')}?`;
      return { source, place: null, animal: null, draft: null, wrong: why };
    }
    // Where no place is named or open, an animal tells it.
    const [home, ...more] = found || place ? [] : places.filter((it) => animalIn(source, it.animals ?? []));
    place = found?.place ?? place ?? (more.length === 0 ? (home ?? null) : null);
    if (!place) return wrong('Begin with the name of an enclosure.');
    const said = found ? found.rest : source;
    if (said === '') return wrong(`What about ${place.name}?`);
    const animals = place.animals ?? [];
    const spoken = animalIn(said, animals);
    const of = draftOf(spoken?.rest ?? said, locale);
    // A reading is of a place, even of one that an animal is called after.
    const named = 'draft' in of && of.draft.kind === 'reading' ? null : spoken;
    const read = named === spoken ? of : draftOf(said, locale);
    if ('wrong' in read) return wrong(`${read.wrong}.`);
    const [only, ...others] = animals;
    const isOnly = only !== undefined && others.length === 0;
    const animal = named?.animal ?? (isOnly && OF_ONE.has(read.draft.kind) ? only : null);
    // Where one lives, what it is fed is what the box is fed.
    const rule = animal && isOnly && read.draft.kind === 'feed' ? 'feed' : null;
    const draft = animal ? { ...read.draft, animal: animal.id, ...(rule ? { rule } : {}) } : read.draft;
    const whole = withEffect(draft, place, said);
    return 'wrong' in whole ? wrong(whole.wrong) : { source, place, animal, draft: whole, wrong: null };
  }
}
