import { grownIn } from '../brief';
import type { Assessment } from '../assess';
import { materialOf, type Animal, type Catalogue } from '../catalogue';
import type { Design, Layer, Pace } from '../document/schema';
import type { LayerResult } from '../ground/layers';
import type { PieceResult } from '../scape/scape';
import { bag, message, type Message } from '../units';
import type { Days } from './network';
import type { Step } from './step';

export const days = (low: number, likely: number, high: number): Days => ({ low, likely, high });

/** Waits that are a matter of care, as long as is chosen; what hardens or ripens takes as long as it takes. */
export function paced(pace: Pace, { low, likely, high }: Days): Days {
  switch (pace) {
    case 'cautious':
      return days(likely, high, 1.5 * high);
    case 'usual':
      return days(low, likely, high);
    case 'quick':
      return days(low / 2, low, likely);
  }
}

type Draft = Omit<Step, 'tools' | 'amounts' | 'wait' | 'cautions' | 'measures' | 'holds'> & Partial<Step>;

/** A plan being written: what it is written from, and the steps it has so far. */
export interface Work {
  readonly design: Design;
  readonly assessment: Assessment;
  readonly catalogue: Catalogue;
  readonly animal: Animal | undefined;
  /** Water stands in it; some of it is open. */
  readonly wet: boolean;
  readonly pool: boolean;
  readonly placed: readonly PieceResult[];
  readonly steps: readonly Step[];
  /** Adds a step and gives its id. */
  readonly add: (draft: Draft) => string;
  readonly layersOf: (kinds: readonly Layer['kind'][]) => readonly LayerResult[];
  readonly named: (it: LayerResult) => string;
  readonly filled: (it: LayerResult) => Message;
}

export function workOn(design: Design, assessment: Assessment, catalogue: Catalogue): Work {
  const steps: Step[] = [];
  const { layers } = assessment;
  const named = ({ layer }: LayerResult): string =>
    layer.kind === 'substrate'
      ? layer.name
      : layer.kind === 'water'
        ? 'Open water'
        : materialOf(catalogue, layer.material).name;
  return {
    design,
    assessment,
    catalogue,
    animal: grownIn(design, catalogue),
    wet: assessment.standingWater > 0.0005,
    pool: layers.some((it) => it.layer.kind === 'water'),
    placed: assessment.scape.pieces,
    steps,
    add: (draft) => {
      steps.push({ tools: [], amounts: [], wait: null, cautions: [], measures: [], holds: [], ...draft });
      return draft.id;
    },
    layersOf: (kinds) => layers.filter((it) => kinds.includes(it.layer.kind)),
    named,
    filled: (it) =>
      it.need
        ? message`${named(it)}: ${bag(it.need.loose)} loose, ${bag(it.placed)} settled`
        : message`${named(it)}`,
  };
}
