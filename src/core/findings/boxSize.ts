import { many } from '../catalogue';
import { heightNeed, spaceNeed } from '../brief';
import { proposeSize } from '../propose/propose';
import { capital, length, message } from '../units';
import type { Finding, Rule } from '../finding/finding';

/** Too small for the animals, or standing the wrong way up. */
export const boxSize: Rule = ({ design, animal }) => {
  if (!animal) return [];
  const { count } = design.brief;
  const box = design.enclosure;
  const need = spaceNeed(animal, count);
  const tall = heightNeed(animal);
  const fits = (width: number, depth: number, height: number): boolean =>
    Math.max(width, depth) >= need.width - 0.005 &&
    Math.min(width, depth) >= need.depth - 0.005 &&
    width * depth >= need.floor * 0.97 &&
    height >= tall - 0.005;
  if (fits(box.width, box.depth, box.height)) return [];

  const place = { at: 'enclosure' } as const;
  const basis = animal.space.basis;
  if (fits(box.height, box.depth, box.width)) {
    const climbs = box.height < tall;
    return [
      {
        code: 'wrong-way-up',
        severity: 'severe',
        place,
        what: message`The enclosure stands the wrong way up.`,
        because: climbs
          ? message`${capital(many(animal.english))} live high: they want ${length(tall)} of height, and this enclosure gives ${length(box.height)}.`
          : message`${capital(many(animal.english))} live on the floor: they want ${length(need.width)} by ${length(need.depth)} of it.`,
        remedies: [{ label: message`Turn it on its side`, call: { edit: 'turnEnclosure', change: {} } }],
        basis,
      },
    ];
  }
  const wanted = proposeSize(animal, count);
  const larger = {
    width: Math.max(box.width, wanted.width),
    depth: Math.max(box.depth, wanted.depth),
    height: Math.max(box.height, wanted.height),
  };
  const remedies: Finding['remedies'] = [
    {
      label: message`Take ${length(larger.width)} × ${length(larger.depth)} × ${length(larger.height)}`,
      call: { edit: 'setEnclosure', change: larger },
    },
    ...(count > 1
      ? [{ label: message`Keep one`, call: { edit: 'setCount', change: { count: 1 } } as const }]
      : []),
  ];
  return [
    {
      code: 'box-too-small',
      severity: 'severe',
      place,
      what: message`Too small for ${count === 1 ? `a ${animal.english}` : `${count} ${many(animal.english)}`}.`,
      because: message`${count === 1 ? 'It wants' : 'They want'} ${length(wanted.width)} × ${length(wanted.depth)} of floor and ${length(tall)} of height, ground included.`,
      remedies,
      basis,
    },
  ];
};
