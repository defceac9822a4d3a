import { findAnimal, type Catalogue } from '../catalogue';
import type { Design } from '../document/schema';
import { applyEdit, type EditCall } from '../edits/edits';
import { proposeSize, type Questionnaire } from './propose';
import { proposeWhole } from './whole';

/** What follows an enclosure: the next larger one, or a plain one to be watched in beside it. */
export const FORKS = ['larger', 'quarantine'] as const;
export type Fork = (typeof FORKS)[number];

/** Each side of the next box where the one there is suits already (common practice: a quarter more). */
const MORE = 1.25;
const STEP = 0.05;

type Sides = NonNullable<Questionnaire['size']>;

const upTo = (value: number): number => Math.ceil(value / STEP - 1e-9) * STEP;
const mm = (value: number): number => Math.round(value * 1000) / 1000;

/**
 * Inside sides of what follows, m. Larger: those that suit grown ones where a side is short of them, otherwise a quarter
 * more in width and depth. Quarantine: the smallest that suits, which is seen into and cleaned easily.
 */
export function forkSize({ brief, enclosure }: Design, as: Fork, catalogue: Catalogue): Sides {
  const suits = proposeSize(findAnimal(catalogue, brief.animal), brief.count);
  if (as === 'quarantine') return suits;
  const { width, depth, height } = enclosure;
  const grown = {
    width: Math.max(width, suits.width),
    depth: Math.max(depth, suits.depth),
    height: Math.max(height, suits.height),
  };
  const short = grown.width > width + 1e-9 || grown.depth > depth + 1e-9 || grown.height > height + 1e-9;
  return short ? grown : { width: mm(upTo(width * MORE)), depth: mm(upTo(depth * MORE)), height };
}

/** Paper or bare glass, hides and a dish: nothing grows in it and nothing is hidden from the eye. */
const PLAIN: readonly EditCall[] = [
  { edit: 'clearPlants', change: {} },
  { edit: 'setLiving', change: { school: 'none' } },
];

/**
 * A first design of what follows an enclosure, whole. The animals keep their company; those that move into a larger one
 * are there already, so that its plan asks for no quarantine.
 * @param answers as of any new enclosure: animal, number, size and room may have been changed since
 */
export function forkedDesign(answers: Questionnaire, from: Design, as: Fork, catalogue: Catalogue): Design {
  const company: EditCall = { edit: 'setLiving', change: { company: from.living.company } };
  const whole = (...before: EditCall[]): Design => proposeWhole(answers, catalogue, before);
  const edited = (design: Design, ...calls: readonly EditCall[]): Design =>
    calls.reduce((it, call) => applyEdit(it, call, catalogue), design);
  if (as === 'larger')
    return edited(whole(company), { edit: 'setPlan', change: { animal: { comes: 'here', day: null } } });
  const swims = findAnimal(catalogue, answers.animal)?.ground.value === 'half-water';
  const floor: readonly EditCall[] = swims
    ? []
    : [
        { edit: 'setMethod', change: { method: 'none' } },
        { edit: 'setDrySoil', change: { soil: 'paper' } },
      ];
  const tub = edited(whole(company, ...floor), ...PLAIN);
  return edited(
    tub,
    ...tub.scape.backgrounds.map(({ id }): EditCall => ({
      edit: 'removeBackground',
      change: { background: id },
    })),
  );
}
