import type { Assessment } from '../assess';
import { findAnimal, type Catalogue } from '../catalogue';
import type { Design, Layer } from '../document/schema';
import { capital, bag, percent, message, tank, temperature, type Message } from '../units';
import type { Rebuild, RebuildRow } from './rebuild';
import type { Step } from './step';
import { days } from './work';

/** Layers that each step of filling lays. */
const LAYS: Readonly<Record<string, readonly Layer['kind'][]>> = {
  drainage: ['drainage'],
  barrier: ['barrier'],
  mix: ['substrate'],
  soil: ['substrate', 'thin'],
  moss: ['moss'],
  litter: ['litter'],
  'water-trial': ['water'],
};

const TRIFLE = 5e-5;
const moves = ({ fate, volume }: RebuildRow): boolean =>
  (fate === 'back' || fate === 'new') && (volume === null || volume > TRIFLE);

/** How its fate is called while things are taken out, and while they are put in. */
const WORDS = {
  out: { back: 'set aside', out: 'goes away', new: '', stays: '' },
  in: { back: 'back in', new: 'new', out: '', stays: '' },
} as const;
type Way = keyof typeof WORDS;

/** How much of what: bulk in litres, all else by its name. */
const told = ({ name, fate, volume }: RebuildRow, way: Way): Message => {
  const word = `${capital(name)}, ${WORDS[way][fate]}`;
  return volume === null ? message`${word}` : message`${word}: ${bag(volume)}`;
};

/** Rows of one name and fate are told once, with their number. */
function counted(rows: readonly RebuildRow[], way: Way): readonly Message[] {
  const sums = new Map<string, { row: RebuildRow; count: number }>();
  for (const row of rows) {
    const key = `${row.group} ${row.name} ${row.fate} ${row.volume === null ? '' : row.id}`;
    const sum = sums.get(key);
    if (sum) sum.count += 1;
    else sums.set(key, { row, count: 1 });
  }
  return [...sums.values()].map(({ row, count }) =>
    count > 1 ? [...told(row, way), ...message` × ${count}`] : told(row, way),
  );
}

/**
 * The steps of a rebuild: the animals out, what is in the way out, then those steps of a build that put something back
 * or in anew, and the gates that what is new asks for.
 * @param whole steps of building it all from nothing
 */
