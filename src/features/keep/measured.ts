import { lampOfRule } from '@/core/care';
import type { Draft } from '@/core/log';
import type { AnimalRecord } from '@/core/records';
import { kindOfRule } from '@/ui/entryWords';
import type { Reader } from '@/ui/units';
import { checkNumber, draftOfForm, numbersOf, type EntryForm } from './entryFields';

/** One thing that is measured for a rule: an animal, a place, or the enclosure itself. */
export interface Measured {
  readonly key: string;
  /** What it is called beside its fields; empty: it goes without saying. */
  readonly label: string;
  readonly animal: string;
  readonly point: string;
}

const ITSELF: Measured = { key: 'it', label: '', animal: '', point: '' };
const PLACES: readonly Measured[] = [
  { key: 'warm', label: 'Warm side', animal: '', point: 'warm side' },
  { key: 'cool', label: 'Cool side', animal: '', point: 'cool side' },
];

/** Rules that ask for numbers: they are typed where it is ticked. */
const ASKED: ReadonlySet<string> = new Set(['weigh', 'probes', 'uv-meter', 'water-test']);
export const asksNumbers = (rule: string): boolean => ASKED.has(rule);

/** What is measured for a rule: each animal by itself, each side by itself. */
export function measuredFor(
  rule: string,
  animals: readonly Pick<AnimalRecord, 'id' | 'name'>[],
): readonly Measured[] {
  if (rule === 'probes') return PLACES;
  if (rule !== 'weigh' || animals.length === 0) return [ITSELF];
  return animals.map(({ id, name }) => ({ key: id, label: name, animal: id, point: '' }));
}

/** What was typed, by the key of what is measured and the name of its number. */
export type Typed = Readonly<Record<string, EntryForm['numbers']>>;

/** Whether all that was typed are numbers that fit. */
export const areNumbers = (rule: string, typed: Typed, reader: Reader): boolean =>
  Object.values(typed).every((own) =>
    numbersOf(kindOfRule(rule), reader.prefs).every((it) => checkNumber(own[it.name], it, reader) === true),
  );

/** The lines a tick writes: one for each thing of which a number was typed; with none, one that it was done. */
export function linesOfTick(
  rule: string,
  {
    things,
    typed,
    note,
    outcome,
  }: {
    readonly things: readonly Measured[];
    readonly typed: Typed;
    readonly note: string;
    readonly outcome: Draft['outcome'];
  },
  reader: Reader,
): readonly [Draft, ...Draft[]] {
  const kind = kindOfRule(rule);
  const lamp = lampOfRule(rule);
  const draft = ({ key, animal, point }: Measured): Draft => ({
    ...draftOfForm(
      { kind, when: '', animal, text: note, point, refused: false, numbers: typed[key] ?? {} },
      reader,
    ),
    rule,
    outcome: outcome ?? 'done',
    ...(lamp === null || outcome === 'skipped' ? {} : { effect: { does: 'lamp', device: lamp } as const }),
  });
  const [first, ...more] = things
    .filter(({ key }) => Object.values(typed[key] ?? {}).some((it) => it.trim() !== ''))
    .map(draft);
  return first ? [first, ...more] : [draft(things.length === 1 && things[0] ? things[0] : ITSELF)];
}
