import type { Animal } from '../catalogue';
import type { Design } from '../document/schema';
import { spaceNeed } from '../brief';
import { isYoungAt, LEAST_ROOM, lengthAt, massAt } from '../brief';

export interface YoungPlan {
  /** Now. */
  readonly length: number;
  readonly mass: number;
  readonly grown: boolean;
  /** Boxes it needs one after the other: months of age from which on, and the floor, m. */
  readonly boxes: readonly {
    readonly from: number;
    readonly width: number;
    readonly depth: number;
    readonly height: number;
  }[];
  /** The largest prey, m: its length, or its thickness for what swallows it whole and long. */
  readonly prey: { readonly most: number; readonly by: 'length' | 'thickness' };
  /** The widest hole in a gauze that keeps it in, m. */
  readonly gauze: number;
}

/** Steps in which boxes are changed: a young animal must find its food, so none is much too large (common practice). */
const STEPS = [0, 0.4, 0.65, 0.9] as const;

export function youngPlan(animal: Animal, months: number | null): YoungPlan {
  const full = (animal.length.value.low + animal.length.value.high) / 2;
  const adult = animal.growing?.monthsToAdult.value ?? 12;
  const age = months ?? adult * 2;
  const length = lengthAt(animal, age);
  const need = spaceNeed(animal, 1);
  const boxes: { from: number; width: number; depth: number; height: number }[] = [];
  const cm5 = (value: number): number => Math.max(0.15, Math.ceil(value * 20) / 20);
  for (const [index, step] of STEPS.entries()) {
    let from = 0;
    if (step > 0) while (from < adult * 2 && lengthAt(animal, from) < step * full) from += 0.5;
    const scale = Math.max(LEAST_ROOM, STEPS[index + 1] ?? 1);
    const box = {
      from,
      width: cm5(need.width * scale),
      depth: cm5(need.depth * scale),
      height: cm5((animal.space.value.freeHeight + 0.1) * scale),
    };
    const last = boxes.at(-1);
    // A step that asks for the same box is no step.
    if (last?.width === box.width && last.depth === box.depth) continue;
    if (last && box.from <= last.from) boxes.pop();
    boxes.push(box);
  }
  const girth = (animal.girth?.value ?? full * 0.15) * (length / full);
  return {
    length,
    mass: massAt(animal, length),
    grown: !isYoungAt(animal, age),
    boxes,
    // A snake’s is as thick as itself. Else no wider than the gap between the eyes, about half of the girth of the head;
    // prey is about as long as twice that.
    prey: animal.kind === 'snake' ? { most: girth, by: 'thickness' } : { most: girth * 0.8, by: 'length' },
    gauze: girth * 0.35,
  };
}

export interface GroupWord {
  readonly severity: 'severe' | 'look' | 'note';
  readonly code: string;
  readonly what: string;
  readonly because: string;
}

/** What is wrong or to be watched with who is kept with whom. @param animal as the catalogue has it, grown */
export function judgeGroup(design: Design, animal: Animal | undefined): readonly GroupWord[] {
  const words: GroupWord[] = [];
  const life = animal?.growing;
  if (!animal || !life) return words;
  const { count } = design.brief;
  const { males, females, ageMonths } = design.living.company;
  const add = (severity: GroupWord['severity'], code: string, what: string, because: string): void =>
    void words.push({ severity, code, what, because });
  const cautions = life.cautions.value;
  if (life.sexes.value === 'alone' && count > 1)
    add(
      'severe',
      'company-alone',
      `${count} of a species that is kept alone.`,
      'Give each an enclosure of its own; together one goes short, or is hurt.',
    );
  if (males > 1 && cautions.includes('males fight') && life.sexes.value !== 'alone')
    add(
      'severe',
      'company-males',
      `${males} males of a species whose males fight.`,
      'One male to an enclosure, with females if the species lives so.',
    );
  if (females > 1 && cautions.includes('females fight') && life.sexes.value !== 'alone')
    add(
      'look',
      'company-females',
      `${females} females of a species whose females fight.`,
      'Watch for one that is held off food or place; part them early.',
    );
  if (males + females > count)
    add(
      'look',
      'company-sum',
      `${males + females} are sexed, but ${count} live here.`,
      'Correct the number in the brief, or the sexes here.',
    );
  if (count > 1 && cautions.includes('fights over food'))
    add(
      'note',
      'company-feeding',
      'They go for one another at food.',
      'Feed them apart, and watch until all is eaten.',
    );
  if (count > 1 && cautions.includes('eats smaller ones'))
    add(
      'note',
      'company-sizes',
      'Larger ones eat smaller ones.',
      'Keep only animals of a size together, and take young out at once.',
    );
  if (life.young.value === 'live' && (females > 0 || count > 1) && life.sexes.value !== 'alone')
    add(
      'note',
      'company-live',
      'It bears live young.',
      'Young may come without eggs to warn of them: have an enclosure ready and look behind gauze and gaps.',
    );
  if (ageMonths !== null) {
    const plan = youngPlan(animal, ageMonths);
    const { width, depth } = design.enclosure;
    const now = [...plan.boxes].reverse().find((it) => ageMonths >= it.from);
    if (!plan.grown && now && width * depth > now.width * now.depth * 3)
      add(
        'look',
        'company-lost',
        'The enclosure is large for an animal so young.',
        'It may miss its food: feed in one place, or keep it in a smaller enclosure until it has grown.',
      );
  }
  return words;
}

/** How large a prey may be, by what swallows it (common practice); null: it takes none. */
export function preyRule(animal: Animal): string | null {
  const diet = animal.growing?.diet.value;
  if (diet === 'plants' || diet === 'litter' || diet === 'leaves') return null;
  if (animal.kind === 'snake') return 'no thicker than its body at its widest';
  if (animal.kind === 'newt') return 'no wider than its head';
  if (animal.kind === 'invertebrate') return 'no longer than its own body';
  return 'no wider than the gap between its eyes';
}
