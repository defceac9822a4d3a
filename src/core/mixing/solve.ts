import type { Catalogue } from '../catalogue';
import { FIRM, formulate, key, type Formulation, type Loosened } from './formulate';
import type { Lack, MixAnswer, MixProblem, Plan, Progress } from './problem';
import type { Outcome, Program, Run } from './program';

type Terms = readonly (readonly [number, number])[];
type Optimal = Extract<Outcome, { status: 'optimal' }>;

const LITRE = 0.001;
/** Litres, or money, below which nothing is meant. */
const NOTHING = 1e-6;

/**
 * The mix, or mixes, that a goal asks for, bought in whole packs. One goal after the other, each without giving up what
 * came before: what is asked for, then the least money and of equally dear choices the least bought, then, with those
 * packs, nearest to the recipe. So the answer is the same every time, and nothing is bought that is not needed.
 * @param run solves one program to its optimum
 */
export async function solveMix(
  problem: MixProblem,
  catalogue: Catalogue,
  run: Run,
  onProgress: (progress: Progress) => void = () => undefined,
): Promise<MixAnswer> {
  const form = formulate(problem, catalogue);
  const aims = aimsOf(form, problem);
  const found = await inTurn(form, aims, run, onProgress, 0, aims.length);
  if (found) return { kind: 'solved', plan: planOf(form, found.last, found.first, problem) };
  return shortage(problem, catalogue, run, onProgress);
}

/** So little a litre decides only between equally dear choices: a cent outweighs ten thousand litres. */
const LESS_BOUGHT = 1e-6;

const costTerms = (form: Formulation): Terms =>
  form.packs.map((it) => [it.column, it.price + LESS_BOUGHT * it.litres]);
const departureTerms = (form: Formulation): Terms => form.departures.map((column) => [column, 1]);
const shelfTerms = (form: Formulation): Terms => [...form.fromShelf.values()].map((column) => [column, -1]);

/** One thing to be made as small as can be. */
interface Aim {
  readonly terms: Terms;
  /** With the packs settled on before. */
  readonly samePacks?: true;
  /** How much of it later aims may give up. */
  readonly tolerance?: number;
}

/** A stretched bag may be this much less alike for the sake of money: a tenth of what a hand would feel. */
const STRETCH_TOLERANCE = 0.1;

function aimsOf(form: Formulation, { goal }: MixProblem): readonly Aim[] {
  const cost: Aim = { terms: costTerms(form) };
  const departure: Aim = { terms: departureTerms(form) };
  switch (goal) {
    case 'cheapest':
      return [cost, { ...departure, samePacks: true }];
    case 'closest':
      return [departure, cost];
    case 'shelf':
      return [{ terms: shelfTerms(form) }, cost, { ...departure, samePacks: true }];
    case 'stretch':
      return [
        { terms: form.misses, tolerance: STRETCH_TOLERANCE },
        cost,
        { terms: form.misses, samePacks: true },
      ];
  }
}

/** Solves for one aim after the other, each time holding the earlier ones at what they reached. */
async function inTurn(
  form: Formulation,
  aims: readonly Aim[],
  run: Run,
  onProgress: (progress: Progress) => void,
  from: number,
  of: number,
): Promise<{ readonly first: Optimal; readonly last: Optimal } | undefined> {
  let program: Program = form.builder.program([]);
  let first: Optimal | undefined;
  let last: Optimal | undefined;
  for (const [index, { terms, samePacks, tolerance = 0 }] of aims.entries()) {
    if (terms.length === 0) continue;
    const report = (gap: number): void => onProgress({ step: from + index + 1, of, gap });
    report(1);
    if (samePacks && last) program = fixed(program, last.values);
    const outcome = await run(
      { ...program, objective: form.builder.program(terms).objective },
      report,
      last?.values,
    );
    report(0);
    // The first time it cannot be done; later only a tolerance can be at fault, and what was found stands.
    if (outcome.status === 'infeasible') {
      if (first === undefined) return undefined;
      continue;
    }
    first ??= outcome;
    last = outcome;
    const reached = outcome.objective;
    const upper = reached + tolerance + Math.max(1e-7, Math.abs(reached) * 1e-9);
    program = {
      ...program,
      rows: [...program.rows, { name: `aim ${index}`, lower: -Infinity, upper, terms }],
    };
  }
  return first && last ? { first, last } : undefined;
}

/** The same program with every count settled: what is left is no longer whole numbers. */
const fixed = (program: Program, values: readonly number[]): Program => ({
  ...program,
  columns: program.columns.map((column, index) => {
    if (!column.integer) return column;
    const count = Math.round(values[index] ?? 0);
    return { ...column, integer: false, lower: count, upper: count };
  }),
});