export function rebuildSteps(
  whole: readonly Step[],
  { rows, dug, moved, siphoned, waits }: Rebuild,
  design: Design,
  assessment: Assessment,
  catalogue: Catalogue,
): readonly Step[] {
  const { standing } = design.plan;
  const animal = findAnimal(catalogue, standing?.animal ?? null);
  const kindOf = new Map(assessment.layers.map((it) => [it.layer.id, it.layer.kind]));
  const touched = rows.filter(moves);
  const changed = (group: RebuildRow['group']): readonly RebuildRow[] =>
    touched.filter((it) => it.group === group);
  const freshBack = changed('background').some((it) => it.fate === 'new');
  const freshSoil = touched.some(
    (it) => it.group === 'ground' && it.fate === 'new' && kindOf.get(it.id) === 'substrate',
  );
  const spots = new Map(design.living.plants.map((it) => [it.id, it.spot]));
  const wetted = rows.some((it) => it.group === 'water' && it.fate !== 'stays');
  const sameAnimal =
    standing !== null && standing.animal === design.brief.animal && design.brief.count <= standing.count;

  /** What a step puts in of what is not left as it is; undefined: it holds nothing and stands by its own reasons. */
  const putIn = (step: Step): readonly RebuildRow[] | undefined => {
    const kinds = LAYS[step.id];
    if (kinds) {
      const laid = changed('ground').filter((it) => {
        const kind = kindOf.get(it.id);
        return kind !== undefined && kinds.includes(kind);
      });
      return step.id === 'mix' ? laid.filter((it) => it.fate === 'new') : laid;
    }
    if (step.holds.length === 0) return undefined;
    const held = new Set(step.holds);
    return touched.filter((it) => it.group !== 'ground' && held.has(it.id));
  };
  const keeps = (step: Step): boolean => {
    switch (step.id) {
      case 'box':
      case 'leak-test':
      case 'bores':
        return moved;
      case 'smell':
        return freshBack || moved;
      case 'water-trial':
        return wetted;
      case 'prepare':
        return freshSoil;
      case 'plants-quarantine':
        return changed('plant').some((it) => it.fate === 'new');
      case 'crew-seen':
        return dug || changed('crew').some((it) => it.fate === 'new');
      case 'rooted':
        // What is tied to wood goes out and in with it, and lets nothing go.
        return changed('plant').some((it) => it.fate === 'new' || spots.get(it.id)?.on !== 'piece');
      case 'water-tested':
        return wetted;
      case 'measure':
        return dug || moved || changed('device').length > 0;
      case 'arrives':
      case 'quarantine':
      case 'tests':
        return !sameAnimal;
      default:
        return (putIn(step)?.length ?? 1) > 0;
    }
  };
  const kept = new Set(whole.filter(keeps).map((it) => it.id));
  const byId = new Map(whole.map((it) => [it.id, it]));
  /** Steps that are left out hand on what they came after. */
  const rewired = (after: readonly string[]): string[] => [
    ...new Set(after.flatMap((id) => (kept.has(id) ? [id] : rewired(byId.get(id)?.after ?? [])))),
  ];

  const out: Step[] = [];
  const add = (
    draft: Partial<Step> & Pick<Step, 'id' | 'phase' | 'title' | 'why' | 'hands' | 'after'>,
  ): string => {
    out.push({ tools: [], amounts: [], wait: null, cautions: [], measures: [], holds: [], ...draft });
    return draft.id;
  };
  const going = (groups: readonly RebuildRow['group'][]): readonly RebuildRow[] =>
    rows.filter(
      (it) =>
        groups.includes(it.group) &&
        (it.fate === 'back' || it.fate === 'out') &&
        (it.volume === null || it.volume > TRIFLE),
    );
  let last: string[] = [];
  if (waits > 0 && animal) {
    const { cool, warm, humidityDay } = animal.climate;
    const box = add({
      id: 'waiting-box',
      phase: 'animal',
      title: `Make a holding tub ready for ${waits === 1 ? 'the' : `${waits}`} ${animal.english}${waits === 1 ? '' : 's'}`,
      why: 'It is lived in for as long as the enclosure is open: it needs heat, water and a hide as well.',
      tools: ['plain tub with a lid that closes', 'paper towel', 'hide', 'water dish', 'thermometer'],
      hands: 30,
      after: [],
      cautions: ['electric', 'hygiene'],
      measures: [
        {
          what: 'inside it, before anything moves in',
          wanted: message`${temperature(cool.value.low)} to ${temperature(warm.value.high)}, ${percent(humidityDay.value.low)} to ${percent(humidityDay.value.high)}`,
        },
      ],
    });
    last = [
      add({
        id: 'catch',
        phase: 'animal',
        title: `Move ${waits === 1 ? 'it' : `all ${waits}`} into the holding tub`,
        why: 'Counted out, counted back in: one that is missed is buried.',
        tools: ['soft net or hands', 'scale'],
        hands: 10 + 10 * waits,
        // It is out for the shortest time when all that needs time stands ready.
        after: [box, ...['prepare', 'mix', 'plants-quarantine'].filter((id) => kept.has(id))],
        cautions: ['hygiene'],
        measures: [{ what: 'how many, and what each weighs', wanted: message`${String(waits)}` }],
      }),
    ];
  }
  if (standing && standing.climate.devices.length > 0)
    last = [
      add({
        id: 'off',
        phase: 'climate',
        title: 'Switch off and unplug lamps, heaters and pumps',
        why: 'Before hands and hose go in; a heater that runs dry burns.',
        amounts: counted(going(['device']), 'out'),
        hands: 10,
        after: last,
        cautions: ['electric', 'pumps'],
      }),
    ];
  const strewn = going(['ground']).filter((it) => {
    const kind = kindOf.get(it.id) ?? kindWas(design, it.id);
    return kind === 'litter' || kind === 'moss';
  });
  const crew = rows.filter((it) => it.group === 'crew' && it.fate === 'back');
  if (strewn.length > 0 || crew.length > 0)
    last = [
      add({
        id: 'litter-off',
        phase: 'living',
        title: 'Take off litter and moss, and save the crew in a tub',
        why: 'Most of the crew sits in the litter and the uppermost soil: a tub of both starts it again.',
        tools: ['tub with a lid', 'scoop', 'sprayer'],
        amounts: counted([...strewn, ...crew], 'out'),
        hands: 20,
        after: last,
        cautions: ['hygiene'],
      }),
    ];
  const lifted = going(['plant']);
  if (lifted.length > 0)
    last = [
      add({
        id: 'lift-plants',
        phase: 'living',
        title: 'Lift the plants with their roots',
        why: 'A whole ball of roots hardly notices; bare ones stand still for weeks. Keep them wet and out of the sun.',
        tools: ['trowel', 'wet newspaper', 'tub'],
        amounts: counted(lifted, 'out'),
        hands: 5 + 4 * lifted.length,
        after: last,
      }),
    ];
  const pieces = going(['piece', 'background']);
  if (pieces.length > 0)
    last = [
      add({
        id: 'pieces-out',
        phase: 'scape',
        title: 'Take out wood, stone and dishes',
        why: 'A picture first: it is the plan to put them back by.',
        tools: ['brush', 'two hands'],
        amounts: counted(pieces, 'out'),
        hands: 5 + 4 * pieces.length,
        after: last,
        cautions: ['stone', 'lifting'],
      }),
    ];
  if (siphoned > TRIFLE)
    last = [
      add({
        id: 'siphon',
        phase: 'ground',
        title: 'Siphon the water out',
        why: 'Wet soil weighs more, and what stood under it is sour.',
        tools: ['hose', 'bucket'],
        amounts: [message`${tank(siphoned)} of water`],
        hands: 20,
        after: last,
        cautions: ['pumps', 'hygiene'],
      }),
    ];
  const taken = going(['ground']).filter((it) => !strewn.includes(it));
  if (taken.length > 0)
    last = [
      add({
        id: 'dig-out',
        phase: 'ground',
        title: 'Take out soil and bed, layer by layer',
        why: 'What goes back is kept apart and damp; what smells sour does not go back. Old soil is binned or frozen, never tipped outdoors.',
        tools: ['scoop', 'tubs', 'sieve'],
        amounts: counted(taken, 'out'),
        hands: 20 + 15 * taken.length,
        after: last,
        cautions: ['lifting', 'hygiene', 'release'],
      }),
    ];
  if (dug || freshBack)
    last = [
      add({
        id: 'scrape',
        phase: 'box',
        title: 'Scrape and wipe the glass, look at every seam',
        why: 'Never again is it so easy to reach.',
        tools: ['scraper', 'cloth', 'hot water'],
        hands: 30,
        after: last,
        cautions: ['cutting'],
        measures: [{ what: 'every seam and edge', wanted: message`whole, dry to a paper towel` }],
      }),
    ];

  const independent = new Set(['prepare', 'mix', 'plants-quarantine', 'arrives', 'quarantine', 'tests']);
  const back = whole
    .filter((it) => kept.has(it.id))
    .map((it): Step => {
      const put = putIn(it);
      const after = rewired(it.after);
      return {
        ...it,
        ...(put && put.length > 0
          ? { amounts: it.id === 'mix' ? mixed(put, assessment) : counted(put, 'in') }
          : {}),
        ...(put && it.holds.length > 0 && !LAYS[it.id]
          ? { holds: it.holds.filter((id) => put.some((row) => row.id === id)) }
          : {}),
        ...shortened(it, { crew, fresh: changed('device').some((row) => row.fate === 'new') || moved, dug }),
        ...(it.id === 'move-in' && animal && sameAnimal
          ? {
              title: `Move ${waits > 1 ? `all ${waits}` : `the ${animal.english}`} back in`,
              why: 'Counted, and weighed once more; then it is left alone.',
            }
          : {}),
        after: after.length > 0 || independent.has(it.id) ? after : last,
      };
    });
  // Nothing of the old is in the way of the new, but what goes back waits for the box to be open.
  const first = new Set([
    'drainage',
    'barrier',
    'soil',
    'moss',
    'litter',
    'scape',
    'things',
    'climate',
    'plant',
    'crew',
    'floor-pieces',
  ]);
  return [
    ...out,
    ...back.map((it) =>
      first.has(it.id) && it.after.every((id) => independent.has(id))
        ? { ...it, after: [...it.after, ...last] }
        : it,
    ),
  ];
}

