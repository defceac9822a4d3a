import { grownIn } from '../brief';
import { findAnimal, findDeviceKind, type Catalogue } from '../catalogue';
import type { Design } from '../document/schema';
import { applyEdit, type EditCall } from '../edits/edits';
import { layGround } from '../ground/layers';
import { scapeOf } from '../scape/scape';
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
    ...tooMany(tub, catalogue).map((piece): EditCall => ({ edit: 'removePiece', change: { piece } })),
    ...notForTubs(tub, catalogue).map((device): EditCall => ({
      edit: 'removeDevice',
      change: { device },
    })),
  );
}

/** What a tub is looked after by: each is there, however plain it is. */
const NEEDED: ReadonlySet<string> = new Set([
  'drink',
  'soak',
  'feed',
  'fly-cup',
  'measure',
  'heat',
  'filter',
  'pump',
  'raft',
]);
/** Perches of what climbs (common practice: it is to be seen, and to climb). */
const PERCHES = 2;

/**
 * Pieces a tub does without: every hide is one more to lift when the animal is looked for. One for each animal and one
 * more stay, on both sides; where it basks, what it drinks and eats from, and two perches of what climbs.
 */
function tooMany(tub: Design, catalogue: Catalogue): readonly string[] {
  const animal = grownIn(tub, catalogue);
  const climbs = animal?.life.value === 'climbing';
  let hides = tub.brief.count + 1;
  let perches = climbs ? PERCHES : 0;
  const sides = new Set<string>();
  const all = scapeOf(tub, layGround(tub, catalogue), animal, catalogue).pieces;
  // One on each side first.
  const firsts = new Set(['warm', 'cool'].map((zone) => all.find((it) => it.hide?.zone === zone)));
  const inTurn = [...all].sort((a, b) => Number(firsts.has(b)) - Number(firsts.has(a)));
  return inTurn.flatMap(({ placed: { piece }, uses, hide }): string[] => {
    if (piece.basking || piece.moist || uses.some((it) => NEEDED.has(it))) return [];
    if (hide && (hides > 0 || !sides.has(hide.zone))) {
      hides -= 1;
      sides.add(hide.zone);
      return [];
    }
    if (uses.includes('perch') && perches > 0) {
      perches -= 1;
      return [];
    }
    return [piece.id];
  });
}

/** Lamps for plants where something else lights it, and nozzles: paper is misted by hand. */
function notForTubs({ climate }: Design, catalogue: Catalogue): readonly string[] {
  const kinds = climate.devices.map((it) => ({ id: it.id, kind: findDeviceKind(catalogue, it.kind) }));
  const lights = kinds.filter((it) => it.kind?.group === 'light');
  const litOtherwise = kinds.some((it) => it.kind?.group === 'uv' || (it.kind?.heats && !it.kind.dark));
  return [...lights.slice(litOtherwise ? 0 : 1), ...kinds.filter((it) => it.kind?.form === 'nozzle')].map(
    (it) => it.id,
  );
}