/** Why it cannot be done, and the nearest that can. */
async function shortage(
  problem: MixProblem,
  catalogue: Catalogue,
  run: Run,
  onProgress: (progress: Progress) => void,
): Promise<MixAnswer> {
  const loosen = (how: Partial<Loosened>): Formulation => formulate(problem, catalogue, { ...FIRM, ...how });
  onProgress({ step: 1, of: 3, gap: 1 });
  const open = loosen({ supply: true, bands: true });
  // A band missed by what a hand would feel counts as ten litres lacking: what is short is said before what is unlike.
  const price: Terms = [
    ...[...open.slack.material.values()].map((column) => [column, 1] as const),
    ...(open.slack.money === undefined ? [] : [[open.slack.money, 1] as const]),
    ...open.slack.bands.map((it) => [it.column, it.weight * 10] as const),
  ];
  const why = await run(open.builder.program(price));
  const lacks = why.status === 'optimal' ? lacksOf(open, why.values) : [];

  onProgress({ step: 2, of: 3, gap: 1 });
  const nearest = loosen({ shares: true, bands: true, volume: true });
  const less = [...nearest.slack.volume.values()].map((column) => [column, 1] as const);
  const unlike = nearest.slack.bands.map((it) => [it.column, it.weight] as const);
  const aims: readonly Aim[] = [
    { terms: less },
    { terms: unlike },
    { terms: problem.goal === 'stretch' ? nearest.misses : departureTerms(nearest) },
    { terms: costTerms(nearest) },
  ];
  const found = await inTurn(nearest, aims, run, onProgress, 2, 2 + aims.length);
  return {
    kind: 'short',
    lacks,
    nearest: found && planOf(nearest, found.last, found.first, problem),
  };
}

function lacksOf(form: Formulation, values: readonly number[]): Lack[] {
  const lacks: Lack[] = [];
  for (const [material, column] of form.slack.material) {
    const litres = values[column] ?? 0;
    if (litres > 1e-4) lacks.push({ what: 'material', material, amount: litres * LITRE });
  }
  const money = form.slack.money === undefined ? 0 : (values[form.slack.money] ?? 0);
  if (money > 1e-4) lacks.push({ what: 'money', amount: money });
  for (const { column, build, property, scale, weight } of form.slack.bands) {
    const missed = values[column] ?? 0;
    const amount = missed * weight * scale;
    if (missed * weight > 1e-3) lacks.push({ what: 'band', build, property, amount });
  }
  return lacks.sort((a, b) => b.amount - a.amount);
}

function planOf(form: Formulation, { values }: Optimal, first: Optimal, { goal }: MixProblem): Plan {
  const at = (column: number | undefined): number => (column === undefined ? 0 : (values[column] ?? 0));
  const bought = form.packs.flatMap(({ column, material, pack }) => {
    const count = Math.round(at(column));
    return count > 0 ? [{ material, pack, count }] : [];
  });
  const used = new Map<string, number>();
  const made = form.builds.map(({ build, materials }) => {
    const loose: Record<string, number> = {};
    let placed = 0;
    for (const row of materials) {
      const litres = at(form.x.get(key(build.id, row.id)));
      if (litres < 1e-4) continue;
      loose[row.id] = litres * LITRE;
      placed += litres * LITRE * (1 - row.settling.value) * (1 - build.mix.packingLoss);
      used.set(row.id, (used.get(row.id) ?? 0) + litres);
    }
    const parts = Object.entries(loose).map(([material, volume]) => ({
      material,
      parts: Number((volume / LITRE).toPrecision(6)),
    }));
    return {
      build: build.id,
      loose,
      placed,
      mix: { ...build.mix, parts: parts.length > 0 ? parts : build.mix.parts },
    };
  });
  // The shelf first: what stands open is used up, and the rest of a new pack stays shut.
  const supplied = new Map<string, number>();
  for (const { material, litres, column } of form.packs) {
    supplied.set(material, (supplied.get(material) ?? 0) + Math.round(at(column)) * litres);
  }
  const fromShelf: Record<string, number> = {};
  const leftOver: Record<string, number> = {};
  for (const [material, litres] of used) {
    const shelf = Math.min(litres, form.there.get(material) ?? 0);
    const rest = litres - shelf;
    const over = (supplied.get(material) ?? 0) - rest;
    if (shelf > NOTHING) fromShelf[material] = shelf * LITRE;
    if (over > 1e-4) leftOver[material] = over * LITRE;
  }
  const price = form.packs.reduce((sum, it) => sum + Math.round(at(it.column)) * it.price, 0);
  return {
    made,
    bought,
    fromShelf,
    leftOver,
    price,
    departure: form.departures.reduce((sum, column) => sum + at(column), 0) * LITRE,
    reached: goal === 'cheapest' ? price : first.objective * (goal === 'stretch' ? 1 : LITRE),
  };
}