/** What has grown in before takes less time to do it again. */
function shortened(
  { id, wait }: Step,
  {
    crew,
    fresh,
    dug,
  }: { readonly crew: readonly RebuildRow[]; readonly fresh: boolean; readonly dug: boolean },
): Partial<Step> {
  if (wait === null) return {};
  if (id === 'crew' && crew.length > 0) return dug ? { wait: days(3, 7, 14) } : { wait: null };
  if (id === 'rooted') return { wait: days(3, 7, 14) };
  if (id === 'water-tested') return { wait: days(3, 7, 14) };
  if (id === 'measure' && !fresh) return { wait: days(2, 3, 7), waitFor: 'it to stand in its band again' };
  return {};
}

/** Fresh soil, and the water that its share of the layer takes. */
function mixed(rows: readonly RebuildRow[], { layers }: Assessment): readonly Message[] {
  return rows.map(({ id, name, volume }) => {
    const it = layers.find((own) => own.layer.id === id);
    const share = it && it.placed > 0 && volume !== null ? volume / it.placed : 1;
    return message`${name}: ${bag(volume ?? 0)}, with ${tank((it?.need?.waterToMixIn ?? 0) * share)} of water`;
  });
}

/** What a layer was that is not wanted any more. */
function kindWas({ plan }: Design, id: string): Layer['kind'] | undefined {
  const ground = plan.standing?.ground;
  return [...(ground?.layers ?? []), ...(ground?.regions.flatMap((it) => it.layers) ?? [])].find(
    (it) => it.id === id,
  )?.kind;
}
