import Papa from 'papaparse';
import type { Animal } from '@/core/catalogue';
import type { Enclosure } from '@/core/document';
import type { AnimalRecord } from '@/core/records';
import { dayOfDate, localDay } from '@/core/time';
import { csvOf } from './cell';
import { timeOfCell, type DateOrder } from './clock';

/** What a column of a keeper’s table may hold. */
export const SHEET_FIELDS = [
  'enclosure',
  'species',
  'count',
  'animal',
  'sex',
  'hatched',
  'since',
  'weight',
  'weighed',
  'size',
  'width',
  'depth',
  'height',
  'made',
  'room',
  'shelf',
  'note',
] as const;
export type SheetField = (typeof SHEET_FIELDS)[number];

/** Headings by which a column is known, in lower case; the first that holds one of them is it. */
const HEADINGS: Readonly<Record<SheetField, RegExp>> = {
  weighed: /weigh(ed|t)? ?(on|date|day)|weighed|date of weight/,
  weight: /weight|mass|\bgrams?\b/,
  enclosure: /enclosure|\bbox|terrari|vivari|\bviv\b|\btank|\btub\b/,
  species: /species|\bkind\b|common name/,
  count: /how many|\bcount|number of|quantity|\bqty\b/,
  animal: /animal|individual|^name$|called/,
  sex: /\bsex|gender/,
  hatched: /hatch|born|birth|\bdob\b/,
  since: /since|home from|acquired|\bgot\b|there from/,
  size: /\bsize|dimensions/,
  width: /width|length|\bwide\b/,
  depth: /depth|\bdeep\b/,
  height: /height|\bhigh\b|\btall\b/,
  made: /made|material|built/,
  room: /\broom\b|where|place/,
  shelf: /\bshelf\b|\brack\b|\bboard\b/,
  note: /note|what is in|contents|remark|comment/,
};

/** What an enclosure and its animals are told to be in a table. */
export interface SheetBox {
  readonly name: string;
  readonly animal: string | null;
  readonly count: number;
  /** m */
  readonly size: { readonly width: number; readonly depth: number; readonly height: number } | null;
  readonly material: Enclosure['material'];
  readonly since: string | null;
  readonly place: { readonly room: string; readonly shelf: string };
  readonly note: string;
  readonly animals: readonly SheetAnimal[];
}
export interface SheetAnimal {
  readonly name: string;
  readonly sex: AnimalRecord['sex'];
  readonly hatched: string | null;
  readonly since: string | null;
  /** kg, and the day it weighed that. */
  readonly weight: { readonly mass: number; readonly on: string } | null;
}

/** What is wrong with a cell, and what to do about it. */
export interface SheetFault {
  /** Of the table, its heading being the first. */
  readonly line: number;
  readonly column: string;
  readonly message: string;
}

export interface RackSheet {
  /** The heading each field is taken from; those that are missing are not told. */
  readonly columns: Readonly<Partial<Record<SheetField, string>>>;
  /** Headings nothing is taken from. */
  readonly unused: readonly string[];
  readonly rows: number;
  readonly boxes: readonly SheetBox[];
  readonly faults: readonly SheetFault[];
}

interface Known {
  readonly animals: readonly Pick<Animal, 'id' | 'english' | 'scientific'>[];
  /** What else people call a species. */
  readonly otherNames: (id: string) => readonly string[];
  /** The species whose name is nearest to a text; undefined: none is near. */
  readonly nearest: (text: string) => Pick<Animal, 'english'> | undefined;
  /** Names of enclosures that stand on the rack. */
  readonly taken: readonly string[];
  /** Local day, ISO 8601. */
  readonly today: string;
  /** Of lengths that name no unit, and of weights. */
  readonly length: 'cm' | 'in';
  readonly mass: 'g' | 'oz';
}

