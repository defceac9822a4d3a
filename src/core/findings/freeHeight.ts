import { many } from '../catalogue';
import { allWater } from '../ground/layers';
import { length, message } from '../units';
import type { Finding, Rule } from '../finding/finding';

/** The ground must leave room over it: for the animal where it is known, otherwise half the box. */
export const freeHeight: Rule = ({ design, animal, highest: top, deepestSoil: deepest, ground }) => {
  // It moves in the water.
  if (allWater(ground) && top < design.enclosure.height) return [];
  const left = design.enclosure.height - top;
  const wanted = animal?.space.value.freeHeight ?? design.enclosure.height / 2;
  if (left >= wanted - 0.0005) return [];

  const fitting = deepest - (wanted - left);
  const least = Math.max(0.03, animal?.digs.value ?? 0);
  const remedies =
    fitting >= least
      ? [
          {
            label: message`Bring the soil down to ${length(fitting)}`,
            call: { edit: 'setSoilDepth', change: { deepest: fitting } } as const,
          },
        ]
      : [
          {
            label: message`Take an enclosure ${length(top + wanted)} high`,
            call: {
              edit: 'setEnclosure',
              change: { height: Math.ceil((top + wanted) * 100) / 100 },
            } as const,
          },
        ];
  const shared: Pick<Finding, 'place' | 'remedies'> = { place: { at: 'ground' }, remedies };
  if (left <= 0) {
    return [
      {
        ...shared,
        code: 'higher-than-the-box',
        severity: 'severe',
        what: message`The ground is higher than the enclosure.`,
        because: message`It stands ${length(top)} at its highest, in an enclosure ${length(design.enclosure.height)} high.`,
        basis: 'computed',
      },
    ];
  }
  return [
    {
      ...shared,
      code: 'too-deep-for-the-box',
      severity: 'look',
      what: message`The ground takes up too much of the enclosure.`,
      because: animal
        ? message`${length(left)} are left above it; ${many(animal.english)} want ${length(wanted)} to move in.`
        : message`${length(left)} are left above it, less than half the enclosure.`,
      basis: animal?.space.basis ?? 'practice',
    },
  ];
};
