import { allLayers } from '../design/schema';
import { missesHundred, normalise } from '../ground/parts';
import { say } from '../units';
import type { Rule } from './finding';

const written = (value: number): string => String(Math.round(value * 10) / 10);

/** Percentages that do not come to a hundred are scaled, and the builder is told. */
export const mixSum: Rule = ({ design }) =>
  allLayers(design.ground).flatMap((layer) => {
    if (layer.kind !== 'substrate' || !missesHundred(layer.mix)) return [];
    const total = layer.mix.parts.reduce((sum, part) => sum + part.parts, 0);
    const scaled = normalise(layer.mix)
      .map((part) => written(part.share * 100))
      .join(' : ');
    return [
      {
        code: 'mix-misses-hundred',
        severity: 'note' as const,
        place: { at: 'layer' as const, layer: layer.id },
        what: say`The parts come to ${written(total)}, not 100.`,
        because: say`${layer.mix.parts.map((part) => written(part.parts)).join(' + ')} is taken as ${scaled}.`,
        remedies: [
          {
            label: say`Write them so`,
            call: { edit: 'writeAsPercent' as const, change: { layer: layer.id } },
          },
        ],
        basis: 'computed' as const,
      },
    ];
  });