const METRES = { cm: 0.01, mm: 0.001, m: 1, in: 0.0254, '"': 0.0254, ft: 0.3048 } as const;
const KILOGRAMS = { g: 0.001, kg: 1, oz: 0.028349523125, lb: 0.45359237 } as const;
const MATERIALS: readonly (readonly [RegExp, Enclosure['material']])[] = [
  [/glass/, 'glass'],
  [/acryl/, 'acrylic'],
  [/pvc|plastic|polyprop/, 'pvc'],
  [/wood|timber|ply|osb|board/, 'timber'],
  [/mesh|gauze|screen/, 'mesh'],
];
const SEXES: readonly (readonly [RegExp, AnimalRecord['sex']])[] = [
  [/^(f|female|0\.1|♀)$/, 'female'],
  [/^(m|male|1\.0|♂)$/, 'male'],
  [/^(u|\?|unknown|unsexed|0\.0\.1)$/, 'unknown'],
];
/** m an enclosure may measure, and kg an animal may weigh. */
const [SMALLEST, LARGEST] = [0.05, 10];
const HEAVIEST = 200;
/** Rows one table may hold. */
const MOST = 2000;

/** A number with its unit: `45`, `45 cm`, `17,7 in`; null: it is none. */
function quantity(text: string, units: Readonly<Record<string, number>>, usual: string): number | null {
  const found = /^(\d+(?:[.,]\d+)?)\s*([a-z"]*)\.?$/i.exec(text.trim());
  if (!found) return null;
  const unit = units[found[2] === '' ? usual : (found[2] ?? '').toLowerCase()];
  return unit === undefined ? null : Number((found[1] ?? '').replace(',', '.')) * unit;
}

/** Whether days are written before months, by any that is over twelve; day first where none is. */
function orderOf(cells: readonly string[]): DateOrder {
  for (const cell of cells) {
    const found = /^(\d{1,4})[-./ ](\d{1,2})[-./ ]/.exec(cell);
    if (!found) continue;
    if ((found[1] ?? '').length === 4) return 'ymd';
    if (Number(found[1]) > 12) return 'dmy';
    if (Number(found[2]) > 12) return 'mdy';
  }
  return 'dmy';
}

/**
 * Reads a keeper’s table of enclosures and animals: a row each, or several of one enclosure. Columns are known by their
 * headings, in any order. What cannot be read is told by its cell, and nothing of it is guessed.
 * @param text comma, semicolon or tab between cells, with a heading, as a spreadsheet copies or saves it
 */
export function readRackSheet(text: string, known: Known): RackSheet {
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    skipEmptyLines: 'greedy',
    delimitersToGuess: ['\t', ',', ';', '|'],
  });
  const [head = [], ...rows] = parsed.data;
  const found = new Map<SheetField, number>();
  // What is said more closely goes first: “weighed on” is no weight.
  for (const field of Object.keys(HEADINGS) as SheetField[]) {
    const at = head.findIndex(
      (it, i) => HEADINGS[field].test(it.trim().toLowerCase()) && ![...found.values()].includes(i),
    );
    if (at >= 0) found.set(field, at);
  }
  const faults: SheetFault[] = [];
  const columns = Object.fromEntries([...found].map(([field, at]) => [field, (head[at] ?? '').trim()]));
  const unused = head.filter((it, i) => it.trim() !== '' && ![...found.values()].includes(i));
  const told = { columns, unused, rows: rows.length };
  const whole = (message: string): RackSheet => ({
    ...told,
    boxes: [],
    faults: [{ line: 1, column: '', message }],
  });
  if (rows.length === 0) return whole('there is a heading and nothing under it, or nothing at all');
  if (rows.length > MOST) return whole(`it holds ${rows.length} rows; ${MOST} are read at once. Part it`);
  if (!found.has('enclosure'))
    return whole('no column is headed “Enclosure”. Give each row the name of the enclosure it is of');
  const dates = (['since', 'hatched', 'weighed'] as const).flatMap((it) => found.get(it) ?? []);
  const order = orderOf(rows.flatMap((row) => dates.map((at) => (row[at] ?? '').trim())));
  const byName = new Map(
    known.animals.flatMap((it) =>
      [it.english, it.scientific, ...known.otherNames(it.id)].map((name) => [name.toLowerCase(), it.id]),
    ),
  );
  const taken = new Set(known.taken.map((it) => it.toLowerCase()));
  const boxes = new Map<string, SheetBox>();
  /** Line on which each is told first. */
  const first = new Map<string, number>();

  rows.forEach((row, index) => {
    const line = index + 2;
    const cell = (field: SheetField): string => (row[found.get(field) ?? -1] ?? '').trim();
    const fault = (field: SheetField, message: string): null => {
      faults.push({ line, column: columns[field] ?? field, message });
      return null;
    };
    const day = (field: 'since' | 'hatched' | 'weighed'): string | null => {
      const own = cell(field);
      if (own === '') return null;
      const read = timeOfCell(own, order);
      if (read === null) return fault(field, `“${own}” is no day. Write it as 2024-03-01`);
      const iso = 'moment' in read ? localDay(read.moment) : dayOfDate(new Date(read.wall));
      return iso > known.today ? fault(field, `${own} has not come yet`) : iso;
    };
    const length = (field: 'width' | 'depth' | 'height', own = cell(field)): number | null => {
      if (own === '') return null;
      const read = quantity(own, METRES, known.length);
      if (read === null) return fault(field, `“${own}” is no length. Write 45 cm or 18 in`);
      return read < SMALLEST || read > LARGEST
        ? fault(field, `“${own}” is no size of an enclosure: 5 cm to 10 m`)
        : read;
    };

    const name = cell('enclosure').slice(0, 80);
    if (name === '') return void fault('enclosure', 'the enclosure has no name');
    if (taken.has(name.toLowerCase()))
      return void fault('enclosure', `“${name}” stands on the rack already. Take the row out, or rename it`);

    const kind = cell('species');
    let animal: string | null = null;
    if (kind !== '') {
      animal = byName.get(kind.toLowerCase()) ?? null;
      const near = animal === null ? known.nearest(kind) : undefined;
      if (animal === null)
        fault(
          'species',
          near
            ? `“${kind}” is not in the almanac. Is “${near.english}” meant?`
            : `“${kind}” is not in the almanac. Leave the cell empty, or add the species there first`,
        );
    }
    const many = cell('count');
    const count = many === '' ? 1 : Number(many);
    if (!Number.isInteger(count) || count < 1 || count > 500)
      fault('count', `“${many}” is no number of animals: 1 to 500`);

    const size = ((): SheetBox['size'] => {
      const together = cell('size');
      if (together !== '') {
        const parts = together.split(/\s*[x×*]\s*/i);
        const unit = /[a-z"]+$/i.exec(together)?.[0] ?? '';
        const sides = parts.map((it) => (/[a-z"]/i.test(it) ? it : `${it}${unit}`));
        if (sides.length !== 3)
          return fault('size', `“${together}” is not width × depth × height. Write 60 × 45 × 45`);
        const [width, depth, height] = sides.map((it) => length('width', it));
        return width && depth && height ? { width, depth, height } : null;
      }
      const before = faults.length;
      const [width, depth, height] = [length('width'), length('depth'), length('height')];
      const some = [width, depth, height].filter((it) => it !== null).length;
      if (width !== null && depth !== null && height !== null) return { width, depth, height };
      return some > 0 && faults.length === before
        ? fault('width', 'of width, depth and height some are missing. Give all three, or none')
        : null;
    })();

    const made = cell('made').toLowerCase();
    const material = MATERIALS.find(([pattern]) => pattern.test(made))?.[1];
    if (made !== '' && !material)
      fault('made', `“${cell('made')}” is not known. Write glass, acrylic, PVC, timber or mesh`);

    const since = day('since');
    const hatched = day('hatched');
    const weighed = day('weighed');
    const called = cell('animal').slice(0, 80);
    const sex = cell('sex').toLowerCase();
    const sexed = SEXES.find(([pattern]) => pattern.test(sex))?.[1];
    if (sex !== '' && !sexed) fault('sex', `“${cell('sex')}” is no sex. Write female, male or unknown`);
    const heavy = cell('weight');
    let weight: SheetAnimal['weight'] = null;
    if (heavy !== '') {
      const mass = quantity(heavy, KILOGRAMS, known.mass);
      if (mass === null || mass <= 0 || mass > HEAVIEST)
        fault('weight', `“${heavy}” is no weight. Write 42 g or 1.5 oz`);
      else if (called === '') fault('weight', 'it has a weight, and no animal is named. Give it a name');
      else if (weighed === null && cell('weighed') === '')
        fault('weight', 'say in a column “Weighed on” which day that was');
      else if (weighed !== null) weight = { mass, on: weighed };
    }
    if (hatched !== null && since !== null && hatched > since)
      fault('hatched', 'it lived there before it hatched. One of the two days is wrong');

    const own: SheetAnimal | null =
      called === '' ? null : { name: called, sex: sexed ?? 'unknown', hatched, since, weight };
    const before = boxes.get(name.toLowerCase());
    if (!before) {
      first.set(name.toLowerCase(), line);
      boxes.set(name.toLowerCase(), {
        name,
        animal,
        count: Number.isInteger(count) ? count : 1,
        size,
        material: material ?? 'glass',
        since,
        place: { room: cell('room').slice(0, 60), shelf: cell('shelf').slice(0, 60) },
        note: cell('note').slice(0, 4000),
        animals: own ? [own] : [],
      });
      return;
    }
    if (animal !== null && before.animal !== null && animal !== before.animal)
      fault(
        'species',
        `line ${first.get(name.toLowerCase()) ?? 0} has another species in “${name}”. Name one of them otherwise`,
      );
    if (
      size &&
      before.size &&
      (['width', 'depth', 'height'] as const).some((it) => size[it] !== before.size?.[it])
    )
      fault(
        'enclosure',
        `line ${first.get(name.toLowerCase()) ?? 0} has another size of “${name}”. One of the two is wrong`,
      );
    if (own && before.animals.some((it) => it.name.toLowerCase() === called.toLowerCase()))
      fault('animal', `“${called}” is told twice in “${name}”`);
    boxes.set(name.toLowerCase(), {
      ...before,
      animal: before.animal ?? animal,
      size: before.size ?? size,
      since:
        before.since !== null && since !== null
          ? since < before.since
            ? since
            : before.since
          : (before.since ?? since),
      place: {
        room: before.place.room || cell('room').slice(0, 60),
        shelf: before.place.shelf || cell('shelf').slice(0, 60),
      },
      note: before.note || cell('note').slice(0, 4000),
      // A row each is one each, unless a row says how many.
      count: many === '' ? before.count + (own ? 1 : 0) : Math.max(before.count, count),
      animals: own ? [...before.animals, own] : before.animals,
    });
  });
  return {
    ...told,
    boxes: [...boxes.values()].map((it) => ({ ...it, count: Math.max(it.count, it.animals.length) })),
    faults,
  };
}

/** An empty table with every column and two rows that show how it is filled in. */
export const sheetTemplate = (): string =>
  csvOf([
    [
      'Enclosure',
      'Species',
      'How many',
      'Animal',
      'Sex',
      'Hatched',
      'There since',
      'Weight',
      'Weighed on',
      'Width',
      'Depth',
      'Height',
      'Made of',
      'Room',
      'Shelf',
      'Note',
    ],
    [
      'North 1',
      'crested gecko',
      '1',
      'Drip',
      'female',
      '2022-06-01',
      '2023-02-14',
      '42 g',
      '2026-11-01',
      '45 cm',
      '45 cm',
      '60 cm',
      'glass',
      'Back room',
      'Top',
      'two bromeliads',
    ],
    [
      'North 2',
      'leopard gecko',
      '1',
      'Sumo',
      'male',
      '',
      '2021-09-01',
      '',
      '',
      '90 cm',
      '45 cm',
      '45 cm',
      'timber',
      'Back room',
      'Floor',
      '',
    ],
  ]);
