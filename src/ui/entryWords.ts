import { ownOf } from '@/core/fields/own';
import { NO_VALUES, type Draft, type Effect, type Entry, type EntryKind } from '@/core/log';
import { light, mass, percent, temperature } from '@/core/units';
import type { Reader } from '@/ui/units';

export const KIND_WORD: Record<EntryKind, string> = {
  reading: 'Reading',
  mist: 'Misted',
  feed: 'Fed',
  clean: 'Cleaned',
  droppings: 'Droppings',
  weight: 'Weight',
  shed: 'Shed',
  'water-test': 'Water test',
  lamp: 'Lamp meter',
  crew: 'Crew',
  mould: 'Mould',
  pests: 'Pests',
  'plant-lost': 'Plant lost',
  'plant-new': 'New plant',
  repair: 'Repair',
  behaviour: 'Behaviour',
  laying: 'Laying',
  eggs: 'Eggs',
  hatching: 'Hatched',
  birth: 'Born',
  death: 'Died',
  move: 'Moved',
  handling: 'Handled',
  care: 'Care',
  note: 'Note',
};

/** What an entry says beside its kind, in the reader's units. */
export function entryWords(
  { kind, values: given, text }: Pick<Entry, 'kind' | 'text'> & { readonly values: Draft['values'] },
  { write }: Pick<Reader, 'write'>,
): string {
  const said: string[] = [];
  const values = { ...NO_VALUES, ...given };
  if (values.temperature !== null) said.push(write(temperature(values.temperature), { decimals: 1 }));
  if (values.humidity !== null) said.push(write(percent(values.humidity)));
  if (values.uvIndex !== null) said.push(`UV index ${values.uvIndex}`);
  if (values.point !== null) said.push(values.point);
  if (values.seconds !== null) said.push(`${values.seconds} s`);
  if (values.mass !== null) said.push(write(values.mass < 2 ? light(values.mass) : mass(values.mass)));
  if (values.refused) said.push('refused');
  if (values.count !== null) said.push(`${values.count}${kind === 'feed' && text !== '' ? ` ${text}` : ''}`);
  if (values.left !== null) said.push(`${values.left} left`);
  if (text !== '' && !(kind === 'feed' && values.count !== null)) said.push(text);
  return said.join(', ');
}

/** What a line changes besides the log, said before it is written. */
export function effectWords(effect: Effect): string {
  if (effect.does === 'lamp') return 'the new lamp counts from now';
  if (effect.does === 'left') return 'it lives here no more';
  const [many, one] =
    effect.by < 0 ? ['fewer live here', 'one less lives here'] : ['more live here', 'one more lives here'];
  const by = Math.abs(effect.by);
  return by === 1 ? one : `${by} ${many}`;
}

/** What an entry of a rule is an entry of, where there is a kind of its own for it. */
const KIND_OF: Readonly<Record<string, EntryKind>> = {
  mist: 'mist',
  feed: 'feed',
  'spot-clean': 'clean',
  glass: 'clean',
  urates: 'clean',
  'crew-seen': 'crew',
  'water-test': 'water-test',
  weigh: 'weight',
  probes: 'reading',
  'uv-meter': 'lamp',
};
export const kindOfRule = (rule: string): EntryKind => ownOf(KIND_OF, rule) ?? 'care';
