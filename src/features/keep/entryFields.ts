import { localDay } from '@/core/time';
import { UNITS } from '@/core/units';
import type { Reader } from '@/ui/units';
import { NO_VALUES, type Draft, type Entry, type EntryKind, type EntryValues } from '@/core/log';

type NumberName = Exclude<keyof EntryValues, 'point' | 'refused' | 'x' | 'y' | 'z'>;

/** A number of an entry as one types it: its words, its unit, and how it becomes SI. */
export interface NumberEntry {
  readonly name: NumberName;
  readonly label: string;
  readonly min: number;
  readonly max: number;
  readonly toSi: (typed: number) => number;
  readonly fromSi: (si: number) => number;
}

const same = (it: number): number => it;
const plain = (name: NumberName, label: string, max: number): NumberEntry => ({
  name,
  label,
  min: 0,
  max,
  toSi: same,
  fromSi: same,
});

const temperatureIn = (unit: 'C' | 'F'): NumberEntry =>
  unit === 'F'
    ? {
        name: 'temperature',
        label: 'Temperature, °F',
        min: -40,
        max: 194,
        toSi: (it) => ((it - 32) * 5) / 9,
        fromSi: (it) => (it * 9) / 5 + 32,
      }
    : { ...plain('temperature', 'Temperature, °C', 90), min: -40 };
const humidity: NumberEntry = {
  ...plain('humidity', 'Humidity, %', 100),
  toSi: (it) => it / 100,
  fromSi: (it) => it * 100,
};
const weight = (unit: 'kg' | 'lb'): NumberEntry => {
  const small = unit === 'lb' ? UNITS.oz : UNITS.g;
  return {
    ...plain('mass', unit === 'lb' ? 'Weight, oz' : 'Weight, g', Math.floor(200 / small.factor)),
    toSi: (it) => it * small.factor,
    fromSi: (it) => it / small.factor,
  };
};
const count = (label: string): NumberEntry => plain('count', label, 100_000);

/** What is asked of each kind of entry, in numbers. */
export function numbersOf(kind: EntryKind, { temperature, mass }: Reader['prefs']): readonly NumberEntry[] {
  switch (kind) {
    case 'reading':
      return [temperatureIn(temperature), humidity, plain('uvIndex', 'UV index', 30)];
    case 'lamp':
      return [plain('uvIndex', 'UV index', 30)];
    case 'mist':
      return [plain('seconds', 'Seconds', 3600)];
    case 'feed':
      return [count('Given'), plain('left', 'Left over', 100_000)];
    case 'weight':
      return [weight(mass)];
    case 'water-test':
      return [
        plain('ammonia', 'Ammonia, mg/L', 100),
        plain('nitrite', 'Nitrite, mg/L', 100),
        plain('nitrate', 'Nitrate, mg/L', 1000),
        plain('ph', 'pH', 14),
      ];
    case 'laying':
    case 'eggs':
      return [count('Eggs')];
    case 'hatching':
      return [count('Hatched')];
    case 'birth':
      return [count('Young')];
    case 'death':
      return [count('How many')];
    default:
      return [];
  }
}

/** Kinds of which it is worth knowing where in the box it was. */
export const PLACED: ReadonlySet<EntryKind> = new Set([
  'behaviour',
  'feed',
  'shed',
  'droppings',
  'crew',
  'mould',
  'pests',
  'laying',
  'eggs',
  'note',
]);

/** What stands in the fields of the form. */
export interface EntryForm {
  readonly kind: EntryKind;
  /** As the browser’s own field has it: 2026-03-01T14:20. */
  readonly when: string;
  readonly animal: string;
  readonly text: string;
  readonly point: string;
  readonly refused: boolean;
  readonly numbers: Readonly<Partial<Record<NumberName, string>>>;
}

export const localStamp = (at: number): string => {
  const date = new Date(at);
  const two = (it: number): string => String(it).padStart(2, '0');
  return `${localDay(at)}T${two(date.getHours())}:${two(date.getMinutes())}`;
};

/** An entry as it stands in the form. */
export function formOf(entry: Entry, { prefs, plain }: Pick<Reader, 'prefs' | 'plain'>): EntryForm {
  const numbers = Object.fromEntries(
    numbersOf(entry.kind, prefs).flatMap(({ name, fromSi }) => {
      const value = entry.values[name];
      return value === null ? [] : [[name, plain(fromSi(value), 3)]];
    }),
  );
  return {
    kind: entry.kind,
    when: localStamp(entry.at),
    animal: entry.animal ?? '',
    text: entry.text,
    point: entry.values.point ?? '',
    refused: entry.values.refused ?? false,
    numbers,
  };
}

/** Why a number will not do; true when it will. */
export function checkNumber(
  text: string | undefined,
  { min, max }: NumberEntry,
  { parse, num }: Pick<Reader, 'parse' | 'num'>,
): true | string {
  if (text === undefined || text.trim() === '') return true;
  const value = parse(text);
  return value !== null && value >= min && value <= max
    ? true
    : `A number from ${num(min, 0)} to ${num(max, 0)}.`;
}

/** The form as a line of the log. */
export function draftOfForm(form: EntryForm, { prefs, parse }: Pick<Reader, 'prefs' | 'parse'>): Draft {
  const values: Partial<Record<NumberName, number>> = {};
  for (const { name, toSi } of numbersOf(form.kind, prefs)) {
    const typed = parse(form.numbers[name] ?? '');
    if (typed !== null) values[name] = toSi(typed);
  }
  return {
    kind: form.kind,
    animal: form.animal === '' ? null : form.animal,
    text: form.text.trim(),
    values: {
      ...values,
      ...((form.kind === 'reading' || form.kind === 'lamp') && form.point.trim() !== ''
        ? { point: form.point.trim().slice(0, 80) }
        : {}),
      ...(form.kind === 'feed' && form.refused ? { refused: true } : {}),
    },
  };
}

/** An entry with what a form says of it now. */
export const withDraft = (entry: Entry, draft: Draft, at: number): Entry => ({
  ...entry,
  at,
  kind: draft.kind,
  animal: draft.animal ?? null,
  text: draft.text,
  values: { ...NO_VALUES, ...draft.values },
});
