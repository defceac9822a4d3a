import type { CrewKind } from '../catalogue';
import type { CrewHome, CrewRisk, CrewRun } from './population';

/** What is to be done about a crew, by the course it takes. */
export type CrewAdvice =
  /** It does not hold by itself: new ones every so many days. */
  | { readonly what: 'reseed'; readonly days: number; readonly gone: number | null }
  /** It may die out by chance. */
  | { readonly what: 'culture'; readonly share: number }
  /** It comes to be too many: so many adults are taken out at a time. */
  | { readonly what: 'cull'; readonly adults: number };

/** Between two reseedings at the least, and where it dwindles without going, days (common practice). */
const LEAST = 30;
const DWINDLES = 75;
/** Share of the time till it is gone after which it is reseeded. */
const IN_TIME = 0.7;
/** Share of its draws in which it may die out before a culture is asked for, and of a full crowd that is a swarm. */
const RISKY = 0.1;
const SWARM = 0.7;

/** Advice on one kind of the crew; null: it does by itself. */
export function crewAdvice(
  kind: CrewKind,
  run: CrewRun,
  risk: Pick<CrewRisk, 'collapse'>,
  home: Pick<CrewHome, 'floor'>,
): CrewAdvice | null {
  const start = run.adults[0] ?? 0;
  const end = run.adults.at(-1) ?? 0;
  if (run.gone !== null)
    return { what: 'reseed', days: Math.round(Math.max(LEAST, run.gone * IN_TIME)), gone: run.gone };
  if (end < start * 0.5) return { what: 'reseed', days: DWINDLES, gone: null };
  if (risk.collapse > RISKY) return { what: 'culture', share: risk.collapse };
  const most = kind.crowd.value * home.floor * SWARM;
  // A third at a time: it fills again in weeks, and never breaks down.
  return kind.protein && end > most ? { what: 'cull', adults: Math.ceil(end / 3) } : null;
}

/** What a beetle’s stages come to after the time played, and what they want. */
export interface Stages {
  readonly larvae: number;
  readonly pupae: number;
  readonly adults: number;
  /** A month: what the animal takes of each. */
  readonly eaten: { readonly larvae: number; readonly adults: number };
  /** kg a week that all of them live on: dry, of which droppings and litter are part, and moist food such as carrot beside it. */
  readonly food: { readonly dry: number; readonly moist: number };
}

/** Moist food by weight, times the dry food beside it (common practice: a slice that is gone in two days). */
const MOIST = 2;
/** What adults and their young eat, times what the adults alone do: as everywhere in the forecast. */
const WITH_YOUNG = 1.6;

/** Larvae, pupae and adults of a kind that pupates; null of any other. */
export function stagesOf(kind: CrewKind, run: CrewRun): Stages | null {
  if (!kind.pupates) return null;
  const [young, pupae, adults] = [run.young, run.pupae, run.adults].map((it) => it.at(-1) ?? 0) as [
    number,
    number,
    number,
  ];
  const months = Math.max(1, (run.day.at(-1) ?? 0) / 30.44);
  const larvae = Math.max(0, young - pupae);
  const dry = 7 * adults * kind.mass.value * kind.eats.value * WITH_YOUNG;
  return {
    larvae,
    pupae,
    adults,
    eaten: { larvae: run.youngEaten / months, adults: run.eaten / months },
    food: { dry, moist: dry * MOIST },
  };
}
