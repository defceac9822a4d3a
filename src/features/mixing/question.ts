import type { Material } from '@/core/catalogue';
import {
  BOUNDED,
  stateOf,
  TARGETS,
  type Build,
  type Family,
  type Goal,
  type MixProblem,
} from '@/core/mixing';
import type { Bench } from '@/store';
import type { KnownSoil } from './Bench';
import { THIS } from './words';

/** What may be chosen before the mix is worked out. */
export interface Terms {
  readonly goal: Goal;
  /** Share every part may stray by. */
  readonly tolerance: number;
  readonly peatFree: boolean;
  /** Every property stays in the range its family wants. */
  readonly banded: boolean;
  readonly buy: 'anything' | 'only' | 'nothing';
  /** What is sold, where only some things are. */
  readonly only: readonly Material[];
  /** What may go in besides the parts of the mix. */
  readonly besides: readonly Material[];
  /** The ready-made soil that is to be made up. */
  readonly bagOf: string;
}

/** Enough to make a bag up with, and few enough to be done in a breath (common practice). */
const STRETCH_WITH = [
  ...['coir', 'tree-fern-fibre', 'fine-orchid-bark', 'bark-fines', 'charcoal', 'long-fibre-sphagnum'],
  ...['topsoil', 'washed-sand', 'leaf-mould', 'coir-chips', 'fine-pumice'],
];

interface Asked {
  readonly terms: Terms;
  readonly mix: Bench['mixes'][number];
  readonly soil: KnownSoil | undefined;
  readonly family: Family;
  /** m³ that are to be filled. */
  readonly placed: number;
  /** Others that are filled from the same purchase. */
  readonly also: readonly KnownSoil[];
  readonly shelf: Readonly<Record<string, number>>;
  /** m³ left of the bag in hand. */
  readonly inHand: number;
  /** Null: any. */
  readonly budget: number | null;
}

/** The question the solver is asked. */
export function questionOf({
  terms,
  mix: mixA,
  soil,
  family,
  placed,
  also,
  shelf,
  inHand,
  budget,
}: Asked): MixProblem {
  const { goal, tolerance, peatFree, banded, buy, only, besides, bagOf } = terms;
  const build = (
    id: string,
    name: string,
    volume: number,
    mix: Build['mix'],
    kind: Family,
    stretched = false,
  ): Build => ({
    id,
    name,
    placed: volume,
    mix,
    besides: stretched
      ? [...new Set([...STRETCH_WITH, ...besides.map((row) => row.id)])].filter(
          (material) => material !== bagOf,
        )
      : besides.map((row) => row.id),
    tolerance,
    bands: banded
      ? Object.fromEntries(
          BOUNDED.flatMap((property) => {
            const target = TARGETS[kind][property];
            return target ? [[property, target.range]] : [];
          }),
        )
      : {},
    state: stateOf(kind),
  });
  const stretching = goal === 'stretch';
  const here = soil ? `${soil.design.name} · ${soil.layer.name}` : mixA.name;
  const packed = { ...mixA.mix, parts: [{ material: bagOf, parts: 1 }] };
  return {
    builds: [
      build(THIS, here, placed, stretching ? packed : mixA.mix, family, stretching),
      ...(stretching
        ? []
        : also.map((it) =>
            build(
              `${it.design.id}/${it.layer.id}`,
              `${it.design.name} · ${it.layer.name}`,
              it.placed,
              it.layer.mix,
              it.family,
            ),
          )),
    ],
    goal,
    shelf,
    buyable: buy === 'anything' ? null : buy === 'nothing' ? [] : only.map((row) => row.id),
    peatFree,
    budget,
    stretch: stretching ? { build: THIS, material: bagOf, have: inHand, most: 4 } : null,
  };
}
