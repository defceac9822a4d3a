import { allLayers } from '../document/schema';
import { missesHundred, normalise } from '../ground/parts';
import { message, number, type Message } from '../units';
import type { Rule } from '../finding/finding';

/** Numbers with a mark between them. */
const joined = (values: readonly number[], mark: string): Message =>
  values.flatMap((it, i) => [...(i > 0 ? [mark] : []), number(Math.round(it * 10) / 10)]);

/** Percentages that do not come to a hundred are scaled, and the builder is told. */
export const mixSum: Rule = ({ design }) =>
  allLayers(design.ground).flatMap((layer) => {
    if (layer.kind !== 'substrate' || !missesHundred(layer.mix)) return [];
    const total = layer.mix.parts.reduce((sum, part) => sum + part.parts, 0);
    const scaled = joined(
      normalise(layer.mix).map((part) => part.share * 100),
      ' : ',
    );
    const parts = joined(
      layer.mix.parts.map((part) => part.parts),
      ' + ',
    );
    return [
      {
        code: 'mix-misses-hundred',
        severity: 'note' as const,
        place: { at: 'layer' as const, layer: layer.id },
        what: message`The parts come to ${total}, not 100.`,
        because: message`${parts} is taken as ${scaled}.`,
        remedies: [
          {
            label: message`Write them so`,
            call: { edit: 'writeAsPercent' as const, change: { layer: layer.id } },
          },
        ],
        basis: 'computed' as const,
      },
    ];
  });
