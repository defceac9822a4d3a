import type { Plant } from '../catalogue';
import { isParted } from '../pieces/growth';
import type { Planted } from '../document/schema';

export interface PlantStep {
  readonly what: string;
  readonly why: string;
  /** Days it takes before the next; common practice. */
  readonly days?: number;
  readonly caution?: string;
}

/** Genera whose leaves make a cup or drink by themselves: their base must stay open. */
const BROMELIADS: ReadonlySet<string> = new Set([
  'Neoregelia',
  'Guzmania',
  'Vriesea',
  'Cryptanthus',
  'Billbergia',
  'Aechmea',
  'Tillandsia',
]);

export const isBromeliad = ({ scientific }: Plant): boolean => BROMELIADS.has(scientific.split(' ')[0] ?? '');

/** Genera whose cups hold water that small animals drink. */
const CUPS: ReadonlySet<string> = new Set(['Neoregelia', 'Guzmania', 'Vriesea', 'Billbergia', 'Aechmea']);

/** Its leaves make a cup that stands full of water after a misting. */
export const holdsWater = (plant: Plant): boolean => CUPS.has(plant.scientific.split(' ')[0] ?? '');

/** How a plant is made ready and put in: only what applies to it and to its place. */
export function preparePlant(
  plant: Plant | undefined,
  { spot, size, sown }: Pick<Planted, 'spot' | 'size' | 'sown'>,
): readonly PlantStep[] {
  const steps: PlantStep[] = [];
  const add = (what: string, why: string, more: Partial<PlantStep> = {}): void =>
    void steps.push({ what, why, ...more });
  const sold = plant?.sold.value ?? 'pot';
  const form = plant?.form ?? 'ground';
  if (plant && plant.harm.value !== 'none') {
    add(
      'Wear gloves, and wash hands after',
      plant.harm.value === 'toxic'
        ? 'It is poisonous to eat, and its sap may sting.'
        : plant.harm.value === 'spines'
          ? 'Its spines break off in the skin: thick gloves, tongs, and something over the eyes.'
          : plant.harm.value === 'glochids'
            ? 'Its barbed hairs come off at a touch and are hard to find again: tongs, folded paper, and something over the eyes.'
            : 'Its sap or hairs may irritate skin.',
      {
        caution:
          'Keep it from children and from animals that eat leaves. After swallowing, call a poison centre.',
      },
    );
  }
  if (sown && plant?.sows) return [...steps, ...sow(plant.sows.value)];
  if (sold === 'pot') {
    add(
      'Wash the roots bare',
      'Old soil brings fertiliser, pests and their eggs. Tease it off under lukewarm water.',
    );
    add('Strip dead and damaged leaves', 'They would only rot in the damp.');
  } else if (sold === 'mat' || sold === 'bare') {
    add('Rinse well, upside down, twice', 'Snails, slugs and their eggs sit in cushions and cups.');
  }
  add(
    'Keep it apart in an enclosure of its own',
    'Pests show within a month, and treated leaves have time to be clean again.',
    {
      days: 30,
    },
  );
  if (form === 'moss') {
    add(
      'Press it on, or crumble it and brush it on with a little water',
      'Fragments take as well as whole cushions.',
      { days: 60 },
    );
    add(
      'Keep it wet until it takes',
      'It has no roots: dry for one day in the first weeks and it starts again.',
      {
        caution: 'Never take moss from the wild without permission; some species are protected.',
      },
    );
  } else if (form === 'submerged') {
    add(
      'Let it float free under the surface, or weigh it down',
      'It has no roots, and lives from the water.',
    );
  } else if (form === 'floating') {
    add('Lay it on the water once the surface is still', 'Wet leaves under a fall rot.');
  } else if (spot.on === 'piece' || spot.on === 'wall') {
    add(
      form === 'climber'
        ? 'Pin its stems to the wall until it holds by itself'
        : 'Wedge, tie with two crossed ties, pin, or a dab of gel superglue',
      'Its roots must touch what they will hold on to.',
      {
        caution:
          'Never expanding polyurethane glue on a living plant. Superglue sticks skin: gloves, and air the room.',
      },
    );
    if (plant && isBromeliad(plant))
      add('Keep moss off its base', 'Wrapped in wet moss the base of a bromeliad rots.');
    else if (form === 'mounted')
      add('Put a little damp moss under it', 'A dry branch takes its water before its roots can.');
  } else if (spot.on === 'ground' && spot.pot) {
    add(
      'Sink it in its pot, with holes in the bottom',
      'A digger turns over what stands free; a pot keeps its roots.',
      {},
    );
  } else if (spot.on === 'ground' && form === 'succulent') {
    add('Let cut roots dry for some days, then plant in dry soil', 'Fresh wounds rot in damp soil.', {
      days: 4,
    });
  } else if (spot.on === 'water') {
    add('Set it in its pot or tie it to a stone', 'Let rhizomes lie free: buried they rot.');
  }
  if (plant?.catches)
    add(
      'Plant it in lean soil, and water it with rain or distilled water',
      'It takes its food from what it catches: lime, salts and fertiliser kill its roots.',
    );
  if (plant && isParted(plant, size))
    add(
      `Divide one bought plant into up to ${plant.divides.value}`,
      'Pull it apart by its crowns, or take cuttings with two joints; they root in damp moss.',
    );
  add('Water in, then leave it', 'It sulks for some weeks; roots before the animal comes.', { days: 28 });
  return steps;
}

/** How it is sown or spread (common practice). */
function sow({ by, days }: NonNullable<Plant['sows']>['value']): readonly PlantStep[] {
  const first: Record<typeof by, PlantStep> = {
    pieces: {
      what: 'Chop it small, stir it into a thin slurry with rain water, and brush it on',
      why: 'Every piece grows a new plant. Rough, damp wood, stone and soil hold it; smooth panes do not.',
      caution: 'Never take moss from the wild without permission; some species are protected.',
    },
    spores: {
      what: 'Dust the spores on, and cover nothing',
      why: 'They need light and a surface that is scalded first: moulds are faster than ferns.',
    },
    seed: {
      what: 'Press the seed in, fine seed uncovered',
      why: 'Seed that has been treated is poisonous to who eats it: buy it untreated.',
      caution: 'Treated seed is dyed. Never sow it where an animal or its food lives.',
    },
  };
  return [
    first[by],
    {
      what: 'Cover it with film, and mist it daily with soft water',
      why: 'Dry for one day before it has taken, it begins again.',
      days: Math.round((days.low + days.high) / 2),
    },
    {
      what: 'Lift the film a little more each day once it is green',
      why: 'It has to meet the air of the enclosure before an animal moves in.',
      days: 14,
    },
  ];
}
